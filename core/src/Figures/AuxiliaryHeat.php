<?php

declare(strict_types=1);

namespace Unionbit\Core\Figures;

use Unionbit\Core\Planning\Plan\Plan;

/** Strip heat: elements are fixed resistances, so less line voltage is much less heat; airflow for the temperature rise. */
final class AuxiliaryHeat implements Figure
{
    public const BTU_PER_KWH = 3412.0;

    /** BTU/h per CFM and °F of air at sea level. */
    public const AIR = 1.08;

    public function key(): string
    {
        return 'aux-heat';
    }

    public function title(): string
    {
        return 'Auxiliary heat';
    }

    public function about(): string
    {
        return 'A 240 V element on 208 V gives 75 % of its power and 87 % of its current.';
    }

    public function inputs(?Plan $plan): array
    {
        return [
            new Input('kw', 'Strips, at their rated volts', 'kW', 10.0, 'their plate', 0.5, 40),
            new Input('rated', 'Rated volts', 'V', 240.0, 'their plate', 100, 480),
            new Input(
                'volts',
                'Volts measured',
                'V',
                $plan?->installation->facts->lineVolts ?? 240.0,
                'measure under load',
                90,
                480,
            ),
            new Input(
                'rise',
                'Temperature rise wanted',
                'Δ°F',
                40.0,
                'supply less return; the plate gives the limit',
                5,
                100,
            ),
            new Input('load', 'Heat loss at design', 'BTU/h', null, 'load calculation', 1000, 300_000, true),
        ];
    }

    public function compute(array $v, ?Plan $plan): Result
    {
        $share = ($v['volts'] / $v['rated']) ** 2;
        $kw = $v['kw'] * $share;
        $btu = self::BTU_PER_KWH * $kw;
        $lines = [
            Result::line('Power now', $kw, 'kW', sprintf('%g kW × (%g ÷ %g)²', $v['kw'], $v['volts'], $v['rated'])),
            Result::line('Current against rated', (100.0 * $v['volts']) / $v['rated'], '%', 'volts ÷ rated volts'),
            Result::line('Heat', $btu, 'BTU/h', 'kW × 3412'),
            Result::line('Airflow for the rise', $btu / (self::AIR * $v['rise']), 'CFM', 'BTU/h ÷ (1.08 × rise)'),
        ];
        if (isset($v['load'])) {
            $lines[] = Result::line(
                'Strips that carry the house alone',
                $v['load'] / self::BTU_PER_KWH / $share,
                'kW',
                'heat loss ÷ 3412, at their rated volts',
            );
        }
        $carries = ! isset($v['load']) || $btu >= $v['load'];

        return new Result(
            $lines,
            $carries ? 'verd' : 'caution',
            isset($v['load'])
                ? ($carries
                    ? 'In emergency heat the strips carry the house at design.'
                    : 'In emergency heat the strips do not carry the house at design.')
                : 'With the heat loss it can be said whether they carry the house alone.',
        );
    }
}
