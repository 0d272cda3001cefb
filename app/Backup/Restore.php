<?php

declare(strict_types=1);

namespace App\Backup;

use App\Database\SchemaOf;
use App\Database\Snapshot;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Facades\Storage;
use RuntimeException;

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
     * @param  string  $database  file of it; the name of it, with PostgreSQL
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
        $newer = array_diff($manifest->schema, array_keys(SchemaOf::known()));
        if ($newer !== []) {
            throw new Broken(
                'The backup is of a newer program, with '.implode(', ', $newer).': upgrade first.',
            );
        }
        if (DB::getDriverName() === 'sqlite' && ! is_file($database)) {
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
        try {
            Snapshot::put("{$this->folder}/".Manifest::DATABASE, $database);
        } catch (RuntimeException $problem) {
            throw new Broken($problem->getMessage());
        }
        Artisan::call('migrate', ['--force' => true]);
        Cache::flush();

        return $photographs;
    }

    private static function isInUse(): bool
    {
        return Schema::hasTable('crews') && DB::table('crews')->exists();
    }

    /** What stands there is kept beside, whole. Photographs are never changed: those that it names stay. */
    private function putAside(string $database): void
    {
        $beside = DB::getDriverName() === 'sqlite' ? $database : storage_path('unionbit');
        $to = $beside.'.aside-'.now()->utc()->format('Y-m-d\THis\Z');
        Snapshot::take($to);
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
}
