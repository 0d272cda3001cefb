<?php

declare(strict_types=1);

namespace App\Backup;

use App\Database\SchemaOf;
use App\Database\Snapshot;
use Closure;
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
    /** @param  ?string  $key  file of the key, where the backup is sealed */
    public function __construct(private string $folder, private ?string $key = null)
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
        $manifest = $this->checked();
        // With another key than its own nothing is changed.
        $photographs = $this->open(
            $manifest->database(),
            fn (string $from): int => $this->put($manifest, $from, $database, $aside),
        );
        Artisan::call('migrate', ['--force' => true]);
        Cache::flush();

        return $photographs;
    }

    /** @return int photographs put back */
    private function put(Manifest $manifest, string $from, string $database, bool $aside): int
    {
        $this->makeRoom($database, $aside);
        $photographs = $this->photographs($manifest);
        try {
            Snapshot::put($from, $database);
        } catch (RuntimeException $problem) {
            throw new Broken($problem->getMessage());
        }

        return $photographs;
    }

    /** @throws Broken where a crew is here, and is not to be put aside */
    private function makeRoom(string $database, bool $aside): void
    {
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
    }

    /** @throws Broken where the backup is not whole, sealed to a key that is not here, or newer than this program */
    private function checked(): Manifest
    {
        $manifest = Manifest::read($this->folder);
        $problems = [
            ...isset($manifest->files[$manifest->database()]) ? [] : [Manifest::FILE.' names no database.'],
            ...$manifest->problems($this->folder),
        ];
        if ($problems !== []) {
            throw new Broken("Nothing was changed.\n".implode("\n", $problems));
        }
        if ($manifest->sealedTo !== null && $this->key === null) {
            throw new Broken("It is sealed to {$manifest->sealedTo}: --key=FILE with the key of that name.");
        }
        $newer = array_diff($manifest->schema, array_keys(SchemaOf::known()));
        if ($newer !== []) {
            throw new Broken(
                'The backup is of a newer program, with '.implode(', ', $newer).': upgrade first.',
            );
        }

        return $manifest;
    }

    /**
     * A file of it that can be read; what was sealed is gone again afterwards, whatever happens.
     *
     * @template T
     *
     * @param  Closure(string): T  $does
     * @return T
     */
    private function open(string $name, Closure $does): mixed
    {
        $file = "{$this->folder}/{$name}";
        if (! str_ends_with($name, Seal::ENDS)) {
            return $does($file);
        }
        $open = storage_path('framework/restore-'.bin2hex(random_bytes(6)));
        try {
            Seal::open($file, $open, (string) $this->key);

            return $does($open);
        } finally {
            @unlink($open);
        }
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
            if (! str_starts_with($name, Manifest::PHOTOS.'/')) {
                continue;
            }
            $path = substr($name, strlen(Manifest::PHOTOS) + 1);
            $path = $manifest->sealedTo === null ? $path : substr($path, 0, -strlen(Seal::ENDS));
            $this->open($name, static function (string $file) use ($disk, $path): void {
                $stream = fopen($file, 'r');
                if ($stream === false || ! $disk->put($path, $stream)) {
                    throw new Broken(
                        "{$path} cannot be written: the disk may be full. The database was not touched.",
                    );
                }
                fclose($stream);
            });
            $count++;
        }

        return $count;
    }
}
