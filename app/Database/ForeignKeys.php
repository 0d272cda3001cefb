<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\Connection;

/** Rows of PostgreSQL in any order: what refers to what is looked at when all of them are there. */
final class ForeignKeys
{
    private const ALL = <<<'SQL'
    select conrelid::regclass::text as place, quote_ident(conname) as name
    from pg_constraint where contype = 'f' and connamespace = current_schema()::regnamespace
    SQL;

    /** @param  callable(): mixed  $does  inside of a transaction */
    public static function whileLoose(Connection $postgres, callable $does): void
    {
        /** @var list<object{place: string, name: string}> $keys */
        $keys = $postgres->select(self::ALL);
        $each = static function (string $how) use ($postgres, $keys): void {
            foreach ($keys as $key) {
                $postgres->statement("alter table {$key->place} alter constraint {$key->name} {$how}");
            }
        };
        $each('deferrable initially deferred');
        $does();
        $postgres->statement('set constraints all immediate');
        $each('not deferrable');
    }
}
