<?php

declare(strict_types=1);

namespace App\Backup;

use JsonException;

/** What a backup holds: every file with its size and its sum, and the schema of its database. An open format: JSON. */
final readonly class Manifest
{
    public const FILE = 'manifest.json';

    public const DATABASE = 'database.sqlite';

    public const PHOTOS = 'photographs';

    private const FORMAT = 'unionbit-backup/1';

    /**
     * @param  list<string>  $schema  names of the migrations that made it
     * @param  array<string, array{bytes: int, sha256: string}>  $files  by path in the backup
     * @param  list<string>  $missing  photographs that the database names and the disk no longer has
     * @param  ?string  $sealedTo  key of age that its files are sealed to
     */
    public function __construct(
        public string $made,
        public array $schema,
        public array $files,
        public array $missing,
        public ?string $sealedTo = null,
    ) {
    }

    public function write(string $folder): void
    {
        file_put_contents(
            "{$folder}/".self::FILE,
            json_encode(
                [
                    'format' => self::FORMAT,
                    'made' => $this->made,
                    'schema' => $this->schema,
                    'missing' => $this->missing,
                    ...$this->sealedTo === null ? [] : ['sealedTo' => $this->sealedTo],
                    'files' => $this->files,
                ],
                JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR,
            )."\n",
        );
    }

    /** @throws Broken where there is none, or none that can be read */
    public static function read(string $folder): self
    {
        $path = "{$folder}/".self::FILE;
        if (! is_file($path)) {
            throw new Broken("{$path} is not there: this is no backup, or one that was cut off.");
        }
        try {
            $read = json_decode((string) file_get_contents($path), true, flags: JSON_THROW_ON_ERROR);
        } catch (JsonException $problem) {
            throw new Broken("{$path} cannot be read: {$problem->getMessage()}.");
        }
        if (! is_array($read) || ($read['format'] ?? '') !== self::FORMAT) {
            throw new Broken("{$path} is not of the format ".self::FORMAT.'.');
        }
        $files = [];
        foreach (is_array($read['files'] ?? null) ? $read['files'] : [] as $name => $file) {
            $bytes = is_array($file) ? $file['bytes'] ?? null : null;
            $sum = is_array($file) ? $file['sha256'] ?? null : null;
            if (! is_int($bytes) || ! is_string($sum) || str_contains((string) $name, '..')) {
                throw new Broken("{$path}: the entry of {$name} cannot be read.");
            }
            $files[(string) $name] = ['bytes' => $bytes, 'sha256' => $sum];
        }

        return new self(
            is_string($read['made'] ?? null) ? $read['made'] : '',
            self::texts($read['schema'] ?? []),
            $files,
            self::texts($read['missing'] ?? []),
            is_string($read['sealedTo'] ?? null) ? $read['sealedTo'] : null,
        );
    }

    /** @return list<string> */
    private static function texts(mixed $list): array
    {
        return is_array($list) ? array_values(array_filter($list, is_string(...))) : [];
    }

    /** The file of the database in it. */
    public function database(): string
    {
        return self::DATABASE.($this->sealedTo === null ? '' : Seal::ENDS);
    }

    /** @return list<string> what of a folder is not as it says, file by file */
    public function problems(string $folder): array
    {
        $problems = [];
        foreach ($this->files as $name => $file) {
            $path = "{$folder}/{$name}";
            $problems[] = match (true) {
                ! is_file($path) => "{$name} is not there.",
                filesize($path) !== $file['bytes'] => sprintf(
                    '%s has %d bytes; %d were written.',
                    $name,
                    filesize($path),
                    $file['bytes'],
                ),
                hash_file('sha256', $path) !== $file['sha256'] => "{$name} is not what was written: its sum differs.",
                default => null,
            };
        }

        return array_values(array_filter($problems, is_string(...)));
    }
}
