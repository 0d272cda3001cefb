<?php

declare(strict_types=1);

namespace App\Health;

use App\Backup\Backup;
use App\Backup\Broken;
use App\Backup\Manifest;
use App\Errand\CutOff;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use PDOException;
use Throwable;

/**
 * Whether this server can do its work: disk, database, queue, scheduler, clock, backups. In English, for whoever runs
 * it.
 */
final class Health
{
    /** Bytes that must be free: a day of photographs. */
    public const LEAST_FREE = 500_000_000;

    /** Seconds without a beat after which somebody is taken for dead; a minute's work, and two more. */
    public const LONGEST_SILENCE = 180;

    /** Seconds that the clock may go back, as when it is set right a little. */
    private const CLOCK_SLACK = 30;

    /** Hours after which a backup that is made every day is overdue. */
    private const BACKUP_HOURS = 26;

    /** @return list<Check> */
    public static function checks(): array
    {
        return [
            self::disk(),
            self::database(),
            self::asked('queue', self::queue(...)),
            self::asked('work', self::work(...)),
            self::scheduler(),
            self::asked('clock', self::clock(...)),
            self::backup(),
        ];
    }

    /** @param  callable(): Check  $look  which asks the database */
    private static function asked(string $name, callable $look): Check
    {
        try {
            return $look();
        } catch (PDOException) {
            return new Check($name, false, 'It cannot be looked at: the database does not answer.');
        }
    }

    private static function disk(): Check
    {
        $free = disk_free_space(storage_path());
        $probe = storage_path('framework/health');
        $written = @file_put_contents($probe, 'x') === 1;
        @unlink($probe);
        $megabytes = number_format((float) $free / 1e6);

        return match (true) {
            ! $written => new Check('disk', false, 'storage/ cannot be written: full, read-only, or not ours.'),
            $free < self::LEAST_FREE => new Check('disk', false, "{$megabytes} MB are free: make room."),
            default => new Check('disk', true, "{$megabytes} MB are free."),
        };
    }

    private static function database(): Check
    {
        try {
            $began = microtime(true);
            // A write that changes nothing: it takes the lock, and fails where the file is read-only.
            DB::transaction(
                static fn (): int => DB::table('migrations')
                    ->where('id', -1)
                    ->delete(),
            );
            $milliseconds = (int) round(1000 * (microtime(true) - $began));

            return new Check('database', true, "A write takes {$milliseconds} ms.");
        } catch (Throwable $problem) {
            return new Check('database', false, "It takes no writes: {$problem->getMessage()}");
        }
    }

    private static function queue(): Check
    {
        if (config('queue.default') === 'sync') {
            return new Check('queue', true, 'Work is done at once, there is no queue.');
        }
        $age = Beat::age('queue');
        $waiting = DB::table('queue_work')->count();

        return $age === null || $age > self::LONGEST_SILENCE
            ? new Check('queue', false, "No worker is heard of, {$waiting} wait: systemctl restart unionbit-queue")
            : new Check('queue', true, "A worker was heard of {$age} s ago, {$waiting} wait.");
    }

    /** Work that somebody waits for, and nobody does. */
    private static function work(): Check
    {
        $hangs = CutOff::hanging();

        return $hangs === null
            ? new Check('work', true, 'Nothing hangs.')
            : new Check(
                'work',
                false,
                "{$hangs['count']} hang, the first a {$hangs['kind']} since {$hangs['since']->toIso8601String()}: ".
                    'systemctl restart unionbit-queue',
            );
    }

    private static function scheduler(): Check
    {
        $age = Beat::age('scheduler');

        return $age === null || $age > self::LONGEST_SILENCE
            ? new Check('scheduler', false, 'It is not heard of: systemctl restart unionbit-schedule.timer')
            : new Check('scheduler', true, "It was heard of {$age} s ago.");
    }

    /** A clock that went back would write records before those that are there. */
    private static function clock(): Check
    {
        $latest = DB::table('security_events')->max('at');
        $ahead = is_string($latest) ? (int) now()->diffInSeconds(Carbon::parse($latest), false) : 0;

        return $ahead > self::CLOCK_SLACK
            ? new Check('clock', false, "It stands {$ahead} s before what was last written: set it right.")
            : new Check('clock', true, 'It goes forward: '.now()->toIso8601String());
    }

    private static function backup(): Check
    {
        $root = config()->string('unionbit.backups');
        $all = Backup::all($root);
        $last = end($all);
        if (config()->string('unionbit.backup_at') === '') {
            return new Check('backup', true, 'None is made by itself: UNIONBIT_BACKUP_AT is empty.');
        }
        if ($last === false) {
            return new Check('backup', false, 'There is none: php artisan unionbit:backup');
        }
        try {
            $hours = (int) Carbon::parse(Manifest::read("{$root}/{$last}")->made)->diffInHours(now());
        } catch (Broken $broken) {
            return new Check('backup', false, $broken->getMessage());
        }

        return $hours > self::BACKUP_HOURS
            ? new Check('backup', false, "The last is {$hours} hours old: php artisan unionbit:backup")
            : new Check('backup', true, "The last is {$hours} hours old, ".count($all).' are kept.');
    }
}
