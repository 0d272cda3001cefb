<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Route;

use Unionbit\Core\Proving\Step\Sign;
use Unionbit\Core\Proving\Step\Step;
use Unionbit\Core\Proving\Step\Wait;
use Unionbit\Core\Proving\Step\Waits;
use Unionbit\Core\Terminal\Place;

/**
 * One person going through steps: where they stand, whether the power is on, which delays run meanwhile. Seconds of
 * walking and handling are our working figures, written here in one place; the delays come from the equipment.
 */
final class Walk
{
    /** Seconds of the way between two places; the power is switched at the indoor unit. */
    private const WAY = ['indoor-wall' => 60, 'indoor-outdoor' => 120, 'outdoor-wall' => 120];

    /** Off, dead reading and the meter proved; or on and R–C read. */
    private const SWITCH = 60;

    /** A jumper placed, a cable lifted; and putting back. */
    private const SET_UP = 60;

    /** The thermostat asked for a call, or told to end it. */
    private const ASK = 20;

    private const PROBE = 20;

    /** @var list<string> */
    public array $keys = [];

    public int $powerChanges = 0;

    private int $clock = 0;

    private int $waited = 0;

    private Place $at = Place::Wall;

    private bool $live = true;

    private int $onSince = 0;

    private int $offSince = 0;

    private int $compressorEnd = PHP_INT_MIN;

    /** The step before, whose call may still run. */
    private ?Step $last = null;

    public int $readings = 0;

    public int $answers = 0;

    public function __construct(private readonly Waits $waits)
    {
    }

    /** @param  list<Step>  $steps */
    public function through(array $steps): self
    {
        foreach ($steps as $step) {
            $this->keys[] = $step->key();
            $this->step($step);
        }
        $this->dropOff();

        return $this;
    }

    public function minutes(): int
    {
        return (int) round($this->clock / 60);
    }

    public function waitMinutes(): int
    {
        return (int) round($this->waited / 60);
    }

    private function step(Step $step): void
    {
        if ($this->last === null || $step->follows !== $this->last->key()) {
            $this->dropOff();
        }
        if (! $step->method->isAtAnyPower()) {
            $this->power(! $step->setUpIsolated);
        }
        $this->go($step->places()[0] ?? Place::Wall);
        $this->clock += $step->setUpIsolated ? self::SET_UP : self::ASK;
        $start = $this->clock;
        $powered = $step->setUpIsolated && ! $step->staysDead;
        if ($powered) {
            $this->power(true);
        }
        foreach ($step->places() as $place) {
            $this->go($place);
        }
        $ready = $this->ready($step, $start);
        $this->waited += max(0, $ready - $this->clock);
        $this->clock = max($this->clock, $ready) + self::PROBE * count($step->needed());
        $this->readings += count($step->needed());
        $this->answers += count(array_filter($step->signs, static fn (Sign $s): bool => ! $s->optional));
        if ($powered) {
            $this->power(false);
        }
        if ($step->restore !== []) {
            $this->go($step->places()[0] ?? Place::Wall);
            $this->clock += self::SET_UP;
        }
        if ($this->waits->runs($step)) {
            $this->compressorEnd = $this->clock;
        }
        $this->last = $step;
    }

    /** The call ended at the thermostat, and what it pulled in waited for until it has fallen out. */
    private function dropOff(): void
    {
        $last = $this->last;
        $seconds = $last?->dropOff?->seconds;
        if ($last === null || $seconds === null) {
            return;
        }
        $this->go(Place::Wall);
        $this->clock += self::ASK;
        if ($this->waits->runs($last)) {
            $this->compressorEnd = $this->clock;
        }
        $this->waited += $seconds;
        $this->clock += $seconds;
        $this->last = null;
    }

    private function ready(Step $step, int $start): int
    {
        if ($step->onward !== null && $step->follows === $this->last?->key()) {
            return $start + $step->onward->seconds;
        }
        $from = match ($step->wait->from) {
            Wait::FROM_POWER_ON => $this->onSince,
            Wait::FROM_POWER_OFF => $this->offSince,
            default => $start,
        };

        return max(
            $from + $step->wait->seconds,
            $step->wait->rest === 0 || $this->compressorEnd === PHP_INT_MIN
                ? 0
                : $this->compressorEnd + $step->wait->rest,
        );
    }

    private function power(bool $live): void
    {
        if ($this->live === $live) {
            return;
        }
        $this->go(Place::Indoor);
        $this->clock += self::SWITCH;
        $this->powerChanges++;
        $this->live = $live;
        if ($live) {
            $this->onSince = $this->clock;
        } else {
            $this->offSince = $this->clock;
        }
    }

    private function go(Place $to): void
    {
        $this->clock += self::secondsBetween($this->at, $to);
        $this->at = $to;
    }

    /** Seconds of the way from one place to another. */
    public static function secondsBetween(Place $from, Place $to): int
    {
        $pair = [$from->value, $to->value];
        sort($pair);

        return self::WAY[implode('-', $pair)] ?? 0;
    }
}
