<?php

declare(strict_types=1);

namespace Unionbit\Core\Figures;

use Unionbit\Core\Planning\Plan;

/** Supply against return, for the mode: says which mode it is really in, too. */
final class TemperatureSplit implements Figure
{
    public function key(): string
    {
        return 'split';
    }

    public function title(): string
    {
        return 'Temperature split';
    }

    public function about(): string
    {
        return 'After at least ten minutes of running, near the unit, out of sight of coil or strips.';
    }

    public function inputs(?Plan $plan): array
    {
        return [
            new Input('return', 'Return air', '°F', null, 'thermometer', 30, 110),
            new Input('supply', 'Supply air', '°F', null, 'thermometer', 20, 180),
            new Input('mode', 'Mode: 1 cooling, 2 heat pump, 3 gas, 4 strips', '', 1.0, 'what was called', 1, 4),
        ];
    }

    public function compute(array $v, ?Plan $plan): Result
    {
        $split = $v['supply'] - $v['return'];
        [$low, $high, $name] = match ((int) $v['mode']) {
            1 => [-24.0, -14.0, 'cooling'],
            2 => [12.0, 32.0, 'heating by the heat pump'],
            3 => [30.0, 70.0, 'a gas furnace'],
            default => [20.0, 60.0, 'strips'],
        };
        $inside = $split >= $low && $split <= $high;
        $wrong = $v['mode'] <= 2.0 && abs($split) > 5.0 && ($split > 0.0) !== ((int) $v['mode'] === 2);

        return new Result([
            Result::line('Supply less return', $split, 'Δ°F', 'supply − return'),
            Result::line('Usual from', $low, 'Δ°F', "working range for {$name}"),
            Result::line('to', $high, 'Δ°F', 'the plate\'s rise wins for furnaces and strips'),
        ], $inside ? 'verd' : 'fault', $inside ? "Plausible for {$name}." : ($wrong ? 'The other way round: the reversing valve stands wrong. Look at its setting and its conductor.' : ($split === 0.0 ? 'No split at all: nothing is running.' : 'Outside the usual: airflow, charge, or the unit was running too short a time.')));
    }
}
