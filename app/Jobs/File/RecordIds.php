<?php

declare(strict_types=1);

namespace App\Jobs\File;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Str;

/**
 * Ids of the records of a file as they are written here: its own where they are free, so that what comes in goes out
 * again as it was; new ones where such a row is here already, as in a copy. What refers to a record goes along.
 */
final readonly class RecordIds
{
    /** Where a record of each table names others: a column, or a key of what is in it. */
    private const REFERS = [
        'readings' => ['corrects_id'],
        'marks' => ['reading_id'],
        'trace' => ['body.row', 'body.record', 'body.signs'],
    ];

    /** @param  array<string, string>  $ids  here, by those in the file */
    private function __construct(private array $ids)
    {
    }

    /**
     * @param  list<array{table: string, old: string, ...}>  $rows
     * @param  array<string, class-string<Model>>  $tables
     */
    public static function of(array $rows, array $tables): self
    {
        $ids = [];
        foreach ($tables as $table => $model) {
            $old = array_column(array_filter($rows, static fn (array $r): bool => $r['table'] === $table), 'old');
            $old = array_values(array_filter($old, Str::isUlid(...)));
            $taken = [];
            foreach (array_chunk($old, 500) as $some) {
                $taken += array_flip(
                    array_filter($model::query()->whereKey($some)->pluck('id')->all(), is_string(...)),
                );
            }
            foreach ($old as $id) {
                $ids[$id] = isset($taken[$id]) || isset($ids[$id]) ? (string) Str::ulid() : $id;
            }
        }

        return new self($ids);
    }

    /** For a record of the file; a new one where it names none that can be kept. */
    public function here(string $old): string
    {
        return $this->ids[$old] ?? (string) Str::ulid();
    }

    /**
     * @param  array<string, mixed>  $row
     * @return array<string, mixed> the same with every record that it names as it is called here
     */
    public function mended(string $table, array $row): array
    {
        foreach (self::REFERS[$table] ?? [] as $path) {
            [$column, $key] = [...explode('.', $path), ''];
            $value = $row[$column] ?? null;
            if ($key === '') {
                $row[$column] = $this->called($value);
            } elseif (is_array($value) && isset($value[$key])) {
                $row[$column] = [...$value, $key => $this->called($value[$key])];
            }
        }

        return $row;
    }

    /** One id or a list of them as they are called here; what is none stays as it is. */
    private function called(mixed $named): mixed
    {
        return match (true) {
            is_string($named) => $this->ids[$named] ?? $named,
            is_array($named) => array_map($this->called(...), $named),
            default => $named,
        };
    }
}
