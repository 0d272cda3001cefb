<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Judge;

use Unionbit\Core\Asked\AskedHouse;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\HouseState;
use Unionbit\Core\Asked\MeterReading;
use Unionbit\Core\Asked\OpenFuses;
use Unionbit\Core\Asked\Show\SignAnswer;
use Unionbit\Core\Asked\Show\Tolerances;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Fault\FaultCatalogue;
use Unionbit\Core\Proving\Step\Sign;

/**
 * What a set of passes and fails points to: every single fault of the catalogue is put into the circuit and asked, step
 * by step in the order in which they were done, for the same readings and the same signs. Those that give exactly this
 * pattern are named. A fuse that a fault opens stays open in the steps after it, unless what was read says that
 * somebody put a new one in.
 */
final readonly class Pattern
{
    public function __construct(private AskedHouse $house, private FaultCatalogue $faults)
    {
    }

    /**
     * @param  list<StepEvidence>  $seen  in the order in which they were done
     * @return list<Fault> faults that explain everything seen, commonest first
     */
    public function explain(array $seen): array
    {
        $fits = array_values(
            array_filter(
                $this->faults->of($this->house->circuit),
                fn (Fault $f): bool => $this->explains($f, $seen),
            ),
        );
        usort($fits, static fn (Fault $a, Fault $b): int => $a->rank() <=> $b->rank());

        return $fits;
    }

    /** @param  list<StepEvidence>  $seen */
    private function explains(Fault $fault, array $seen): bool
    {
        $open = OpenFuses::none();
        foreach ($seen as $step) {
            $hands = $step->step->hands->beside($step->standing);
            $house = $this->house->with($fault, $open);
            if (! $this->gives($fault, $step, $house, $hands)) {
                // A new fuse: the same step with a whole one.
                $open = OpenFuses::none();
                $whole = $house->with($fault);
                if ($house->hasAllFuses() || ! $this->gives($fault, $step, $whole, $hands)) {
                    return false;
                }
                $house = $whole;
            }
            $open = $open->with(...$house->state($hands)->point->openFuses ?? []);
        }

        return true;
    }

    private function gives(Fault $fault, StepEvidence $seen, AskedHouse $house, Hands $hands): bool
    {
        $state = $house->state($hands);
        foreach ($seen->step->signs as $sign) {
            $neither = $seen->neither[$sign->key] ?? null;
            if ($neither !== null && ! self::does($neither, $sign, $state)) {
                return false;
            }
            $answer = $neither === null ? $seen->signs[$sign->key] ?? null : null;
            // What falls out when the call ends is seen after it.
            $then = $answer !== null && $sign->key === Sign::DROP_OFF ? $house->after($hands) : $state;
            if ($answer !== null && $answer !== $sign->answered($then->seen, $fault)) {
                return false;
            }
        }

        return array_all($seen->readings, static function (MeterReading $r) use ($house, $hands, $state): bool {
            $then = $r->mode === MeterMode::Ohms ? $house->state($hands->provedDead()) : $state;

            return Tolerances::isOfFault($r->mode, $then->read($r->mode, $r->a, $r->b), $r->value);
        });
    }

    /** Whether a load that chatters or hums does so with the fault; what the circuit cannot tell, fits. */
    private static function does(SignAnswer $neither, Sign $sign, HouseState $state): bool
    {
        return $neither->states() === [] ||
            $sign->load === null ||
            in_array($state->point->loads[$sign->load] ?? null, $neither->states(), true);
    }
}
