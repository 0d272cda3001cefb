<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\Supply;

use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

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
                    Message::of('screening.sc03.r-c-not-measured-yet'),
                    Message::of('screening.sc03.nothing-known-supply'),
                    Message::of('screening.sc03.measure-r-c-at-board'),
                    points: [
                        $installation->archetype->transformers[0]->hot,
                        $installation->archetype->transformers[0]->common,
                    ],
                ),
            ];
        }
        $facts = $installation->facts;
        $expected = Transformer::idleVolts($facts->line(), $facts->tap());
        $sum = Message::of(
            'screening.sc03.line-24-1-12-tap',
            line: Quantity::of($facts->line(), Unit::Volts, 0),
            tap: Quantity::of($facts->tap(), Unit::Volts, 0),
            expected: Quantity::of($expected, Unit::Volts, 1),
        );
        $points = [$reading->a, $reading->b];
        $title = Message::of('screening.sc03.r-c', reading: Quantity::of($reading->value, Unit::Volts, 1));

        if ($reading->value < 1.0) {
            return [
                Finding::of(
                    'SC03',
                    Severity::Stop,
                    Message::of('screening.sc03.dead', title: $title),
                    Message::of('screening.sc03.no-supply-fuse-float-switch'),
                    Message::of('screening.sc03.trace-supply-before-anything-installed'),
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
                    ? Message::of('screening.sc03.line-volts-or-tap-assumed')
                    : Message::none();
            $cause =
                $off > 0
                    ? Message::of('screening.sc03.line-on-too-low-tap')
                    : Message::of('screening.sc03.line-on-too-high-tap');

            return [
                Finding::of(
                    'SC03',
                    Severity::Warning,
                    Message::of(
                        'screening.sc03.off',
                        title: $title,
                        value: Quantity::of(100.0 * $off, Unit::Percent, 0),
                    ),
                    Message::of(
                        'screening.sc03.idle-should-be-points',
                        sum: $sum,
                        cause: $cause,
                        assumed: $assumed,
                    ),
                    Message::of('screening.sc03.measure-line-read-which-tap'),
                    points: $points,
                ),
            ];
        }

        return [
            Finding::of(
                'SC03',
                Severity::Good,
                Message::of('screening.sc03.right', title: $title),
                Message::of('screening.sc03.idle-should-be-within-6', sum: $sum),
                Message::of('screening.sc03.nothing-do'),
                points: $points,
            ),
        ];
    }
}
