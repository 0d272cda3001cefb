<?php

declare(strict_types=1);

namespace Unionbit\Core\Figures\Air;

use Unionbit\Core\Figures\Figure\Figure;
use Unionbit\Core\Figures\Figure\Input;
use Unionbit\Core\Figures\Figure\Result;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/**
 * Superheat or subcooling against the plate, and only after airflow: with too little air every charge reads wrong.
 */
final class ChargeCheck implements Figure
{
    /** °F off the plate's figure that a charge may read: our working figures for gauges in the field. */
    private const WITHIN = ['subcooling' => 3.0, 'superheat' => 5.0];

    public function key(): string
    {
        return 'charge';
    }

    public function title(): Message
    {
        return Message::of('figures.charge-check.title');
    }

    public function about(): Message
    {
        return Message::of('figures.charge-check.about');
    }

    public function inputs(?Plan $plan): array
    {
        $steps = static fn (string $key, Message $label): Input => new Input(
            key: $key,
            label: $label,
            unit: Unit::FahrenheitSteps,
            value: null,
            source: Message::of('figures.charge-check.gauges-or-plate'),
            min: 0,
            max: 60,
            optional: true,
        );

        return [
            new Input(
                'perTon',
                Message::of('figures.charge-check.airflow-measured'),
                Unit::CfmPerTon,
                null,
                Message::of('figures.charge-check.from-airflow'),
                0,
                900,
                true,
            ),
            $steps('subcooling', Message::of('figures.charge-check.subcooling')),
            $steps('subcoolingTarget', Message::of('figures.charge-check.subcooling-plate')),
            $steps('superheat', Message::of('figures.charge-check.superheat')),
            $steps('superheatTarget', Message::of('figures.charge-check.superheat-plate')),
        ];
    }

    public function compute(array $v, ?Plan $plan): Result
    {
        $air = $v['perTon'] ?? null;
        if ($air === null || $air < AirflowCheck::LEAST || $air > AirflowCheck::MOST) {
            return new Result(
                [],
                $air === null ? 'muted' : 'fault',
                $air === null
                    ? Message::of('figures.charge-check.airflow-first')
                    : Message::of(
                        'figures.charge-check.airflow-wrong',
                        air: Quantity::of($air, Unit::CfmPerTon, 0),
                        least: Quantity::of(AirflowCheck::LEAST, Unit::CfmPerTon, 0),
                        most: Quantity::of(AirflowCheck::MOST, Unit::CfmPerTon, 0),
                    ),
            );
        }
        $lines = $said = [];
        $off = false;
        foreach (self::WITHIN as $what => $within) {
            if (! isset($v[$what], $v["{$what}Target"])) {
                continue;
            }
            $by = $v[$what] - $v["{$what}Target"];
            $lines[] = Result::line(
                Message::of('figures.charge-check.off', what: $what),
                $by,
                Unit::FahrenheitSteps,
                Message::of(
                    'figures.charge-check.measured-less-plate',
                    within: Quantity::of($within, Unit::FahrenheitSteps, 0),
                ),
            );
            $fits = abs($by) <= $within;
            $off = $off || ! $fits;
            // Much liquid held back reads as high subcooling, little refrigerant as high superheat.
            $over = ($what === 'subcooling') === $by > 0.0;
            $said[] = Message::of(
                'figures.charge-check.says',
                what: $what,
                how: $fits ? 'fits' : ($over ? 'over' : 'under'),
            );
        }

        return new Result(
            $lines,
            $lines === [] ? 'muted' : ($off ? 'caution' : 'verd'),
            $lines === [] ? Message::of('figures.charge-check.enter-one') : Message::sentences($said),
            answers: $lines,
        );
    }
}
