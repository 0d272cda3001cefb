<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use RuntimeException;

/**
 * Going back a migration never throws away what somebody recorded: it works on empty tables, and is refused on
 * others.
 */
final class RecordsStay
{
    /** @throws RuntimeException naming the first table that holds anything */
    public static function unlessEmpty(string ...$tables): void
    {
        foreach ($tables as $table) {
            $rows = Schema::hasTable($table) ? DB::table($table)->count() : 0;
            if ($rows > 0) {
                throw new RuntimeException(
                    "Not rolled back: the table {$table} holds {$rows} ".
                        ($rows === 1 ? 'row' : 'rows').
                        ' that would be lost. Take a backup, and start a fresh database with migrate:fresh.',
                );
            }
        }
    }

    /** @throws RuntimeException where a column says something that the table before it could not hold */
    public static function unlessUnused(string $table, string $column, mixed $unused = null): void
    {
        $used = DB::table($table);
        $used = $unused === null ? $used->whereNotNull($column) : $used->where($column, '!=', $unused);
        $rows = $used->count();
        if ($rows > 0) {
            throw new RuntimeException(
                "Not rolled back: {$column} of {$rows} ".
                    ($rows === 1 ? 'row' : 'rows').
                    " in {$table} would be lost.",
            );
        }
    }
}
