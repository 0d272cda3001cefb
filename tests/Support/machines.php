<?php

declare(strict_types=1);

use Illuminate\Filesystem\Filesystem;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;

/** A machine of its own: a database in a file, a disk for photographs. Nothing of another machine is on it. */
function machine(Closure $does): void
{
    $folder = sys_get_temp_dir().'/machine-'.Str::ulid();
    mkdir($folder);
    config([
        'database.connections.machine' => [
            ...config()->array('database.connections.sqlite'),
            'database' => "{$folder}/unionbit.sqlite",
        ],
    ]);
    touch("{$folder}/unionbit.sqlite");
    $default = DB::getDefaultConnection();
    DB::purge('machine');
    DB::setDefaultConnection('machine');
    Storage::fake('local');
    // What is written beside the database (the maintenance page, a probe of the disk) is of this machine too.
    $storage = storage_path();
    mkdir("{$folder}/storage/framework", recursive: true);
    app()->useStoragePath("{$folder}/storage");
    try {
        $does("{$folder}/unionbit.sqlite", $folder);
    } finally {
        app()->useStoragePath($storage);
        DB::setDefaultConnection($default);
        DB::purge('machine');
        (new Filesystem())->deleteDirectory($folder);
    }
}

/** @return array<string, list<array<string, mixed>>> every row of every table */
function everyRow(): array
{
    $rows = [];
    foreach (Schema::getTableListing(schemaQualified: false) as $table) {
        $all = DB::table($table)->get()->map(static fn (object $row): array => (array) $row)->all();
        usort($all, static fn (array $a, array $b): int => serialize($a) <=> serialize($b));
        $rows[$table] = $all;
    }

    return $rows;
}
