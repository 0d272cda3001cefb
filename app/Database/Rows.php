<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\Connection;
use RuntimeException;
use stdClass;

/** Every row of one database into another of the same schema: SQLite and PostgreSQL either way. */
final class Rows
{
    private const AT_ONCE = 250;

    /**
     * Worked out from the jobs and anew when it is next asked for; who is signed in, which is for this machine alone;
     * tries at the doors.
     */
    private const PASSING = ['job_summaries', 'sessions', 'limits'];

    /** @throws RuntimeException where not every row arrived */
    public static function copy(Connection $from, Connection $to): void
    {
        foreach (self::tables($from) as $table) {
            $dates = $to->getDriverName() === 'sqlite' ? self::dates($from, $table) : [];
            $from
                ->table($table)
                ->chunkById(
                    self::AT_ONCE,
                    static fn (iterable $rows): bool => $to
                        ->table($table)
                        ->insert(
                            collect($rows)->map(static fn (stdClass $row): array => self::row($row, $dates))->all(),
                        ),
                );
            [$there, $here] = [$from->table($table)->count(), $to->table($table)->count()];
            if ($there !== $here) {
                throw new RuntimeException("Of {$there} rows of {$table} {$here} arrived.");
            }
        }
    }

    /** Numbers that PostgreSQL gives go on after the highest that is there. */
    public static function countOn(Connection $postgres): void
    {
        foreach (self::tables($postgres) as $table) {
            $sequence = $postgres->scalar("select pg_get_serial_sequence(?, 'id')", [$table]);
            if (is_string($sequence)) {
                $postgres->statement("select setval(?, coalesce((select max(id) from {$table}), 0) + 1, false)", [
                    $sequence,
                ]);
            }
        }
    }

    /** @return list<string> those that hold what somebody did; of which schema each is written in `migrations` */
    private static function tables(Connection $connection): array
    {
        return array_values(
            array_filter(
                $connection->getSchemaBuilder()->getTableListing(schemaQualified: false),
                static fn (string $table): bool => $table !== 'migrations' &&
                    ! in_array($table, self::PASSING, true) &&
                    ! str_starts_with($table, 'job_words') &&
                    ! str_starts_with($table, 'sqlite_'),
            ),
        );
    }

    /**
     * @param  list<string>  $dates  columns that are days: SQLite has them with the hour of midnight
     * @return array<string, mixed>
     */
    private static function row(stdClass $row, array $dates): array
    {
        $values = [];
        foreach ((array) $row as $column => $value) {
            $values[(string) $column] = match (true) {
                // Bound as text: with all of its figures.
                is_float($value) => json_encode($value, JSON_THROW_ON_ERROR),
                is_string($value) && in_array($column, $dates, true) => substr($value, 0, 10).' 00:00:00',
                default => $value,
            };
        }

        return $values;
    }

    /** @return list<string> */
    private static function dates(Connection $connection, string $table): array
    {
        $columns = $connection->getSchemaBuilder()->getColumns($table);

        return array_column(
            array_filter($columns, static fn (array $c): bool => $c['type_name'] === 'date'),
            'name',
        );
    }
}
