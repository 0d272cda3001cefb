<?php

declare(strict_types=1);

namespace Unionbit\Core\Figures\Work;

use Unionbit\Core\Figures\Figure\Figure;
use Unionbit\Core\Figures\Figure\Input;
use Unionbit\Core\Figures\Figure\Result;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/** Manifold pressure at low and high fire and the supply before the valve, each against the limits of the plate. */
final class GasPressure implements Figure
{
    /** Inches of water that a manifold may be off the plate: the usual allowance. */
    private const WITHIN = 0.3;

    public function key(): string
    {
        return 'gas-pressure';
    }

    public function title(): Message
    {
        return Message::of('figures.gas-pressure.title');
    }

    public function about(): Message
    {
        return Message::of('figures.gas-pressure.about');
    }

    public function inputs(?Plan $plan): array
    {
        $two = ($plan?->installation->archetype->heatStages ?? 2) > 1;
        $input = static fn (string $key, ?float $value, bool $optional): Input => new Input(
            key: $key,
            label: Message::of('figures.gas-pressure.input', of: $key),
            unit: Unit::InchesOfWater,
            value: $value,
            source: $value === null
                ? Message::of('figures.gas-pressure.gauge')
                : Message::of('figures.gas-pressure.natural-gas-usual'),
            min: 0.1,
            max: 30,
            optional: $optional,
        );

        return [
            $input('high', null, false),
            $input('highPlate', 3.5, false),
            ...$two ? [$input('low', null, true), $input('lowPlate', 1.7, true)] : [],
            $input('supply', null, true),
            $input('supplyLeast', 4.5, true),
            $input('supplyMost', 10.5, true),
        ];
    }

    public function compute(array $v, ?Plan $plan): Result
    {
        $lines = $said = [];
        foreach (['high', 'low'] as $fire) {
            if (! isset($v[$fire], $v["{$fire}Plate"])) {
                continue;
            }
            $by = $v[$fire] - $v["{$fire}Plate"];
            $lines[] = Result::line(
                Message::of('figures.gas-pressure.off', fire: $fire),
                $by,
                Unit::InchesOfWater,
                Message::of(
                    'figures.gas-pressure.measured-less-plate',
                    within: Quantity::of(self::WITHIN, Unit::InchesOfWater, 1),
                ),
            );
            if (abs($by) > self::WITHIN + 1e-9) {
                $said[] = Message::of('figures.gas-pressure.wrong', fire: $fire, how: $by > 0.0 ? 'high' : 'low');
            }
        }
        if (isset($v['supply'], $v['supplyLeast'], $v['supplyMost'])) {
            $low = $v['supply'] < $v['supplyLeast'];
            $lines[] = Result::line(
                Message::of('figures.gas-pressure.supply-above-least'),
                $v['supply'] - $v['supplyLeast'],
                Unit::InchesOfWater,
                Message::of('figures.gas-pressure.with-everything-burning'),
            );
            if ($low || $v['supply'] > $v['supplyMost']) {
                $said[] = Message::of('figures.gas-pressure.supply-wrong', how: $low ? 'low' : 'high');
            }
        }

        return new Result(
            $lines,
            $said === [] ? 'verd' : 'fault',
            Message::sentences([
                ...$said === [] ? [Message::of('figures.gas-pressure.within')] : $said,
                Message::of('figures.gas-pressure.licensed'),
            ]),
            answers: $lines,
        );
    }
}
