<?php

declare(strict_types=1);

namespace App\Database;

use App\Words\Words;
use PDOException;
use Symfony\Component\HttpKernel\Exception\HttpException;
use Throwable;

/** What keeps a database from taking a write, where it is nothing of ours: each says what to do. */
enum Trouble: string
{
    case Locked = 'locked';
    case ReadOnly = 'read-only';
    case Full = 'full';
    case Failing = 'failing';
    /** A server of PostgreSQL that does not answer, or not yet. */
    case Away = 'away';

    /** SQLSTATEs of a value that PostgreSQL has no place for: too long, too large, no text. */
    private const NO_VALUES = ['22001', '22003', '22021', '22P05'];

    /** Of SQLite by its result codes, of PostgreSQL by its SQLSTATEs. */
    public static function of(PDOException $problem): ?self
    {
        [$state, $code] = [...$problem->errorInfo ?? [], null, null];

        return match (true) {
            $state === 'HY000' && in_array($code, [5, 6], true), $state === '55P03' => self::Locked,
            $state === 'HY000' && $code === 8, $state === '25006' => self::ReadOnly,
            $state === 'HY000' && $code === 13, $state === '53100' => self::Full,
            $state === 'HY000' && $code === 10, $state === '58030' => self::Failing,
            in_array($state, ['08001', '08004', '08006', '53300', '57P01', '57P02', '57P03'], true) => self::Away,
            default => null,
        };
    }

    /** The same problem, or where it is one of these what is said of it. */
    public static function answer(PDOException $problem): Throwable
    {
        $trouble = self::of($problem);
        if (in_array($problem->errorInfo[0] ?? null, self::NO_VALUES, true)) {
            return new HttpException(400, Words::of('web.value'), $problem);
        }

        return $trouble === null
            ? $problem
            : new HttpException(503, Words::of('web.database', trouble: $trouble->value), $problem, [
                'Retry-After' => '5',
            ]);
    }
}
