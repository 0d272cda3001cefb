<?php

declare(strict_types=1);

namespace App\Backup;

use App\Database\Snapshot;
use DateTimeImmutable;
use DateTimeInterface;
use FilesystemIterator;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Support\Facades\Storage;
use PDO;
use PDOException;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use RuntimeException;
use SplFileInfo;

/**
 * A backup made while the server is in use: the database as it was at one moment, then every photograph that it names.
 * A photograph is on the disk before its row is acknowledged, and is never changed: what the copy names is there, and
 * what an earlier backup has of it is linked, not copied. Half a backup has another name.
 */
final readonly class Backup
{
    private const HALF = '.half';

    public function __construct(private string $root, private ?Seal $seal = null)
    {
    }

    /** Of this server, as its settings want it. */
    public static function ofSettings(?string $root = null): self
    {
        return new self($root ?? config()->string('unionbit.backups'), Seal::wanted());
    }

    /**
     * @param  ?callable(int, int): void  $tell  how many photographs of how many are in it
     *
     * @throws Broken where it cannot be written, or what was written is not whole
     */
    public function make(DateTimeImmutable $now, ?callable $tell = null): string
    {
        $name = $now->format('Y-m-d\THis\Z');
        $folder = "{$this->root}/{$name}";
        $half = $folder.self::HALF;
        if (is_dir($folder)) {
            throw new Broken("{$folder} is there already.");
        }
        $this->clear();
        if (! @mkdir($half.'/'.Manifest::PHOTOS, 0700, true)) {
            throw new Broken("{$half} cannot be written: the disk may be full, or not ours.");
        }
        $copy = $this->seal === null ? $half.'/'.Manifest::DATABASE : storage_path("framework/{$name}.sqlite");
        try {
            $this->database($copy);
            $missing = $this->photographs($copy, $half, $tell);
            $this->seal?->close($copy, $half.'/'.Manifest::DATABASE.Seal::ENDS);
            $schema = self::column($copy, 'select migration from migrations order by id');
        } finally {
            // A copy that can be read does not outlive the sealing.
            if ($this->seal !== null) {
                @unlink($copy);
            }
        }
        $made = $now->format(DateTimeInterface::ATOM);
        (new Manifest($made, $schema, $this->sums($half), $missing, $this->seal?->to))->write($half);
        if (! rename($half, $folder)) {
            throw new Broken("{$half} cannot be given its name.");
        }

        return $folder;
    }

    /**
     * @param  ?callable(int, int): void  $tell
     * @return list<string> those that the disk no longer has
     */
    private function photographs(string $copy, string $half, ?callable $tell): array
    {
        $missing = [];
        $earlier = self::all($this->root);
        $last = $earlier === [] ? '' : "{$this->root}/{$earlier[count($earlier) - 1]}";
        $last = $last !== '' && $this->isLike($last) ? $last : '';
        // The first schemas had no photographs yet.
        $has =
            self::column($copy, "select name from sqlite_master where type = 'table' and name = 'photos'") !== [];
        $paths = $has ? self::column($copy, 'select path from photos where path is not null order by path') : [];
        foreach ($paths as $number => $path) {
            if (! $this->photograph($path, $half, $last)) {
                $missing[] = $path;
            }
            if ($tell !== null && $number % 100 === 0) {
                $tell($number, count($paths));
            }
        }

        return $missing;
    }

    /** Whether the files of an earlier one are as those of this one would be. */
    private function isLike(string $earlier): bool
    {
        try {
            return Manifest::read($earlier)->sealedTo === $this->seal?->to;
        } catch (Broken) {
            return false;
        }
    }

    /** What a power cut left half done is no backup and never becomes one. */
    private function clear(): void
    {
        foreach (glob("{$this->root}/*".self::HALF) ?: [] as $half) {
            (new Filesystem())->deleteDirectory($half);
        }
    }

    /** The database at one moment, while others write; checked by the database itself. */
    private function database(string $copy): void
    {
        @unlink($copy);
        try {
            Snapshot::take($copy);
            $whole = self::column($copy, 'pragma integrity_check')[0] ?? 'no answer';
        } catch (RuntimeException $problem) {
            throw new Broken("The database cannot be copied: {$problem->getMessage()}");
        }
        if ($whole !== 'ok') {
            throw new Broken("The copy of the database is not whole: {$whole}");
        }
    }

    /**
     * @return list<string> one column of a copy
     *
     * @throws PDOException
     */
    private static function column(string $copy, string $asked): array
    {
        $pdo = new PDO("sqlite:{$copy}", options: [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION]);
        $rows = $pdo->query($asked);

        return $rows === false
            ? []
            : array_values(array_filter($rows->fetchAll(PDO::FETCH_COLUMN), is_string(...)));
    }

    /** @param  string  $last  folder of the last backup, whose file is linked; empty for none */
    private function photograph(string $path, string $half, string $last): bool
    {
        $from = Storage::disk('local')->path($path);
        $ends = $this->seal === null ? '' : Seal::ENDS;
        $to = "{$half}/".Manifest::PHOTOS."/{$path}{$ends}";
        if (! is_file($from)) {
            return false;
        }
        if (! is_dir(dirname($to))) {
            mkdir(dirname($to), 0700, true);
        }
        $earlier = "{$last}/".Manifest::PHOTOS."/{$path}{$ends}";
        $same = $this->seal !== null || @filesize($earlier) === filesize($from);
        $linked = $last !== '' && is_file($earlier) && $same && @link($earlier, $to);
        if (! $linked && $this->seal !== null) {
            $this->seal->close($from, $to);
        } elseif (! $linked && ! @copy($from, $to)) {
            throw new Broken("{$path} cannot be copied: the disk may be full.");
        }

        return true;
    }

    /** @return array<string, array{bytes: int, sha256: string}> */
    private function sums(string $half): array
    {
        $sums = [];
        $files = new RecursiveIteratorIterator(
            new RecursiveDirectoryIterator($half, FilesystemIterator::SKIP_DOTS),
        );
        foreach ($files as $file) {
            if ($file instanceof SplFileInfo && $file->isFile()) {
                $path = $file->getPathname();
                $sums[substr($path, strlen($half) + 1)] = [
                    'bytes' => (int) filesize($path),
                    'sha256' => (string) hash_file('sha256', $path),
                ];
            }
        }
        ksort($sums);

        return $sums;
    }

    /** @return list<string> names of whole backups, the oldest first */
    public static function all(string $root): array
    {
        $here = is_dir($root) ? scandir($root) : false;
        $found = array_filter(
            $here === false ? [] : $here,
            static fn (string $name): bool => preg_match('/^\d{4}-\d\d-\d\dT\d{6}Z$/', $name) === 1,
        );
        sort($found);

        return $found;
    }
}
