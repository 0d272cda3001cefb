<?php

declare(strict_types=1);

namespace App\Records\Step;

use App\House\House;
use App\Models\Job;
use App\Models\Record\Observation;
use App\Models\Record\PowerState;
use App\Models\Record\Reading;
use App\Records\Power\PowerFlag;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Unionbit\Core\Proving\Judge\Outcome;
use Unionbit\Core\Proving\Step\Step;
use Unionbit\Core\Proving\Step\Wait;
use Unionbit\Core\Proving\Step\Waits;

/** A proving step with what is recorded of its last run: started, ready when, readings and signs, state. */
final readonly class StepRecord
{
    /** Seconds of a relay and its motor. */
    private const COMES_TO_IT = 5;

    /**
     * @param  array<string, Reading>  $readings  latest of the run, by probe key
     * @param  array<string, Observation>  $signs  latest of the run, by sign key
     */
    private function __construct(
        public Step $step,
        public ?Carbon $startedAt,
        public ?Carbon $endedAt,
        public ?int $startedSeq,
        public ?Carbon $readyAt,
        public array $readings,
        public array $signs,
    ) {
    }

    /** @return array<string, self> by step key */
    public static function all(Job $job): array
    {
        $steps = House::of($job)->stepList();
        $events = $job->counting($job->stepEvents())->get()->groupBy('step');
        $readings = $job->counting($job->readings())->whereNotNull('step')->get()->groupBy('step');
        $observations = $job->counting($job->observations())->get()->groupBy('step');
        $powerOn = PowerFlag::since($job, PowerState::Live);
        $powerOff = PowerFlag::since($job, PowerState::Isolated);

        $waits = new Waits(House::of($job)->installation);
        $ends = [];
        foreach ($steps as $step) {
            foreach ($events->get($step->key())?->where('event', 'end') ?? [] as $event) {
                $ends[] = ['key' => $step->key(), 'at' => $event->at, 'ran' => $waits->runs($step)];
            }
        }

        $records = [];
        foreach ($steps as $step) {
            $begun = $events->get($step->key())?->where('event', 'start')->last();
            $ended = $events->get($step->key())?->where('event', 'end')->last();
            $start = $begun?->at;
            $end = $begun !== null && $ended !== null && $ended->seq > $begun->seq ? $ended->at : null;
            $records[$step->key()] = new self(
                $step,
                $start,
                $end,
                $begun?->seq,
                $start === null ? null : self::ready($step, $start, $powerOn, $powerOff, $ends),
                self::latest(
                    $readings->get($step->key()),
                    $begun?->seq,
                    static fn (Reading $r): string => $r->a.'~'.$r->b,
                ),
                self::latest(
                    $observations->get($step->key()),
                    $begun?->seq,
                    static fn (Observation $o): string => $o->sign,
                ),
            );
        }

        return $records;
    }

    /** @param  ?Carbon  $at  of another moment than now */
    public function secondsLeft(?Carbon $at = null): int
    {
        return $this->readyAt === null
            ? $this->step->wait->seconds
            : max(0, (int) ceil(($at ?? now())->diffInSeconds($this->readyAt)));
    }

    /** In the first seconds after the start, in which a relay, its motor and the person still come to it. */
    public function isJustStarted(): bool
    {
        return $this->startedAt !== null && $this->startedAt->diffInSeconds(now()) < self::COMES_TO_IT;
    }

    public function isRunning(): bool
    {
        return $this->startedAt !== null && $this->endedAt === null;
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
        foreach ($this->step->probes as $probe) {
            if (($this->readings[$probe->key()]->outcome ?? null) !== Outcome::Pass) {
                return false;
            }
        }
        foreach ($this->step->signs as $sign) {
            if (! $sign->optional && ($this->signs[$sign->key]->outcome ?? null) !== Outcome::Pass) {
                return false;
            }
        }

        return $this->startedAt !== null;
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
    ): Carbon {
        $before = array_filter($ends, static fn (array $end): bool => $end['at']->lessThanOrEqualTo($start));
        $joined = array_filter(
            $before,
            static fn (array $end): bool => $end['key'] === $step->follows && $end['at']->equalTo($start),
        );
        if ($joined !== [] && $step->onward !== null) {
            return $start->copy()->addSeconds($step->onward->seconds);
        }
        $from = match ($step->wait->from) {
            Wait::FROM_POWER_ON => $powerOn ?? $start,
            Wait::FROM_POWER_OFF => $powerOff !== null && $powerOff->lessThan($start) ? $powerOff : $start,
            default => $start,
        };
        $ready = $from->copy()->addSeconds($step->wait->seconds);
        foreach ($step->wait->rest === 0 ? [] : $before as $end) {
            $rested = $end['at']->copy()->addSeconds($step->wait->rest);
            $ready = $end['ran'] && $rested->greaterThan($ready) ? $rested : $ready;
        }

        return $ready;
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
