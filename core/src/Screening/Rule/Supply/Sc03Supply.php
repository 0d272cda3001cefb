<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\Supply;

use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;

/**
 * SC03 Supply: R–C against what this line and this tap give with no load. A bare 22–30 V band is not enough:
 * 208 V on a 240 V tap idles near 23 V, 240 V on a 208 V tap near 31 V.
 */
final class Sc03Supply implements ScreeningRule
{
    private const TOLERANCE = 0.06;

    public function check(Installation $installation, array $readings): array
    {
        $reading = null;
        foreach ($readings as $candidate) {
            $reading =
                $candidate->mode === MeterMode::Volts && $candidate->value !== null && $candidate->isHotToCommon()
                    ? $candidate
                    : $reading;
        }
        if ($reading?->value === null) {
            return [
                Finding::of(
                    'SC03',
                    Severity::Note,
                    'R–C not measured yet',
                    'Nothing is known of the supply.',
                    'Measure R to C at the board, power on.',
                    points: ['indoor.R', 'indoor.C'],
                ),
            ];
        }
        $facts = $installation->facts;
        $expected = Transformer::idleVolts($facts->line(), $facts->tap());
        $sum = sprintf('%.0f V line × 24 × 1.12 ÷ %.0f V tap = %.1f V', $facts->line(), $facts->tap(), $expected);
        $points = [$reading->a, $reading->b];
        $title = sprintf('R–C %.1f V', $reading->value);

        if ($reading->value < 1.0) {
            return [
                Finding::of(
                    'SC03',
                    Severity::Stop,
                    "{$title}: dead",
                    'No supply: fuse, float switch, door switch, transformer, or R or C open.',
                    'Trace the supply before anything is installed.',
                    points: $points,
                    overridable: true,
                ),
            ];
        }
        if ($reading->value > 60.0) {
            return [];
        }
        $off = $reading->value / $expected - 1.0;
        if (abs($off) > self::TOLERANCE) {
            $assumed =
                $facts->lineVolts === null || $facts->tapVolts === null
                    ? ' Line volts or tap are assumed, not measured.'
                    : '';
            $cause =
                $off > 0
                    ? 'the line on too low a tap, or a line figure that is off'
                    : 'the line on too high a tap, a load on the transformer, or a line figure that is off';

            return [
                Finding::of(
                    'SC03',
                    Severity::Warning,
                    sprintf('%s, %+.0f %% off', $title, 100.0 * $off),
                    "Idle should be {$sum}; this points to {$cause}.{$assumed}",
                    'Measure the line and read which tap is in use.',
                    points: $points,
                ),
            ];
        }

        return [
            Finding::of(
                'SC03',
                Severity::Good,
                "{$title} is right",
                "Idle should be {$sum}; within 6 %.",
                'Nothing to do.',
                points: $points,
            ),
        ];
    }
}
