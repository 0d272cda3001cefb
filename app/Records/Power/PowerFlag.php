<?php

declare(strict_types=1);

namespace App\Records\Power;

use App\House\House;
use App\Models\Job;
use App\Models\Kind\PowerState;
use App\Models\Record\PowerEvent;
use App\Models\Record\Reading;
use App\Records\Taken;
use Illuminate\Support\Carbon;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Job\PowerSource;
use Unionbit\Core\Screening\Rule\SurveyReading;
use Unionbit\Core\Words\Message;

/**
 * The power flag of a job: live, isolated and proved dead, or not proved. It says what the last event of this job
 * proves by itself: each supply by its own reading, a proved meter, a time that has come. Isolation lapses by itself;
 * what came out of a file, or was done in practice, proves nothing here.
 */
final readonly class PowerFlag
{
    /** A live reading older than this many hours says so. */
    private const OLD_HOURS = 12;

    /**
     * @param  array<string, float>  $readings  volts by supply
     * @param  list<PowerSource>  $open  supplies that the last event has no reading of
     * @param  ?string  $why  not proved, and for which reason: none, lapsed, file, future, supply, reading
     */
    private function __construct(
        public PowerState $state,
        public ?float $volts,
        public ?Carbon $at,
        public array $readings = [],
        public array $open = [],
        public ?string $why = null,
    ) {
    }

    /** @param  ?Taken  $then  of another moment than now */
    public static function of(Job $job, ?Taken $then = null): self
    {
        $events = $job->counting($job->powerEvents())->reorder()->orderByDesc('seq');
        if ($then?->before !== null) {
            $events->where('seq', '<', $then->before);
        }
        $last = $events->first();

        return $last === null
            ? new self(PowerState::NotProved, null, null, why: 'none')
            : self::proves($job, $last, $then->at ?? now());
    }

    private static function proves(Job $job, PowerEvent $event, Carbon $at): self
    {
        $sources = self::sources($job);
        $readings = $event->supplies ?? ($event->volts === null ? [] : [$sources[0]->id => $event->volts]);
        $open = array_values(array_filter($sources, static fn (PowerSource $s): bool => ! isset($readings[$s->id])));
        $isolated = $event->state === PowerState::Isolated;
        $bad = array_filter(
            $readings,
            static fn (float $v): bool => PowerProof::problem($event->state, $v) !== null,
        );
        $why = match (true) {
            $event->state === PowerState::NotProved => 'none',
            $event->from_file !== null => 'file',
            $event->at->isAfter($at->max(now())) => 'future',
            $open !== [] => 'supply',
            $bad !== [] || ($isolated && ! $event->meter_proved) => 'reading',
            $isolated && $event->at->copy()->addMinutes(self::lapse())->isBefore($at) => 'lapsed',
            default => null,
        };

        return new self(
            $why === null ? $event->state : PowerState::NotProved,
            $event->volts,
            $event->at,
            $readings,
            $open,
            $why,
        );
    }

    /** @return non-empty-list<PowerSource> supplies of this house as it stands now */
    public static function sources(Job $job): array
    {
        $house = House::of($job);
        $plugIn =
            $house->plan?->landing->plugIn === true &&
            $job->counting($job->moveTicks())->where('done', true)->exists();

        return PowerSource::all($house->installation, $plugIn);
    }

    /** Minutes after which "proved dead" lapses: the one setting of it. */
    public static function lapse(): int
    {
        return config()->integer('unionbit.isolated_minutes');
    }

    /** The flag as it stood when something was recorded. */
    public static function as(PowerState $state): self
    {
        return new self($state, null, null);
    }

    public function isLive(): bool
    {
        return $this->state === PowerState::Live;
    }

    public function isIsolated(): bool
    {
        return $this->state === PowerState::Isolated;
    }

    /** The words for a refusal: "the power flag says live". */
    public function says(): Message
    {
        return match (true) {
            $this->isLive() => Message::of('records.power-flag.power-flag-says-live'),
            $this->isIsolated() => Message::of('records.power-flag.power-flag-says-isolated'),
            default => self::reason($this->why, $this->open),
        };
    }

    /** @param  list<PowerSource>  $open */
    private static function reason(?string $why, array $open): Message
    {
        return match ($why) {
            'lapsed' => Message::of('records.power-flag.proved-dead-has-lapsed-after', lapse: self::lapse()),
            'file' => Message::of('records.power-flag.what-file-says-power-proves'),
            'future' => Message::of('records.power-flag.last-power-reading-lies-in'),
            'supply' => Message::of(
                'records.power-flag.there-no-reading-yet',
                supplies: array_column($open, 'label'),
            ),
            'reading' => Message::of('records.power-flag.last-power-reading-proves-nothing'),
            default => Message::of('records.power-flag.power-not-proved-either-way'),
        };
    }

    /**
     * A flag that was written down earlier, as it stands now: isolation lapses, a live reading grows old.
     *
     * @param  array<string, mixed>  $written  as `toArray` gave it
     * @return array<string, mixed>
     */
    public static function aged(array $written): array
    {
        $at = is_string($written['at'] ?? null) ? Carbon::parse($written['at']) : null;
        $lapsed =
            $written['state'] === PowerState::Isolated->value &&
            ($at === null || $at->copy()->addMinutes(self::lapse())->isPast());

        return $lapsed
            ? [
                ...$written,
                'state' => PowerState::NotProved->value,
                'lapsed' => true,
                'lapsesAt' => null,
                'why' => self::reason('lapsed', [])->opening(),
            ]
            : [
                ...$written,
                'old' => $written['state'] === PowerState::Live->value &&
                    $at !== null &&
                    $at->copy()->addHours(self::OLD_HOURS)->isPast(),
            ];
    }

    /** When the power last came on, or went off: the event that began the present run of one state. */
    public static function since(Job $job, PowerState $state, ?Taken $then = null): ?Carbon
    {
        $since = null;
        $previous = null;
        foreach ($job->counting($job->powerEvents())->whereNull('from_file')->get() as $event) {
            if ($then?->knew($event->seq) === false) {
                break;
            }
            if ($event->state === $state && $previous !== $state) {
                $since = $event->at;
            }
            $previous = $event->state;
        }

        return $since;
    }

    /**
     * The last reading of a hot against a common since the flag was raised: it stands beside the flag, and proves the
     * house live only when somebody says so.
     *
     * @return ?array{volts: float, at: string}
     */
    public static function read(Job $job): ?array
    {
        $since = $job->counting($job->powerEvents())->max('seq') ?? 0;
        $readings = $job
            ->counting($job->readings())
            ->where('mode', MeterMode::Volts)
            ->where('seq', '>', $since)
            ->whereNotNull('value')
            ->reorder()
            ->orderByDesc('seq')
            ->get();
        $corrected = $readings->pluck('corrects_id')->filter()->all();
        $last = $readings->first(
            static fn (Reading $r): bool => ! in_array($r->id, $corrected, true) &&
                (new SurveyReading($r->a, $r->b, $r->value, $r->mode))->isHotToCommon(
                    House::of($job)->installation,
                ),
        );

        return $last?->value === null ? null : ['volts' => $last->value, 'at' => $last->at->toIso8601String()];
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'state' => $this->state->value,
            'volts' => $this->volts,
            'at' => $this->at?->toIso8601String(),
            'lapsed' => $this->why === 'lapsed',
            'lapseMinutes' => self::lapse(),
            'lapsesAt' => $this->isIsolated()
                ? $this->at?->copy()->addMinutes(self::lapse())->toIso8601String()
                : null,
            'why' => $this->state === PowerState::NotProved ? self::reason($this->why, $this->open)->opening() : null,
            'old' => $this->isLive() && $this->at !== null && $this->at->copy()->addHours(self::OLD_HOURS)->isPast(),
        ];
    }
}
