<?php

declare(strict_types=1);

namespace Unionbit\Core\Figures\Supply;

use LogicException;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\OperatingPoint;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Equipment\Load;
use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Proof\Simulation;
use Unionbit\Core\Words\Message;

/** What one supply carries while a call stands: by the circuit, and by the plates of what it runs. */
final readonly class SupplyInCall
{
    /**
     * @param  float  $amps  out of the winding
     * @param  float  $real  VA at the winding's own voltage
     * @param  float  $plates  VA of its loads and its thermostat at 24 V
     * @param  float  $thermostat  VA of the thermostat's own electronics at 24 V, where they hang on this supply
     * @param  ?float  $weakest  volts at the load that has least; null where none runs
     * @param  ?Message  $tips  the load with which the plates go over the rating
     */
    private function __construct(
        public CallName $call,
        public float $amps,
        public float $real,
        public float $plates,
        public float $thermostat,
        public ?float $weakest,
        public ?Message $tips,
    ) {
    }

    /** The larger of the two ways to count. */
    public function va(): float
    {
        return max($this->real, $this->plates);
    }

    /** @return list<self> every call of the plan */
    public static function each(Plan $plan, Transformer $supply, float $rating): array
    {
        $circuit = $plan->circuit();
        $own = array_filter(
            $plan->installation->loads(),
            static fn (Load $load): bool => ($circuit->supplyBehind($load->to)->id ?? $supply->id) === $supply->id,
        );
        $thermostat = self::thermostat($circuit, $supply);
        $calls = [];
        foreach (Simulation::setups($plan) as $call => $setup) {
            $calls[] = self::of(
                CallName::from($call),
                $circuit->operate($setup),
                $supply,
                $own,
                $thermostat,
                $rating,
            );
        }

        return $calls;
    }

    /** @param  array<Load>  $own */
    private static function of(
        CallName $call,
        OperatingPoint $point,
        Transformer $supply,
        array $own,
        float $thermostat,
        float $rating,
    ): self {
        $plates = $thermostat;
        $weakest = $tips = null;
        foreach ($own as $load) {
            if ($load->kind->hasState() && ! in_array($load->id, $point->pulledIn(), true)) {
                continue;
            }
            $plates += self::plate($load);
            $volts = $point->loadVolts[$load->id] ?? throw new LogicException("no load {$load->id}");
            $weakest = $volts > 1.0 && ($weakest === null || $volts < $weakest) ? $volts : $weakest;
            $tips = $plates > $rating && $tips === null ? $load->label : $tips;
        }
        $amps = $point->sourceAmps($supply->id);
        $winding = $point->netlist->element($supply->id);

        return new self(
            $call,
            $amps,
            $amps * $point->phasors->magnitude($winding->a, $winding->b),
            $plates,
            $thermostat,
            $weakest,
            $tips,
        );
    }

    /** VA of the thermostat's own electronics at 24 V, where they hang on this supply. */
    private static function thermostat(Circuit $circuit, Transformer $supply): float
    {
        $elements = $circuit->netlist(Setup::calling())->elements;
        $va = 0.0;
        foreach (['thermostat.electronics', 'thermostat.wall-unit'] as $id) {
            $own = $elements[$id] ?? null;
            if ($own !== null && $circuit->supplyBehind($own->b)?->id === $supply->id) {
                $va += (24.0 * 24.0) / $own->ohms;
            }
        }

        return $va;
    }

    /** VA of a load at 24 V. */
    private static function plate(Load $load): float
    {
        [$ohms, $reactance] = $load->kind->impedance(true);

        return (24.0 * 24.0) / hypot($ohms, $reactance);
    }
}
