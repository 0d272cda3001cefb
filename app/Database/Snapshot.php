<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\Connection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use RuntimeException;

/**
 * The whole database at one moment as a file of SQLite, and such a file in the place of the database: whichever of the
 * two databases this server has, a backup of it is the same.
 */
final class Snapshot
{
    private const NAME = 'snapshot';

    /** Written while others write. The file is new. */
    public static function take(string $file): void
    {
        if (DB::getDriverName() === 'sqlite') {
            DB::statement('vacuum into ?', [$file]);
            self::endSessions($file);

            return;
        }
        // A connection of its own, whose transaction reads and holds nobody up.
        config([
            'database.connections.source' => config()->array('database.connections.'.DB::getDefaultConnection()),
        ]);
        $source = DB::connection('source');
        $source->getPdo()->exec('begin isolation level repeatable read, read only');
        try {
            touch($file);
            self::on($file, static function (Connection $copy) use ($source): void {
                SchemaOf::make($copy, SchemaOf::names($source));
                $copy->statement('pragma foreign_keys = off');
                $copy->transaction(static fn () => Rows::copy($source, $copy));
            });
        } finally {
            DB::purge('source');
        }
    }

    /** Who is signed in is for this machine alone: nobody comes in by a backup. Nothing of it stays in the file. */
    private static function endSessions(string $file): void
    {
        self::on($file, static function (Connection $copy): void {
            $copy->statement('pragma secure_delete = on');
            if ($copy->getSchemaBuilder()->hasTable('sessions')) {
                $copy->table('sessions')->delete();
            }
        });
    }

    /** @throws RuntimeException where it cannot be put; what stood there stands then */
    public static function put(string $file, string $database): void
    {
        if (DB::getDriverName() === 'sqlite') {
            self::replace($file, $database);

            return;
        }
        self::on($file, static function (Connection $from): void {
            $to = DB::connection();
            $to->transaction(static function () use ($from, $to): void {
                Schema::dropAllTables();
                SchemaOf::make($to, SchemaOf::names($from));
                ForeignKeys::whileLoose($to, static fn () => Rows::copy($from, $to));
                Rows::countOn($to);
            });
        });
    }

    /** Beside its place first, so that a full disk or a power cut leaves what was there. */
    private static function replace(string $file, string $database): void
    {
        $beside = "{$database}.restored";
        if (! @copy($file, $beside)) {
            throw new RuntimeException("{$beside} cannot be written: the disk may be full.");
        }
        chmod($beside, 0600);
        DB::purge();
        foreach (['-wal', '-shm'] as $log) {
            @unlink($database.$log);
        }
        rename($beside, $database);
        DB::reconnect();
    }

    /** @param  callable(Connection): void  $does  with a connection to a file of SQLite */
    private static function on(string $file, callable $does): void
    {
        config([
            'database.connections.'.self::NAME => [
                ...config()->array('database.connections.sqlite'),
                ...['database' => $file, 'journal_mode' => 'DELETE'],
            ],
        ]);
        try {
            $does(DB::connection(self::NAME));
        } finally {
            DB::purge(self::NAME);
        }
    }
}
