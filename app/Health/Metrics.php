<?php

declare(strict_types=1);

namespace App\Health;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Figures of this server as plain text, a name and a value a line, each with what it is: what collectors read. */
final class Metrics
{
    private const TABLES = ['crews', 'users', 'jobs', 'readings', 'observations', 'photos', 'sessions', 'errands'];

    public static function text(): string
    {
        $lines = $rows = $well = [];
        foreach (self::TABLES as $table) {
            $rows["{table=\"{$table}\"}"] = DB::table($table)->count();
        }
        foreach (Health::checks() as $check) {
            $well["{check=\"{$check->name}\"}"] = $check->well ? 1 : 0;
        }
        $lines[] = self::gauge('rows', 'Rows of a table.', $rows);
        $lines[] = self::gauge('well', 'Whether a check of the health page is well.', $well);
        $lines[] = self::gauge('disk_free_bytes', 'Free on the disk of the data.', [
            '' => (int) disk_free_space(storage_path()),
        ]);
        $lines[] = self::gauge('database_bytes', 'Size of the database.', ['' => self::size()]);
        $lines[] = self::gauge('queue_waiting', 'Work that waits.', ['' => DB::table('queue_work')->count()]);
        $lines[] = self::gauge('queue_failed', 'Work that failed.', ['' => DB::table('queue_failed')->count()]);
        $lines[] = self::gauge('signed_in', 'People with a session of the last hour.', [
            '' => DB::table('sessions')
                ->where('last_activity', '>', time() - 3600)
                ->whereNotNull('user_id')
                ->distinct()
                ->count('user_id'),
        ]);

        return implode("\n", $lines)."\n";
    }

    /** @param  array<string, int>  $values  by labels */
    private static function gauge(string $name, string $is, array $values): string
    {
        $lines = ["# HELP unionbit_{$name} {$is}", "# TYPE unionbit_{$name} gauge"];
        foreach ($values as $labels => $value) {
            $lines[] = "unionbit_{$name}{$labels} {$value}";
        }

        return implode("\n", $lines);
    }

    private static function size(): int
    {
        $all = array_map(static fn (array $table): int => (int) ($table['size'] ?? 0), Schema::getTables());
        $file = config()->string('database.connections.sqlite.database');

        return config('database.default') === 'sqlite' ? (int) @filesize($file) : array_sum($all);
    }
}
