<?php

declare(strict_types=1);

namespace App\Database;

use Closure;
use Illuminate\Database\Connection;
use Illuminate\Database\SQLiteConnection;
use Illuminate\Support\Facades\DB;
use PDOException;

/**
 * A write that a page would like and can do without: where the database takes none the page is shown all the same, and
 * nobody waits for it until somebody else has written.
 */
final class Spare
{
    /** Milliseconds. */
    private const WAITS = 100;

    /**
     * @param  Closure(): mixed  $does
     * @return bool whether it was written
     *
     * @throws PDOException where it is no trouble of the database's but a fault of ours
     */
    public static function write(Closure $does, ?Connection $connection = null): bool
    {
        $connection ??= DB::connection();
        $wait = $connection instanceof SQLiteConnection ? $connection->getConfig('busy_timeout') : null;
        try {
            if ($wait !== null) {
                $connection->statement('pragma busy_timeout = '.self::WAITS);
            }
            $does();

            return true;
        } catch (PDOException $problem) {
            if (Trouble::of($problem) === null) {
                throw $problem;
            }

            return false;
        } finally {
            if (is_int($wait)) {
                $connection->statement("pragma busy_timeout = {$wait}");
            }
        }
    }
}
