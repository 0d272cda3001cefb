<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\Supply;

use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;
use Unionbit\Core\Screening\Rule\SurveyReading;
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
        $findings = [];
        foreach ($installation->transformers() as $index => $supply) {
            $reading = self::readingOf($installation, $readings, $supply);
            if ($reading !== null) {
                $facts = $installation->facts->ofSupply($supply->id, $index === 0);
                $assumed = $facts->lineVolts === null || $facts->tapVolts === null;
                array_push($findings, ...self::judged($supply, $reading, $assumed));
            } elseif ($index === 0) {
                $findings[] = self::notMeasured($supply);
            }
        }

        return $findings;
    }

    /**
     * The last reading of this supply: between its own points, of the first also between any hot and common.
     *
     * @param  list<SurveyReading>  $readings
     */
    private static function readingOf(Installation $house, array $readings, Transformer $supply): ?SurveyReading
    {
        $first = $house->archetype->transformers[0]->id;
        foreach (array_reverse($readings) as $reading) {
            $of = $house->archetype->supplyBetween($reading->a, $reading->b);
            $mine =
                $of === null ? $reading->isHotToCommon($house) && $supply->id === $first : $of->id === $supply->id;
            if ($reading->mode === MeterMode::Volts && $reading->value !== null && $mine) {
                return $reading;
            }
        }

        return null;
    }

    private static function notMeasured(Transformer $supply): Finding
    {
        return Finding::of(
            'SC03',
            Severity::Note,
            Message::of('screening.sc03.r-c-not-measured-yet'),
            Message::of('screening.sc03.nothing-known-supply'),
            Message::of('screening.sc03.measure-r-c-at-board'),
            points: [$supply->hot, $supply->common],
        );
    }

    /** @return list<Finding> */
    private static function judged(Transformer $supply, SurveyReading $reading, bool $assumed): array
    {
        $value = $reading->value ?? 0.0;
        $expected = $supply->idle();
        $sum = Message::of(
            'screening.sc03.line-24-1-12-tap',
            line: Quantity::of($supply->lineVolts, Unit::Volts, 0),
            tap: Quantity::of($supply->tapVolts, Unit::Volts, 0),
            expected: Quantity::of($expected, Unit::Volts, 1),
        );
        $points = [$reading->a, $reading->b];
        $title = Message::of('screening.sc03.r-c', reading: Quantity::of($value, Unit::Volts, 1));

        if ($value < 1.0) {
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
        if ($value > 60.0) {
            return [];
        }
        $off = $value / $expected - 1.0;
        if (abs($off) > self::TOLERANCE) {
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
                        assumed: $assumed
                            ? Message::of('screening.sc03.line-volts-or-tap-assumed')
                            : Message::none(),
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
