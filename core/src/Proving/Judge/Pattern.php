<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Judge;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Edit\Opened;
use Unionbit\Core\Circuit\Meter\Expectation;
use Unionbit\Core\Circuit\Meter\Meter;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Circuit\OperatingPoint;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Fault\FaultCatalogue;
use Unionbit\Core\Fault\Observables;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Proving\Step\FaultedStep;
use Unionbit\Core\Proving\Step\Sign;

/**
 * What a set of passes and fails points to: every single fault of the catalogue is put into the circuit and asked, step
 * by step in the order in which they were done, for the same readings and the same signs. Those that give exactly this
 * pattern are named. A fuse that a fault opens stays open in the steps after it, unless what was read says that
 * somebody put a new one in.
 */
final readonly class Pattern
{
    /** A reading is a fault's where it is within so much of what the circuit gives with it; our working figures. */
    private const WITHIN_VOLTS = 4.0;

    private const WITHIN_OHMS = ['share' => 0.2, 'floor' => 2.0];

    private const WITHIN_AMPS = ['share' => 0.25, 'floor' => 0.05];

    public function __construct(private Circuit $circuit, private FaultCatalogue $faults)
    {
    }

    /**
     * @param  list<SeenStep>  $seen  in the order in which they were done
     * @return list<Fault> faults that explain everything seen, commonest first
     */
    public function explain(array $seen): array
    {
        $fits = array_values(
            array_filter($this->faults->of($this->circuit), fn (Fault $f): bool => $this->explains($f, $seen)),
        );
        usort($fits, static fn (Fault $a, Fault $b): int => $a->rank() <=> $b->rank());

        return $fits;
    }

    /** @param  list<SeenStep>  $seen */
    private function explains(Fault $fault, array $seen): bool
    {
        $open = [];
        foreach ($seen as $step) {
            $asked = FaultedStep::setup($this->circuit, $step->step, $fault);
            $setup = $step->strip?->on($asked, $this->circuit) ?? $asked;
            $blown = $open === [] ? $setup : $setup->with(...array_map(self::fuse(...), $open));
            if (! $this->gives($fault, $step, $blown, $open)) {
                // A new fuse: the same step with a whole one.
                if ($open === [] || ! $this->gives($fault, $step, $setup, [])) {
                    return false;
                }
                [$open, $blown] = [[], $setup];
            }
            $open = array_values(array_unique([...$open, ...$this->circuit->operate($blown)->openFuses]));
        }

        return true;
    }

    private static function fuse(string $supply): Opened
    {
        return new Opened(Part::fuse($supply));
    }

    /** @param  list<string>  $open  supplies whose fuse has opened */
    private function gives(Fault $fault, SeenStep $seen, Setup $setup, array $open): bool
    {
        $point = $this->circuit->operate($setup);
        $runs = Observables::of($this->circuit, $point, $fault);
        foreach ($seen->step->signs as $sign) {
            $neither = $seen->neither[$sign->key] ?? null;
            if ($neither !== null && ! self::does($neither, $sign, $point)) {
                return false;
            }
            $answer = $neither === null ? $seen->signs[$sign->key] ?? null : null;
            if ($answer !== null && $answer !== $this->seenAs($sign, $fault, $runs, $point, $open)) {
                return false;
            }
        }
        foreach ($seen->readings as $reading) {
            if (! $this->reads($point, $setup, $reading)) {
                return false;
            }
        }

        return true;
    }

    /** Whether a load that chatters or hums does so with the fault; what the circuit cannot tell, fits. */
    private static function does(Neither $neither, Sign $sign, OperatingPoint $point): bool
    {
        return $neither->states() === [] ||
            $sign->load === null ||
            in_array($point->loads[$sign->load] ?? null, $neither->states(), true);
    }

    /**
     * What a person would answer with the fault in the house.
     *
     * @param  array<string, bool>  $runs
     * @param  list<string>  $open
     */
    private function seenAs(Sign $sign, Fault $fault, array $runs, OperatingPoint $point, array $open): bool
    {
        if ($sign->key === Sign::DROP_OFF) {
            $fuses = array_map(self::fuse(...), $open);
            $after = FaultedStep::afterwards($this->circuit, $point->pulledIn(), $fault, ...$fuses);
            $runs = Observables::of($this->circuit, $after, $fault);
        }

        return $sign->answered($runs, $fault);
    }

    private function reads(OperatingPoint $point, Setup $setup, TakenReading $reading): bool
    {
        return match ($reading->mode) {
            MeterMode::Volts => $this->readsVolts($point, $reading),
            MeterMode::Amps => self::near($reading->value ?? 0.0, $point->clamped($reading->a), self::WITHIN_AMPS),
            MeterMode::Ohms => $this->readsOhms($setup, $reading),
            default => true,
        };
    }

    /** @param  array{share: float, floor: float}  $within */
    private static function near(float $value, float $given, array $within): bool
    {
        return abs($value - $given) <= $within['share'] * $given + $within['floor'];
    }

    /** Floating points show a ghost, anything up to 20 V. */
    private function readsVolts(OperatingPoint $point, TakenReading $reading): bool
    {
        $value = $reading->value ?? 0.0;
        $given = $point->between($reading->a, $reading->b);

        return $given === null ? $value <= Expectation::GHOST_VOLTS : abs($given - $value) <= self::WITHIN_VOLTS;
    }

    private function readsOhms(Setup $setup, TakenReading $reading): bool
    {
        [$ohms] = (new Meter($this->circuit))->manyOhms($setup, [[$reading->a, $reading->b]]);

        return $ohms === null || $reading->value === null
            ? $ohms === $reading->value
            : self::near($reading->value, $ohms, self::WITHIN_OHMS);
    }
}
