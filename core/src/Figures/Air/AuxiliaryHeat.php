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
 * Strip heat: elements are fixed resistances, so less line voltage is much less heat; airflow for the temperature
 * rise.
 */
final class AuxiliaryHeat implements Figure
{
    public const BTU_PER_KWH = 3412.0;

    /** BTU/h per CFM and °F of air at sea level. */
    public const AIR = 1.08;

    public function key(): string
    {
        return 'aux-heat';
    }

    public function title(): Message
    {
        return Message::of('figures.auxiliary-heat.auxiliary-heat');
    }

    public function about(): Message
    {
        return Message::of('figures.auxiliary-heat.240-v-element-on-208');
    }

    public function inputs(?Plan $plan): array
    {
        return [
            new Input(
                'kw',
                Message::of('figures.auxiliary-heat.strips-at-their-rated-volts'),
                Unit::Kilowatts,
                10.0,
                Message::of('figures.auxiliary-heat.their-plate'),
                0.5,
                40,
            ),
            new Input(
                'rated',
                Message::of('figures.auxiliary-heat.rated-volts'),
                Unit::Volts,
                240.0,
                Message::of('figures.auxiliary-heat.their-plate'),
                100,
                480,
            ),
            new Input(
                'volts',
                Message::of('figures.auxiliary-heat.volts-measured'),
                Unit::Volts,
                $plan?->installation->facts->lineVolts ?? 240.0,
                Message::of('figures.auxiliary-heat.measure-under-load'),
                90,
                480,
            ),
            new Input(
                'rise',
                Message::of('figures.auxiliary-heat.temperature-rise-wanted'),
                Unit::FahrenheitSteps,
                40.0,
                Message::of('figures.auxiliary-heat.supply-less-return-plate-gives'),
                5,
                100,
            ),
            new Input(
                key: 'load',
                label: Message::of('figures.auxiliary-heat.heat-loss-at-design'),
                unit: Unit::BtuPerHour,
                value: null,
                source: Message::of('figures.auxiliary-heat.load-calculation'),
                min: 1000,
                max: 300_000,
                optional: true,
            ),
        ];
    }

    public function compute(array $v, ?Plan $plan): Result
    {
        $share = ($v['volts'] / $v['rated']) ** 2;
        $kw = $v['kw'] * $share;
        $btu = self::BTU_PER_KWH * $kw;
        $lines = [
            Result::line(
                Message::of('figures.auxiliary-heat.power-now'),
                $kw,
                Unit::Kilowatts,
                Message::of(
                    'figures.auxiliary-heat.text',
                    kw: Quantity::of($v['kw'], Unit::Kilowatts),
                    volts: Quantity::of($v['volts'], Unit::Number),
                    rated: Quantity::of($v['rated'], Unit::Number),
                ),
            ),
            Result::line(
                Message::of('figures.auxiliary-heat.current-against-rated'),
                (100.0 * $v['volts']) / $v['rated'],
                Unit::Percent,
                Message::of('figures.auxiliary-heat.volts-rated-volts'),
            ),
            Result::line(
                Message::of('figures.auxiliary-heat.heat'),
                $btu,
                Unit::BtuPerHour,
                Message::of('figures.auxiliary-heat.kw-3412'),
            ),
            Result::line(
                Message::of('figures.auxiliary-heat.airflow-for-rise'),
                $btu / (self::AIR * $v['rise']),
                Unit::Cfm,
                Message::of('figures.auxiliary-heat.btu-h-1-08-rise'),
            ),
        ];
        $amps = Result::line(
            Message::of('figures.auxiliary-heat.amperes'),
            (1000.0 * $kw) / $v['volts'],
            Unit::Amps,
            Message::of('figures.auxiliary-heat.kw-by-volts'),
        );
        $lines[] = $amps;
        $answers = [$lines[0], $amps];
        if (isset($v['load'])) {
            $answers[] = Result::line(
                Message::of('figures.auxiliary-heat.shortfall'),
                max(0.0, $v['load'] - $btu),
                Unit::BtuPerHour,
                Message::of('figures.auxiliary-heat.loss-less-heat'),
            );
            $lines[] = $answers[2];
            $lines[] = Result::line(
                Message::of('figures.auxiliary-heat.strips-carry-house-alone'),
                $v['load'] / self::BTU_PER_KWH / $share,
                Unit::Kilowatts,
                Message::of('figures.auxiliary-heat.heat-loss-3412-at-their'),
            );
        }
        $carries = ! isset($v['load']) || $btu >= $v['load'];

        return new Result(
            $lines,
            $carries ? 'verd' : 'caution',
            isset($v['load'])
                ? ($carries
                    ? Message::of('figures.auxiliary-heat.in-emergency-heat-strips-carry')
                    : Message::of('figures.auxiliary-heat.in-emergency-heat-strips-do'))
                : Message::of('figures.auxiliary-heat.with-heat-loss-can-be'),
            answers: $answers,
        );
    }
}
