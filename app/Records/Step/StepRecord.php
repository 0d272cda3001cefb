<?php

declare(strict_types=1);

namespace App\Records\Step;

use App\House\House;
use App\Models\Job;
use App\Models\Kind\PowerState;
use App\Models\Kind\StepMoment;
use App\Models\Record\Observation;
use App\Models\Record\Reading;
use App\Models\Record\StepEvent;
use App\Records\Power\PowerFlag;
use App\Records\SetUp\SetupStrip;
use App\Records\Taken;
use Closure;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Unionbit\Core\Asked\MeterReading;
use Unionbit\Core\Asked\Show\SignAnswer;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Data\Copies;
use Unionbit\Core\Proving\Judge\StepEvidence;
use Unionbit\Core\Proving\Step\Outcome;
use Unionbit\Core\Proving\Step\Sign;
use Unionbit\Core\Proving\Step\Step;
use Unionbit\Core\Proving\Step\Wait;
use Unionbit\Core\Proving\Step\Waits;

/** A proving step with what is recorded of its last run: started, ready when, readings and signs, state. */
final readonly class StepRecord
{
    use Copies;

    /** Seconds of a relay and its motor. */
    private const COMES_TO_IT = 5;

    /**
     * @param  array<string, Reading>  $readings  latest of the run, by probe key
     * @param  array<string, Observation>  $signs  latest of the run, by sign key
     * @param  ?Carbon  $startedAt  when the run began; what was taken since belongs to it
     * @param  ?Carbon  $calledAt  when it was last called: in the run's beginning, or again for one figure
     * @param  ?Carbon  $offAt  when the thermostat's call ended
     * @param  ?Carbon  $closedAt  when the job was handed over: what is asked for since then was not asked for it
     * @param  bool  $altered  something temporary stood meanwhile that the step did not ask for: it proves nothing
     * @param  bool  $dropped  the step that joined its call has dropped off: what this one pulled in fell out with it
     */
    private function __construct(
        public Step $step,
        public ?Carbon $startedAt,
        public ?Carbon $calledAt,
        public ?Carbon $endedAt,
        public ?int $startedSeq,
        public ?Carbon $readyAt,
        public array $readings,
        public array $signs,
        public ?Carbon $offAt = null,
        public bool $dropped = false,
        public bool $altered = false,
        public ?Carbon $closedAt = null,
    ) {
    }

    /** @return array<string, self> by step key, on the thermostat that stands */
    public static function all(Job $job, ?Taken $then = null): array
    {
        return self::on($job, House::of($job), $then);
    }

    /** @return array<string, self> by step key, on the thermostat that was found, whatever stands now */
    public static function asFound(Job $job): array
    {
        return self::on($job, House::of($job)->before());
    }

    /** @return list<Step> every proof that the thermostat which stands can have, with what this job has to be asked */
    public static function steps(Job $job, ?House $house = null): array
    {
        return ($house ?? House::of($job))->stepList(ShortRepaired::in($job));
    }

    /** @return array<string, self> */
    private static function on(Job $job, House $house, ?Taken $then = null): array
    {
        $steps = self::steps($job, $house);
        $found = $house->isAsFound();
        $before = $then?->before;
        $events = $job->proving($job->stepEvents(), $found, $before)->get()->groupBy('step');
        $readings = $job->proving($job->readings(), $found, $before)->whereNotNull('step')->get()->groupBy('step');
        $observations = $job->proving($job->observations(), $found, $before)->get()->groupBy('step');
        $stood = SetupStrip::read($job);
        $powerOn = PowerFlag::since($job, PowerState::Live, $then);
        $powerOff = PowerFlag::since($job, PowerState::Isolated, $then);

        $ends = self::ends($steps, $events, new Waits(House::of($job)->installation));

        $records = [];
        foreach ($steps as $step) {
            $key = $step->key();
            $records[$key] = self::lastRun(
                $step,
                $events->get($key) ?? new Collection(),
                $readings->get($key),
                $observations->get($key),
                $stood,
                static fn (StepEvent $called): Carbon => self::ready(
                    $step,
                    $called->at,
                    $powerOn,
                    $powerOff,
                    $ends,
                    $called->event === StepMoment::Forced ? $step->forced : null,
                ),
            );
        }

        return self::withDropOffs(
            $job->handed_over_at === null ? $records : self::asClosed($records, $job->handed_over_at),
        );
    }

    /**
     * @param  list<Step>  $steps
     * @param  Collection<array-key, covariant Collection<int, StepEvent>>  $events  by step
     * @return list<array{key: string, at: Carbon, ran: bool}> every end: of which step, when, whether a compressor ran
     */
    private static function ends(array $steps, Collection $events, Waits $waits): array
    {
        $ends = [];
        foreach ($steps as $step) {
            foreach ($events->get($step->key())?->where('event', StepMoment::End) ?? [] as $event) {
                $ends[] = ['key' => $step->key(), 'at' => $event->at, 'ran' => $waits->runs($step)];
            }
        }

        return $ends;
    }

    /**
     * @param  Collection<int, StepEvent>  $events  of the step
     * @param  ?Collection<int, Reading>  $readings  of the step
     * @param  ?Collection<int, Observation>  $observations  of the step
     * @param  Closure(StepEvent): Carbon  $ready  when it can be judged that was called with this
     */
    private static function lastRun(
        Step $step,
        Collection $events,
        ?Collection $readings,
        ?Collection $observations,
        SetupStrip $stood,
        Closure $ready,
    ): self {
        $begun = $events->last(static fn (StepEvent $e): bool => $e->event->begins());
        $run = $begun === null ? new Collection() : $events->filter(static fn ($e): bool => $e->seq >= $begun->seq);
        $called = $run->last(static fn (StepEvent $e): bool => $e->event->calls());
        $since = static fn (StepMoment $moment): ?Carbon => $run->last(
            static fn (StepEvent $e): bool => $e->event === $moment && $e->seq > $called?->seq,
        )?->at;
        $read = self::latest(
            self::asAsked($step, $readings),
            $begun?->seq,
            static fn (Reading $r): string => $r->a.'~'.$r->b,
        );

        return new self(
            $step,
            $begun?->at,
            $called?->at,
            $since(StepMoment::End),
            $begun?->seq,
            $called === null ? null : $ready($called),
            $read,
            self::latest($observations, $begun?->seq, static fn (Observation $o): string => $o->sign),
            $since(StepMoment::Off),
            altered: self::wasAltered($stood, $run, $read),
        );
    }

    /**
     * A job that was closed before something was asked for stays as it was certified.
     *
     * @param  array<string, self>  $records
     * @return array<string, self>
     */
    private static function asClosed(array $records, Carbon $at): array
    {
        return array_map(
            static fn (self $r): self => $r->copy([
                'dropped' => $r->dropped || ! isset($r->signs[Sign::DROP_OFF]),
                'closedAt' => $at,
            ]),
            $records,
        );
    }

    /**
     * A stage that another joined ended with the other's start: it fell out with that one, if that one did.
     *
     * @param  array<string, self>  $records
     * @return array<string, self>
     */
    private static function withDropOffs(array $records): array
    {
        foreach (array_reverse(array_keys($records)) as $key) {
            $record = $records[$key];
            $lower = $record->step->follows === null ? null : $records[$record->step->follows] ?? null;
            $joined =
                $lower?->endedAt !== null &&
                $record->startedAt !== null &&
                $lower->endedAt->equalTo($record->startedAt);
            if ($joined && $record->hasDroppedOff()) {
                $records[$lower->step->key()] = $lower->copy(['dropped' => true]);
            }
        }

        return $records;
    }

    /** What the call pulled in has been seen to fall out, by itself or with the stage that joined it. */
    public function hasDroppedOff(): bool
    {
        return $this->dropped || ($this->signs[Sign::DROP_OFF]->outcome ?? null) === Outcome::Pass;
    }

    /**
     * Seconds until what pulled in has to be out.
     *
     * @param  ?Carbon  $at  of another moment than now
     */
    public function secondsOfDropOff(?Carbon $at = null): int
    {
        $out = $this->droppedBy();

        return $out === null ? 0 : max(0, (int) ceil(($at ?? now())->diffInSeconds($out)));
    }

    /** When what pulled in has to be out; null while the call stands. */
    public function droppedBy(): ?Carbon
    {
        return $this->offAt?->copy()->addSeconds($this->step->dropOff->seconds ?? 0);
    }

    /** @param  ?Carbon  $at  of another moment than now */
    public function secondsLeft(?Carbon $at = null): int
    {
        if ($this->readyAt === null) {
            return $this->step->wait->seconds;
        }
        // Never longer than the longest of its delays, although the clock was set back.
        $wait = $this->step->wait;
        $whole = max(
            $wait->seconds,
            $wait->rest,
            $this->step->forced->seconds ?? 0,
            $this->step->onward->seconds ?? 0,
        );

        return min($whole, max(0, (int) ceil(($at ?? now())->diffInSeconds($this->readyAt))));
    }

    /** In the first seconds after the start, in which a relay, its motor and the person still come to it. */
    public function isJustStarted(?Carbon $at = null): bool
    {
        return $this->calledAt !== null && $this->calledAt->diffInSeconds($at ?? now()) < self::COMES_TO_IT;
    }

    public function isRunning(): bool
    {
        return $this->startedAt !== null && $this->endedAt === null;
    }

    /** Whether a step has not been begun anew since something of it was taken: else that belongs to no run any more. */
    public static function isOfRun(Job $job, string $step, Taken $taken): bool
    {
        $started = $taken->before === null ? null : self::all($job)[$step]->startedSeq ?? null;

        return $started === null || $taken->knew($started);
    }

    /** Ended, and nothing has to be called for it: one figure of it can be read again by itself. */
    public function isReadAgain(): bool
    {
        return $this->endedAt !== null && $this->step->call === CallName::Idle && ! $this->step->hands->isolated;
    }

    public function hasFailed(): bool
    {
        foreach ([...array_values($this->readings), ...array_values($this->signs)] as $row) {
            if ($row->outcome === Outcome::Fail) {
                return true;
            }
        }

        return false;
    }

    /** Every reading in its band and every sign seen. */
    public function isPassed(): bool
    {
        if ($this->altered && ! $this->step->method->isAtAnyPower()) {
            return false;
        }
        foreach ($this->step->probes as $probe) {
            $outcome = $this->readings[$probe->key()]->outcome ?? null;
            if ($outcome === null && $probe->since !== null && $this->closedAt?->isBefore($probe->since) === true) {
                continue;
            }
            if ($probe->optional ? $outcome === Outcome::Fail : $outcome !== Outcome::Pass) {
                return false;
            }
        }
        foreach ($this->step->signs as $sign) {
            $shown =
                $sign->key === Sign::DROP_OFF
                    ? $this->hasDroppedOff()
                    : ($this->signs[$sign->key]->outcome ?? null) === Outcome::Pass;
            if (! $sign->optional && ! $shown) {
                return false;
            }
        }

        return $this->startedAt !== null;
    }

    /**
     * What this run has shown, apart for each set-up in which it was seen.
     *
     * @return list<StepEvidence>
     */
    public function seen(SetupStrip $stood): array
    {
        $groups = [];
        foreach ($this->signs as $key => $sign) {
            if ($sign->outcome !== Outcome::TooEarly) {
                $groups[implode(' ', array_keys($stood->before($sign->seq)->all))]['signs'][$key] = $sign;
            }
        }
        foreach ($this->readings as $reading) {
            $groups[implode(' ', array_keys($stood->before($reading->seq)->all))]['readings'][] = $reading;
        }

        return array_values(
            array_map(function (array $group) use ($stood): StepEvidence {
                $rows = [...array_values($group['signs'] ?? []), ...$group['readings'] ?? []];

                return new StepEvidence(
                    $this->step,
                    array_map(
                        static fn (Observation $o): bool => $o->seen,
                        array_filter($group['signs'] ?? [], static fn (Observation $o): bool => $o->how === null),
                    ),
                    array_map(
                        static fn (Reading $r): MeterReading => new MeterReading($r->mode, $r->a, $r->b, $r->value),
                        $group['readings'] ?? [],
                    ),
                    $stood->before($rows[0]->seq),
                    array_filter(
                        array_map(static fn (Observation $o): ?SignAnswer => $o->how, $group['signs'] ?? []),
                    ),
                );
            }, $groups),
        );
    }

    public function state(): string
    {
        return match (true) {
            $this->isPassed() && ! $this->isRunning() => 'passed',
            $this->hasFailed() => 'failed',
            $this->isRunning() => 'running',
            default => 'open',
        };
    }

    /**
     * @param  list<array{key: string, at: Carbon, ran: bool}>  $ends  of all steps: which, when, whether a compressor
     *     ran in it
     */
    private static function ready(
        Step $step,
        Carbon $start,
        ?Carbon $powerOn,
        ?Carbon $powerOff,
        array $ends,
        ?Wait $forced,
    ): Carbon {
        $before = array_filter($ends, static fn (array $end): bool => $end['at']->lessThanOrEqualTo($start));
        $joined = array_filter(
            $before,
            static fn (array $end): bool => $end['key'] === $step->follows && $end['at']->equalTo($start),
        );
        if ($joined !== [] && $step->onward !== null) {
            return $start->copy()->addSeconds($step->onward->seconds);
        }
        // The test menu has its own wait; the compressor's rest since it last ran stays.
        $wait = $forced ?? $step->wait;
        $from = match ($wait->from) {
            Wait::FROM_POWER_ON => $powerOn ?? $start,
            Wait::FROM_POWER_OFF => $powerOff !== null && $powerOff->lessThan($start) ? $powerOff : $start,
            default => $start,
        };
        $ready = $from->copy()->addSeconds($wait->seconds);
        foreach ($step->wait->rest === 0 ? [] : $before as $end) {
            $rested = $end['at']->copy()->addSeconds($step->wait->rest);
            $ready = $end['ran'] && $rested->greaterThan($ready) ? $rested : $ready;
        }

        return $ready;
    }

    /**
     * Something that alters the circuit stood while the step was called, in the beginning or again, or while one
     * figure of it was read again by itself.
     *
     * @param  Collection<int, StepEvent>  $run
     * @param  array<string, Reading>  $readings
     */
    private static function wasAltered(SetupStrip $stood, Collection $run, array $readings): bool
    {
        foreach ($readings as $reading) {
            if ($stood->before($reading->seq)->alters()) {
                return true;
            }
        }
        $from = null;
        foreach ($run as $event) {
            if ($event->event->calls()) {
                $from ??= $event->seq;
            } elseif ($event->event === StepMoment::End && $from !== null) {
                if ($stood->altered($from, $event->seq)) {
                    return true;
                }
                $from = null;
            }
        }

        return $from !== null && $stood->altered($from, null);
    }

    /**
     * Without readings of an asked pair in another mode: volts between a conductor and itself are no amperes.
     *
     * @param  ?Collection<int, Reading>  $readings
     * @return ?Collection<int, Reading>
     */
    private static function asAsked(Step $step, ?Collection $readings): ?Collection
    {
        $modes = [];
        foreach ($step->probes as $probe) {
            $modes[$probe->key()] = $probe->mode;
        }

        return $readings?->filter(
            static fn (Reading $r): bool => ($modes["{$r->a}~{$r->b}"] ?? $r->mode) === $r->mode,
        );
    }

    /**
     * @template T of Reading|Observation
     *
     * @param  ?Collection<int, T>  $rows
     * @param  callable(T): string  $key
     * @return array<string, T>
     */
    private static function latest(?Collection $rows, ?int $since, callable $key): array
    {
        $latest = [];
        foreach ($rows ?? [] as $row) {
            if ($since !== null && $row->seq > $since) {
                $latest[$key($row)] = $row;
            }
        }

        return $latest;
    }
}
