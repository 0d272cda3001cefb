<?php

declare(strict_types=1);

namespace Unionbit\Core\Figures;

use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Planning\Plan\Plan;

/** Which primary lead fits the measured line: volts of the secondary on each, and which leads are capped one by one. */
final class PrimaryTap implements Figure
{
    /** Leads of the usual multi-tap transformers. */
    private const TAPS = [120, 208, 240, 277];

    public function key(): string
    {
        return 'tap';
    }

    public function title(): string
    {
        return 'Primary tap';
    }

    public function about(): string
    {
        return 'Line voltage: only with the licence that the place requires, power off and proved dead.';
    }

    public function inputs(?Plan $plan): array
    {
        $facts = $plan?->installation->facts;

        return [
            new Input(
                'line',
                'Line volts measured',
                'V',
                $facts->lineVolts ?? 240.0,
                $facts?->lineVolts === null ? 'measure at the primary' : 'measured',
                90,
                300,
            ),
            new Input(
                'tap',
                'Lead in use',
                'V',
                $facts->tapVolts ?? 240.0,
                $facts?->tapVolts === null ? 'printed on the lead' : 'the survey',
                90,
                300,
            ),
        ];
    }

    public function compute(array $v, ?Plan $plan): Result
    {
        $lines = [];
        $best = (float) self::TAPS[0];
        foreach (self::TAPS as $tap) {
            $volts = Transformer::idleVolts($v['line'], $tap);
            if (abs($volts - 26.88) < abs(Transformer::idleVolts($v['line'], $best) - 26.88)) {
                $best = (float) $tap;
            }
            $lines[] = Result::line(
                "On the {$tap} V lead",
                $volts,
                'V',
                sprintf('24 × 1.12 × %g ÷ %d', $v['line'], $tap),
            );
        }
        $now = Transformer::idleVolts($v['line'], $v['tap']);
        $off = abs($now / 26.88 - 1.0);
        $right = abs($best - $v['tap']) < 1.0;

        return new Result(
            [Result::line('Now', $now, 'V', sprintf('24 × 1.12 × %g ÷ %g', $v['line'], $v['tap'])), ...$lines],
            $right ? 'verd' : ($off > 0.06 ? 'fault' : 'caution'),
            $right
                ? 'The lead in use fits this line.'
                : sprintf(
                    'Use the %g V lead: cap the others one by one, never together; what was in use now carries line voltage too.',
                    $best,
                ),
        );
    }
}
