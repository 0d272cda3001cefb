<?php

declare(strict_types=1);

namespace App\Jobs\File;

use App\Models\Kind\PowerState;
use App\Models\Kind\Stage;
use App\Models\Kind\StepMoment;
use App\Models\Kind\TraceMoment;
use App\Models\Record\MeasuredFigure;
use App\Models\Record\Signature;
use Illuminate\Support\Carbon;
use Unionbit\Core\Asked\Show\SignAnswer;
use Unionbit\Core\Asked\Thing\ThingKind;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Data\Plain;
use Unionbit\Core\Proving\Step\Method;
use Unionbit\Core\Proving\Step\Outcome;
use Unionbit\Core\Setting\Key\SettingKey;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;

/**
 * What a job file may hold in each column of each kind of record: the same as live entry takes. Whatever does not fit
 * is
 * named with its JSON pointer, its value and what is allowed.
 */
final class RecordColumns
{
    /** Kinds of value by table and column, besides id, who, when and whether it is simulated. */
    public const ALL = [
        'readings' => [
            'stage' => 'stage',
            'step' => 'step?',
            'call' => 'call?',
            'mode' => 'mode',
            'a' => 'point',
            'b' => 'point',
            'value' => 'reading',
            'power' => 'power',
            'expected' => 'expected',
            'outcome' => 'outcome',
            'reason' => 'text',
            'candidates' => 'strings',
            'corrects_id' => 'id?',
            'as_found' => 'flag-or-no',
        ],
        'signs' => [
            'step' => 'step',
            'sign' => 'word',
            'seen' => 'flag',
            'how' => 'neither?',
            'outcome' => 'outcome',
            'reason' => 'text',
            'as_found' => 'flag-or-no',
        ],
        'settings' => ['key' => 'setting', 'value' => 'word', 'old_value' => 'word?', 'reason' => 'text'],
        'power' => [
            'state' => 'power',
            'volts' => 'volts?',
            'meter_proved' => 'flag',
            'supplies' => 'supplies',
            'despite' => 'strings?',
        ],
        'moves' => ['move' => 'word', 'done' => 'flag'],
        'steps' => ['step' => 'step', 'event' => 'event', 'as_found' => 'flag-or-no'],
        'temporary' => ['kind' => 'thing', 'a' => 'point', 'b' => 'point', 'stands' => 'flag'],
        'trace' => ['kind' => 'moment', 'body' => 'body'],
        'waivers' => ['call' => 'proof', 'reason' => 'note', 'as_found' => 'flag-or-no'],
        'measurements' => [
            'figure' => 'figure',
            'call' => 'call?',
            'inputs' => 'inputs',
            'lines' => 'lines',
            'tone' => 'word',
            'verdict' => 'text',
        ],
        'marks' => ['reading_id' => 'id', 'unexplained' => 'flag', 'note' => 'note'],
        'signatures' => ['role' => 'role', 'name' => 'name', 'strokes' => 'strokes'],
    ];

    /** Longest text of each kind, in characters. */
    private const LONGEST = ['text' => 2000, 'note' => 200, 'name' => 80, 'word' => 80, 'point' => 40, 'id' => 40];

    private const MOST_STRINGS = 60;

    /** Characters of a trace's row. */
    private const LONGEST_BODY = 4000;

    private const EXPECTED = [
        'mode' => 'word',
        'unit' => 'word',
        'a' => 'point',
        'b' => 'point',
        'low' => 'number?',
        'nominal' => 'number?',
        'high' => 'number?',
        'floating' => 'flag',
        'overLimit' => 'flag',
        'reason' => 'text',
        'path' => 'strings',
        'decidedBy' => 'strings?',
        'refused' => 'text?',
        'notes' => 'strings',
    ];

    private const LINE = ['label' => 'text', 'value' => 'number?', 'unit' => 'word', 'formula' => 'text'];

    /**
     * @param  array<mixed>  $row
     * @return array<string, mixed> the columns of this table
     *
     * @throws InvalidData
     */
    public static function read(string $table, array $row, string $pointer): array
    {
        $clean = [];
        foreach (self::ALL[$table] as $column => $kind) {
            $value = $row[$column] ?? null;
            if ($kind === 'reading') {
                $mode = is_string($row['mode'] ?? null) ? MeterMode::tryFrom($row['mode']) : null;
                self::within($value, 0.0, $mode?->ceiling() ?? 0.0, "{$pointer}/{$column}", true);
                $clean[$column] = $value;
            } else {
                $clean[$column] = self::value($kind, $value, "{$pointer}/{$column}");
            }
        }

        return $clean;
    }

    /** Exactly as the application writes times, and not later than now. */
    public static function time(mixed $value, string $pointer): string
    {
        $allowed = 'a time that has passed, as 2026-11-25T09:30:00Z';
        if (
            ! is_string($value) ||
            preg_match(
                '/^20\d\d-[01]\d-[0-3]\dT[0-2]\d:[0-5]\d:[0-5]\d(\.\d{1,6})?(Z|[+-][01]\d:[0-5]\d)$/',
                $value,
            ) !== 1
        ) {
            throw InvalidData::notAllowed($pointer, self::shown($value), $allowed);
        }
        $at = Carbon::parse($value)->utc();
        if (
            $at->isFuture() ||
            ! checkdate((int) substr($value, 5, 2), (int) substr($value, 8, 2), (int) substr($value, 0, 4))
        ) {
            throw InvalidData::notAllowed($pointer, $value, $allowed);
        }

        return $at->toDateTimeString();
    }

    private static function value(string $kind, mixed $value, string $at): mixed
    {
        if (str_ends_with($kind, '?')) {
            return $value === null ? null : self::value(rtrim($kind, '?'), $value, $at);
        }

        return match ($kind) {
            'stage' => self::oneOf($value, array_column(Stage::withReadings(), 'value'), $at),
            'mode' => self::oneOf($value, array_column(MeterMode::cases(), 'value'), $at),
            'power' => self::oneOf($value, array_column(PowerState::cases(), 'value'), $at),
            'outcome' => self::oneOf($value, array_column(Outcome::cases(), 'value'), $at),
            'call' => self::oneOf($value, array_column(CallName::cases(), 'value'), $at),
            'proof' => CallName::tryFrom(is_string($value) ? $value : '') === null
                ? self::step($value, $at)
                : $value,
            'setting' => self::oneOf($value, array_column(SettingKey::cases(), 'value'), $at),
            'neither' => self::oneOf($value, array_column(SignAnswer::NEITHER, 'value'), $at),
            'thing' => self::oneOf($value, array_column(ThingKind::cases(), 'value'), $at),
            'moment' => self::oneOf($value, array_column(TraceMoment::cases(), 'value'), $at),
            'body' => is_array($value) && strlen((string) json_encode($value)) <= self::LONGEST_BODY
                ? $value
                : throw InvalidData::notAllowed($at, self::shown($value), Message::of('jobs.job-records.object')),
            'event' => self::oneOf($value, array_column(StepMoment::cases(), 'value'), $at),
            'figure' => self::oneOf($value, array_column(MeasuredFigure::cases(), 'value'), $at),
            'role' => self::oneOf($value, Signature::ROLES, $at),
            'step' => self::step($value, $at),
            // Files of before know no thermostat as found.
            'flag-or-no' => self::value('flag', $value ?? false, $at),
            'flag' => is_bool($value)
                ? $value
                : throw InvalidData::notAllowed(
                    $at,
                    self::shown($value),
                    Message::of('jobs.record-columns.true-or-false'),
                ),
            'volts' => self::within($value, 0.0, MeterMode::Volts->ceiling(), $at),
            'number' => self::within($value, -1.0e9, 1.0e9, $at),
            'supplies' => $value === null ? null : self::numbers($value, 4, MeterMode::Volts->ceiling(), $at),
            'inputs' => self::numbers($value, 20, 1.0e9, $at),
            'strings' => self::strings($value, $at),
            'expected' => self::object($value, self::EXPECTED, $at),
            'lines' => array_map(
                static fn (mixed $line, int|string $n): array => self::object($line, self::LINE, "{$at}/{$n}"),
                self::list($value, 40, $at),
                array_keys(self::list($value, 40, $at)),
            ),
            'strokes' => is_string($value) && Signature::areStrokes(json_decode($value, true))
                ? $value
                : throw InvalidData::notAllowed(
                    $at,
                    self::shown($value),
                    Message::of('jobs.record-columns.strokes-at-most-600-points'),
                ),
            'text' => self::text($value, self::LONGEST[$kind], $at),
            default => self::line($value, self::LONGEST[$kind], $at),
        };
    }

    /** @param  list<int|string>  $allowed */
    private static function oneOf(mixed $value, array $allowed, string $at): mixed
    {
        return in_array($value, $allowed, true)
            ? $value
            : throw InvalidData::notAllowed($at, self::shown($value), implode(', ', $allowed));
    }

    private static function step(mixed $value, string $at): string
    {
        [$call, $method] = [...explode('.', is_string($value) ? $value : '', 2), ''];

        return is_string($value) && CallName::tryFrom($call) !== null && Method::tryFrom($method) !== null
            ? $value
            : throw InvalidData::notAllowed(
                $at,
                self::shown($value),
                Message::of('jobs.record-columns.proving-step-as-cool-1'),
            );
    }

    private static function within(mixed $value, float $least, float $most, string $at, bool $orNull = false): mixed
    {
        $fits =
            (is_int($value) || is_float($value)) &&
            is_finite((float) $value) &&
            $value >= $least &&
            $value <= $most;

        return $fits || ($orNull && $value === null)
            ? $value
            : throw InvalidData::notAllowed(
                $at,
                self::shown($value),
                Message::of(
                    'jobs.record-columns.number-from',
                    least: Quantity::number($least),
                    most: Quantity::number($most),
                ),
            );
    }

    private static function text(mixed $value, int $longest, string $at): string
    {
        return is_string($value) && mb_strlen($value) <= $longest
            ? $value
            : throw InvalidData::notAllowed(
                $at,
                self::shown($value),
                Message::of('jobs.record-columns.text-at-most-characters', longest: $longest),
            );
    }

    private static function line(mixed $value, int $longest, string $at): string
    {
        $text = self::text($value, $longest, $at);

        return Plain::isLine($text)
            ? $text
            : throw InvalidData::unreadable($at, Message::of('data.field.one-line'));
    }

    /** @return array<mixed> */
    private static function list(mixed $value, int $most, string $at): array
    {
        return is_array($value) && count($value) <= $most
            ? $value
            : throw InvalidData::notAllowed(
                $at,
                self::shown($value),
                Message::of('jobs.record-columns.list-at-most', most: $most),
            );
    }

    /** @return list<string> */
    private static function strings(mixed $value, string $at): array
    {
        $list = array_values(self::list($value, self::MOST_STRINGS, $at));

        return array_map(
            static fn (mixed $entry, int $n): string => self::text($entry, self::LONGEST['text'], "{$at}/{$n}"),
            $list,
            array_keys($list),
        );
    }

    /** @return array<string, mixed> */
    private static function numbers(mixed $value, int $most, float $ceiling, string $at): array
    {
        $numbers = [];
        foreach (self::list($value, $most, $at) as $key => $number) {
            $numbers[self::text((string) $key, self::LONGEST['word'], $at)] = self::within(
                $number,
                -$ceiling,
                $ceiling,
                "{$at}/{$key}",
            );
        }

        return $numbers;
    }

    /**
     * @param  array<string, string>  $kinds
     * @return array<mixed> only what was there
     */
    private static function object(mixed $value, array $kinds, string $at): array
    {
        $clean = [];
        foreach (self::list($value, count($kinds), $at) as $key => $part) {
            $kind =
                $kinds[$key] ??
                throw InvalidData::notAllowed($at, self::shown($key), implode(', ', array_keys($kinds)));
            $clean[$key] = self::value($kind, $part, "{$at}/{$key}");
        }

        return $clean;
    }

    private static function shown(mixed $value): mixed
    {
        return is_string($value) ? mb_substr($value, 0, 40) : (is_array($value) ? '…' : $value);
    }
}
