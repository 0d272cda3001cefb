<?php

declare(strict_types=1);

namespace App\Backup;

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Facades\Storage;

/**
 * Puts a backup on a machine that has nothing yet: first every file is checked against its sum, then the photographs,
 * then the database takes its place in one step, then it is brought to the schema of this program.
 */
final readonly class Restore
{
    public function __construct(private string $folder)
    {
    }

    /**
     * @param  bool  $aside  what is here already is put aside first, whole
     * @return int photographs put back
     *
     * @throws Broken where the backup is not whole, is newer than this program, or something is here already
     */
    public function run(string $database, bool $aside = false): int
    {
        $manifest = Manifest::read($this->folder);
        $problems = $manifest->problems($this->folder);
        if ($problems !== []) {
            throw new Broken("Nothing was changed.\n".implode("\n", $problems));
        }
        $newer = array_diff($manifest->schema, self::known());
        if ($newer !== []) {
            throw new Broken(
                'The backup is of a newer program, with '.implode(', ', $newer).': upgrade first.',
            );
        }
        if (! is_file($database)) {
            // An empty machine has no database yet.
            touch($database);
        }
        if (self::isInUse() && $aside) {
            $this->putAside($database);
        } elseif (self::isInUse()) {
            throw new Broken(
                "{$database} holds a crew already: restore to a machine that has none, or put it aside with --aside.",
            );
        }
        $photographs = $this->photographs($manifest);
        $this->database($database);
        Artisan::call('migrate', ['--force' => true]);
        Cache::flush();

        return $photographs;
    }

    /** @return list<string> migrations that this program has */
    private static function known(): array
    {
        $paths = [...app('migrator')->paths(), database_path('migrations')];

        return array_map(strval(...), array_keys(app('migrator')->getMigrationFiles($paths)));
    }

    private static function isInUse(): bool
    {
        return Schema::hasTable('crews') && DB::table('crews')->exists();
    }

    /** What stands there is kept beside, whole. Photographs are never changed: those that it names stay. */
    private function putAside(string $database): void
    {
        $to = $database.'.aside-'.now()->utc()->format('Y-m-d\THis\Z');
        DB::statement('vacuum into ?', [$to]);
        chmod($to, 0600);
    }

    private function photographs(Manifest $manifest): int
    {
        $count = 0;
        $disk = Storage::disk('local');
        foreach (array_keys($manifest->files) as $name) {
            $path = str_starts_with($name, Manifest::PHOTOS.'/')
                ? substr($name, strlen(Manifest::PHOTOS) + 1)
                : null;
            $stream = $path === null ? false : fopen("{$this->folder}/{$name}", 'r');
            if ($path !== null && $stream !== false) {
                if (! $disk->put($path, $stream)) {
                    throw new Broken(
                        "{$path} cannot be written: the disk may be full. The database was not touched.",
                    );
                }
                fclose($stream);
                $count++;
            }
        }

        return $count;
    }

    /** Beside its place first, so that a full disk or a power cut leaves what was there. */
    private function database(string $database): void
    {
        $beside = "{$database}.restored";
        if (! @copy("{$this->folder}/".Manifest::DATABASE, $beside)) {
            throw new Broken("{$beside} cannot be written: the disk may be full.");
        }
        chmod($beside, 0600);
        DB::purge();
        foreach (['-wal', '-shm'] as $log) {
            @unlink($database.$log);
        }
        rename($beside, $database);
        DB::reconnect();
    }
}
