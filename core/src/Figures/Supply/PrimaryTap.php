<?php

declare(strict_types=1);

namespace Unionbit\Core\Figures\Supply;

use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Figures\Figure\Figure;
use Unionbit\Core\Figures\Figure\Input;
use Unionbit\Core\Figures\Figure\Result;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/** Which primary lead fits the measured line: volts of the secondary on each, and which leads are capped one by one. */
final class PrimaryTap implements Figure
{
    use OfSupply;

    private const KEY = 'tap';

    /** Leads of the usual multi-tap transformers. */
    private const TAPS = [120, 208, 240, 277];

    public function title(): Message
    {
        return $this->titled(Message::of('figures.primary-tap.primary-tap'));
    }

    public function about(): Message
    {
        return Message::of('figures.primary-tap.line-voltage-only-with-licence');
    }

    public function inputs(?Plan $plan): array
    {
        $facts = $this->facts($plan);

        return [
            new Input(
                'line',
                Message::of('figures.primary-tap.line-volts-measured'),
                Unit::Volts,
                $facts->lineVolts ?? 240.0,
                $facts->lineVolts === null
                    ? Message::of('figures.primary-tap.measure-at-primary')
                    : Message::of('figures.primary-tap.measured'),
                90,
                300,
            ),
            new Input(
                'tap',
                Message::of('figures.primary-tap.lead-in-use'),
                Unit::Volts,
                $facts->tapVolts ?? 240.0,
                $facts->tapVolts === null
                    ? Message::of('figures.primary-tap.printed-on-lead')
                    : Message::of('figures.primary-tap.survey'),
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
                Message::of('figures.primary-tap.on-lead', tap: Quantity::of($tap, Unit::Volts)),
                $volts,
                Unit::Volts,
                self::formula($v['line'], (float) $tap),
            );
        }
        $now = Transformer::idleVolts($v['line'], $v['tap']);
        $off = abs($now / 26.88 - 1.0);
        $right = abs($best - $v['tap']) < 1.0;

        $nowLine = Result::line(
            Message::of('figures.primary-tap.now'),
            $now,
            Unit::Volts,
            self::formula($v['line'], $v['tap']),
        );
        $offLine = Result::line(
            Message::of('figures.primary-tap.off'),
            (100.0 * $now) / 26.88 - 100.0,
            Unit::Percent,
            Message::of('figures.primary-tap.against-26-9'),
        );

        return new Result(
            [$nowLine, $offLine, ...$lines],
            $right ? 'verd' : ($off > 0.06 ? 'fault' : 'caution'),
            $right
                ? Message::of('figures.primary-tap.lead-in-use-fits-line')
                : Message::of(
                    'figures.primary-tap.use-lead-cap-others-one',
                    best: Quantity::of($best, Unit::Volts),
                ),
            answers: [$nowLine, $offLine],
        );
    }

    private static function formula(float $line, float $tap): Message
    {
        return Message::of(
            'figures.primary-tap.formula',
            line: Quantity::number($line),
            tap: Quantity::number($tap),
        );
    }
}
