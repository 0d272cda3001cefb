<?php

declare(strict_types=1);

namespace App\Jobs\File;

use App\Models\Crew\User;
use App\Models\Job;
use App\Models\Record\Measurement;
use App\Models\Record\MoveTick;
use App\Models\Record\Observation;
use App\Models\Record\PowerEvent;
use App\Models\Record\Reading;
use App\Models\Record\ReadingMark;
use App\Models\Record\SettingEntry;
use App\Models\Record\Signature;
use App\Models\Record\StepEvent;
use App\Models\Record\TemporaryThing;
use App\Models\Record\Waiver;
use App\Models\Tracing\TraceRow;
use App\Records\AppendMany;
use App\Records\Photo\Photographs;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Data\Plain;
use Unionbit\Core\Words\Message;

/**
 * What was recorded on a job, as a job file carries it: readings and the marks on them, signs, measurements, settings,
 * moves, steps, power, calls left out and signatures, each with its time, whether it is simulated, and the name of who
 * wrote it. Read in, a row keeps that name as text of the file. Photographs are pictures and stay behind.
 */
final readonly class JobRecords
{
    /** Rows, of whatever kinds. */
    private const MOST = 2000;

    private const LONGEST_NAME = 80;

    private const MOST_PLACE = 1_000_000;

    /** @var array<string, class-string<Model>> */
    private const TABLES = [
        'readings' => Reading::class,
        'signs' => Observation::class,
        'settings' => SettingEntry::class,
        'power' => PowerEvent::class,
        'moves' => MoveTick::class,
        'steps' => StepEvent::class,
        'temporary' => TemporaryThing::class,
        'trace' => TraceRow::class,
        'waivers' => Waiver::class,
        'measurements' => Measurement::class,
        'marks' => ReadingMark::class,
        'signatures' => Signature::class,
    ];

    private const STAGES = ['surveyed_at', 'planned_at', 'handed_over_at'];

    /**
     * @param  list<array{table: string, old: string, seq: ?int, pointer: string, row: array<string, mixed>}>  $rows
     *     in the order in which they happened
     * @param  array<string, string>  $stages
     */
    private function __construct(private array $rows, private array $stages)
    {
    }

    /** @return array<string, mixed> */
    public static function of(Job $job): array
    {
        $rows = [];
        foreach (self::TABLES as $name => $model) {
            foreach ($model::query()->with('user')->where('job_id', $job->id)->get() as $row) {
                $rows[] = [$name, $row];
            }
        }
        usort(
            $rows,
            static fn (array $a, array $b): int => $a[1]->getAttribute('seq') <=> $b[1]->getAttribute('seq'),
        );
        $written = array_fill_keys(array_keys(self::TABLES), []);
        foreach ($rows as $n => [$name, $row]) {
            $written[$name][] = self::row($name, $row, $n + 1);
        }
        foreach (self::STAGES as $stage) {
            $at = $job->getAttribute($stage);
            if ($at instanceof Carbon) {
                $written[$stage] = $at->toIso8601String();
            }
        }

        return array_filter($written, static fn (mixed $part): bool => $part !== []);
    }

    /** @throws InvalidData */
    public static function read(mixed $json): self
    {
        if ($json === null) {
            return new self([], []);
        }
        if (! is_array($json)) {
            throw InvalidData::notAllowed('/records', $json, Message::of('jobs.job-records.object'));
        }
        $rows = $stages = [];
        foreach ($json as $name => $part) {
            if (in_array($name, self::STAGES, true)) {
                $stages[$name] = RecordColumns::time($part, "/records/{$name}");
            } elseif (! isset(self::TABLES[$name])) {
                throw InvalidData::notAllowed(
                    '/records',
                    $name,
                    implode(', ', [...array_keys(self::TABLES), ...self::STAGES]),
                );
            } else {
                array_push($rows, ...self::table((string) $name, $part));
            }
        }
        if (count($rows) > self::MOST) {
            throw InvalidData::unreadable(
                '/records',
                Message::of(
                    'jobs.job-records.has-records-allowed-at-most',
                    count: count($rows),
                    most_altogether: self::MOST,
                ),
            );
        }
        // As it happened. Files of before say only when: in one second a reading before what is said of it.
        usort($rows, static fn (array $a, array $b): int => self::order($a) <=> self::order($b));
        self::refer($rows);

        return new self($rows, $stages);
    }

    /**
     * @param  array{table: string, seq: ?int, row: array<string, mixed>, ...}  $record
     * @return list<mixed>
     */
    private static function order(array $record): array
    {
        return [
            $record['seq'],
            $record['row']['at'] ?? null,
            (int) ($record['table'] === 'marks'),
            (int) isset($record['row']['corrects_id']),
        ];
    }

    /**
     * A mark and a correction stand for a reading of the same file that was taken before.
     *
     * @param  list<array{table: string, old: string, seq: ?int, pointer: string, row: array<string, mixed>}>  $rows
     *
     * @throws InvalidData
     */
    private static function refer(array $rows): void
    {
        $taken = [];
        foreach ($rows as ['table' => $table, 'old' => $old, 'pointer' => $pointer, 'row' => $row]) {
            foreach (['corrects_id', 'reading_id'] as $column) {
                $id = $row[$column] ?? null;
                if (is_string($id) && ! isset($taken[$id])) {
                    throw InvalidData::notAllowed(
                        "{$pointer}/{$column}",
                        $id,
                        Message::of('jobs.job-records.id-earlier-reading-file'),
                    );
                }
            }
            if ($table === 'readings' && $old !== '') {
                $taken[$old] = true;
            }
        }
    }

    /** How many records a job file holds, whatever they are. */
    public static function count(mixed $json): int
    {
        $records = is_array($json) && is_array($json['records'] ?? null) ? $json['records'] : [];

        return array_sum(array_map(static fn (mixed $part): int => is_array($part) ? count($part) : 0, $records));
    }

    /** Whether the file says anything that a person recorded. */
    public function isEmpty(): bool
    {
        return $this->rows === [] && $this->stages === [];
    }

    /** The stages that were through, on a new job. */
    public function closeStages(Job $job): void
    {
        $job->forceFill([...$this->stages, 'imported_at' => $this->isEmpty() ? null : now()])->save();
    }

    /** How many records of the file a job has not. */
    public function missing(Job $job): int
    {
        return count($this->notIn($job));
    }

    /** @return list<array{table: string, old: string, seq: ?int, pointer: string, row: array<string, mixed>}> */
    public function all(): array
    {
        return $this->rows;
    }

    /**
     * What the file has and the job has not.
     *
     * @return list<array{table: string, old: string, seq: ?int, pointer: string, row: array<string, mixed>}>
     */
    public function notIn(Job $job): array
    {
        $here = [];
        foreach (self::TABLES as $table => $model) {
            $ids = $model::query()->where('job_id', $job->id)->pluck('id')->all();
            $here[$table] = array_flip(array_filter($ids, is_string(...)));
        }

        return array_values(
            array_filter($this->rows, static fn (array $r): bool => ! isset($here[$r['table']][$r['old']])),
        );
    }

    /**
     * Rows of it worked out, to be written behind what the job has.
     *
     * @param  list<array{table: string, old: string, seq: ?int, pointer: string, row: array<string, mixed>}>  $rows
     */
    public function prepared(array $rows, string $jobId, User $user): AppendMany
    {
        $ids = RecordIds::of($rows, self::TABLES);
        $many = new AppendMany($jobId, $user);
        foreach ($rows as ['table' => $table, 'old' => $old, 'row' => $row]) {
            $many->add(self::TABLES[$table], $ids->here($old), $ids->mended($table, $row));
        }

        return $many;
    }

    /** @return array<string, mixed> */
    private static function row(string $name, Model $row, int $place): array
    {
        $user = $row->getRelation('user');
        $at = $row->getAttribute('at');
        $by = $row->getAttribute('from_file') ?? ($user instanceof User ? $user->name : '');

        return [
            'id' => $row->getKey(),
            'seq' => $place,
            'at' => $at instanceof Carbon ? $at->toIso8601String() : null,
            'by' => $by,
            'simulated' => $row->getAttribute('simulated'),
            ...$row->only(array_keys(RecordColumns::ALL[$name])),
        ];
    }

    /** Place in the order of all records of the file; null in a file of before. */
    private static function place(mixed $value, string $pointer): ?int
    {
        return $value === null || (is_int($value) && $value > 0 && $value <= self::MOST_PLACE)
            ? $value
            : throw InvalidData::notAllowed(
                $pointer,
                $value,
                Message::of('jobs.job-records.place', most: self::MOST_PLACE),
            );
    }

    private static function text(mixed $value): string
    {
        return is_string($value) ? $value : '';
    }

    /**
     * @return list<array{table: string, old: string, seq: ?int, pointer: string, row: array<string, mixed>}>
     *
     * @throws InvalidData
     */
    private static function table(string $name, mixed $part): array
    {
        if (! is_array($part) || count($part) > self::MOST) {
            throw InvalidData::unreadable(
                "/records/{$name}",
                Message::of('jobs.job-records.not-list-at-most-records', most: self::MOST),
            );
        }
        $rows = $seen = [];
        foreach (array_values($part) as $index => $row) {
            $read = self::record($name, $row, "/records/{$name}/{$index}");
            $id = $read['old'];
            if ($id !== '' && isset($seen[$id])) {
                throw InvalidData::notAllowed(
                    "{$read['pointer']}/id",
                    $id,
                    Message::of('jobs.job-records.each-once'),
                );
            }
            $seen[$id] = true;
            $rows[] = $read;
        }

        return $rows;
    }

    /**
     * @return array{table: string, old: string, seq: ?int, pointer: string, row: array<string, mixed>}
     *
     * @throws InvalidData
     */
    private static function record(string $name, mixed $row, string $pointer): array
    {
        if (! is_array($row)) {
            throw InvalidData::notAllowed($pointer, $row, Message::of('jobs.job-records.object'));
        }
        $by = $row['by'] ?? '';
        $simulated = $row['simulated'] ?? false;
        if (! is_string($by) || mb_strlen($by) > self::LONGEST_NAME || ! Plain::isLine($by)) {
            throw InvalidData::unreadable(
                "{$pointer}/by",
                Message::of('jobs.job-records.no-name-at-most-characters', longest_name: self::LONGEST_NAME),
            );
        }
        if (! is_bool($simulated)) {
            throw InvalidData::notAllowed(
                "{$pointer}/simulated",
                $simulated,
                Message::of('jobs.job-records.true-or-false'),
            );
        }

        return [
            'table' => $name,
            'old' => self::text($row['id'] ?? null),
            'seq' => self::place($row['seq'] ?? null, "{$pointer}/seq"),
            'pointer' => $pointer,
            'row' => [
                ...RecordColumns::read($name, $row, $pointer),
                'at' => RecordColumns::time($row['at'] ?? null, "{$pointer}/at"),
                'from_file' => $by,
                'simulated' => $simulated,
            ],
        ];
    }
}
