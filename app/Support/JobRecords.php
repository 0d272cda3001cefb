<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Job;
use App\Models\Measurement;
use App\Models\MoveTick;
use App\Models\Observation;
use App\Models\PowerEvent;
use App\Models\Reading;
use App\Models\ReadingMark;
use App\Models\SettingEntry;
use App\Models\Signature;
use App\Models\StepEvent;
use App\Models\User;
use App\Models\Waiver;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use Throwable;
use Unionbit\Core\InvalidData;

/**
 * What was recorded on a job, as a job file carries it: readings and the marks on them, signs, measurements, settings,
 * moves, steps, power, calls left out and signatures, each with its time and the name of who wrote it. Photographs are
 * pictures and stay behind.
 */
final readonly class JobRecords
{
    private const MOST = 5000;

    /** Characters of a signature's strokes. */
    private const LONGEST_DRAWING = 400_000;

    /** @var array<string, class-string<Model>> */
    private const TABLES = ['readings' => Reading::class, 'signs' => Observation::class, 'settings' => SettingEntry::class, 'power' => PowerEvent::class, 'moves' => MoveTick::class, 'steps' => StepEvent::class, 'waivers' => Waiver::class, 'measurements' => Measurement::class, 'marks' => ReadingMark::class, 'signatures' => Signature::class];

    /** Columns of each table besides id, who and when. */
    private const COLUMNS = [
        'readings' => ['stage', 'step', 'call', 'mode', 'a', 'b', 'value', 'power', 'expected', 'outcome', 'reason', 'candidates', 'corrects_id', 'simulated'],
        'signs' => ['step', 'sign', 'seen', 'outcome', 'reason', 'simulated'],
        'settings' => ['key', 'value', 'old_value', 'reason'],
        'power' => ['state', 'volts', 'meter_proved'],
        'moves' => ['move', 'done'],
        'steps' => ['step', 'event'],
        'waivers' => ['call', 'reason'],
        'measurements' => ['figure', 'call', 'inputs', 'lines', 'tone', 'verdict', 'simulated'],
        'marks' => ['reading_id', 'unexplained', 'note'],
        'signatures' => ['role', 'name', 'strokes'],
    ];

    private const STAGES = ['surveyed_at', 'planned_at', 'handed_over_at'];

    /**
     * @param  array<string, list<array<string, mixed>>>  $rows  by table
     * @param  array<string, string>  $stages
     */
    private function __construct(private array $rows, private array $stages)
    {
    }

    /** @return array<string, mixed> */
    public static function of(Job $job): array
    {
        $written = [];
        foreach (self::TABLES as $name => $model) {
            $rows = $model::query()->with('user')->where('job_id', $job->id)->orderBy('at')->orderBy('id')->get();
            $written[$name] = array_values($rows->map(static fn (Model $row): array => self::row($name, $row))->all());
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
            throw InvalidData::notAllowed('/records', $json, 'an object');
        }
        $rows = $stages = [];
        foreach ($json as $name => $part) {
            if (in_array($name, self::STAGES, true)) {
                $stages[$name] = self::time($part, "/records/{$name}");
            } elseif (! isset(self::TABLES[$name])) {
                throw InvalidData::notAllowed('/records', $name, implode(', ', [...array_keys(self::TABLES), ...self::STAGES]));
            } elseif (! is_array($part) || count($part) > self::MOST) {
                throw InvalidData::unreadable("/records/{$name}", 'is not a list of at most '.self::MOST.' records');
            } else {
                foreach (array_values($part) as $index => $row) {
                    $rows[$name][] = self::checked((string) $name, $row, "/records/{$name}/{$index}");
                }
            }
        }

        return new self($rows, $stages);
    }

    public function writeTo(Job $job, User $user): void
    {
        $crew = User::query()->where('crew_id', $user->crew_id)->pluck('id', 'name');
        $ids = [];
        foreach ($this->rows as $name => $rows) {
            foreach ($rows as $row) {
                $model = new (self::TABLES[$name]);
                $new = (string) Str::ulid();
                $old = is_string($row['id'] ?? null) ? $row['id'] : '';
                $ids[$old] = $new;
                foreach (['corrects_id', 'reading_id'] as $other) {
                    if (isset($row[$other])) {
                        $row[$other] = $ids[$row[$other]] ?? null;
                    }
                }
                if (array_key_exists('reading_id', $row) && $row['reading_id'] === null) {
                    continue;
                }
                $by = $crew[is_string($row['by'] ?? null) ? $row['by'] : ''] ?? $user->id;
                unset($row['id'], $row['by']);
                $model->forceFill([...$row, 'id' => $new, 'job_id' => $job->id, 'user_id' => $by])->save();
            }
        }
        $job->forceFill($this->stages)->save();
    }

    /** @return array<string, mixed> */
    private static function row(string $name, Model $row): array
    {
        $user = $row->getRelation('user');
        $at = $row->getAttribute('at');

        return ['id' => $row->getKey(), 'at' => $at instanceof Carbon ? $at->toIso8601String() : null, 'by' => $user instanceof User ? $user->name : null, ...$row->only(self::COLUMNS[$name])];
    }

    /**
     * @return array<string, mixed>
     *
     * @throws InvalidData
     */
    private static function checked(string $name, mixed $row, string $pointer): array
    {
        if (! is_array($row)) {
            throw InvalidData::notAllowed($pointer, $row, 'an object');
        }
        $clean = ['id' => $row['id'] ?? null, 'by' => $row['by'] ?? null, 'at' => self::time($row['at'] ?? null, "{$pointer}/at")];
        foreach (self::COLUMNS[$name] as $column) {
            $value = $row[$column] ?? ($column === 'simulated' ? false : null);
            $fits = match ($column) {
                'value' => $name === 'settings' ? is_string($value) : $value === null || is_numeric($value),
                'volts' => $value === null || is_numeric($value),
                'seen', 'done', 'meter_proved', 'simulated', 'unexplained' => is_bool($value),
                'expected', 'candidates', 'inputs', 'lines' => is_array($value),
                'strokes' => is_string($value) && mb_strlen($value) <= self::LONGEST_DRAWING && Signature::areStrokes(json_decode($value, true)),
                'step', 'call', 'old_value', 'corrects_id' => $value === null && $name !== 'signs' || is_string($value) && mb_strlen($value) <= 80,
                default => is_string($value) && mb_strlen($value) <= 2000,
            };
            if (! $fits) {
                throw InvalidData::notAllowed("{$pointer}/{$column}", is_string($value) ? mb_substr($value, 0, 40) : $value, 'what a job file of this version writes there');
            }
            $clean[$column] = $value;
        }

        return $clean;
    }

    private static function time(mixed $value, string $pointer): string
    {
        try {
            return is_string($value) && $value !== '' ? Carbon::parse($value)->utc()->toDateTimeString() : throw InvalidData::notAllowed($pointer, $value, 'a time as 2026-11-25T09:30:00Z');
        } catch (InvalidData $problem) {
            throw $problem;
        } catch (Throwable) {
            throw InvalidData::notAllowed($pointer, $value, 'a time as 2026-11-25T09:30:00Z');
        }
    }
}
