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
 * Return air grille by grille, before the work and after it: what each carries, what is missing, and the opening that
 * would bring it, as a rectangle.
 */
final class ReturnAir implements Figure
{
    public const GRILLES = 4;

    /** CFM for each ton, in the middle of the usual 350 to 450. */
    private const PER_TON = 400.0;

    /** Feet per minute over the free area at which a return is not yet heard; our working figure. */
    private const QUIET = 400.0;

    public function key(): string
    {
        return 'return-air';
    }

    public function title(): Message
    {
        return Message::of('figures.return-air.title');
    }

    public function about(): Message
    {
        return Message::of('figures.return-air.about');
    }

    public function inputs(?Plan $plan): array
    {
        $inputs = [
            Tons::input($plan),
            new Input(
                'free',
                Message::of('figures.return-air.free-share'),
                Unit::Percent,
                70.0,
                Message::of('figures.return-air.stamped-bars-usual'),
                20,
                100,
            ),
            new Input(
                'width',
                Message::of('figures.return-air.new-width'),
                Unit::Inches,
                14.0,
                Message::of('figures.return-air.between-studs'),
                4,
                60,
            ),
        ];
        foreach (range(1, self::GRILLES) as $n) {
            $row = Message::of('figures.return-air.grille', n: $n);
            foreach (
                ['w' => [2, 60], 'h' => [2, 60], 'before' => [0, 2000], 'after' => [0, 2000]] as $key => $range
            ) {
                $inputs[] = new Input(
                    key: "{$key}{$n}",
                    label: Message::of('figures.return-air.column', of: $key),
                    unit: in_array($key, ['w', 'h'], true) ? Unit::Inches : Unit::FeetPerMinute,
                    value: null,
                    source: Message::of('figures.return-air.tape-or-meter'),
                    min: $range[0],
                    max: $range[1],
                    optional: $n > 1 || $key === 'after',
                    row: $row,
                );
            }
        }

        return $inputs;
    }

    public function compute(array $v, ?Plan $plan): Result
    {
        $lines = [];
        $sum = ['before' => 0.0, 'after' => 0.0];
        foreach (range(1, self::GRILLES) as $n) {
            $area = (($v["w{$n}"] ?? 0.0) * ($v["h{$n}"] ?? 0.0) * $v['free']) / 100.0 / 144.0;
            foreach ($sum as $when => $cfm) {
                if ($area > 0.0 && isset($v["{$when}{$n}"])) {
                    $here = $area * $v["{$when}{$n}"];
                    $sum[$when] = $cfm + $here;
                    $lines[] = Result::line(
                        Message::of('figures.return-air.carries', n: $n, when: $when),
                        $here,
                        Unit::Cfm,
                        Message::of('figures.return-air.area-times-speed'),
                    );
                }
            }
        }
        $needed = self::PER_TON * $v['tons'];
        $now = $sum['after'] > 0.0 ? $sum['after'] : $sum['before'];
        $gap = max(0.0, $needed - $now);
        $height = (($gap / self::QUIET) * 144.0) / ($v['free'] / 100.0) / $v['width'];
        $answers = [
            Result::line(
                Message::of('figures.return-air.now', when: $sum['after'] > 0.0 ? 'after' : 'before'),
                $now,
                Unit::Cfm,
                Message::of('figures.return-air.sum-of-grilles'),
            ),
            Result::line(
                Message::of('figures.return-air.missing'),
                $gap,
                Unit::Cfm,
                Message::of(
                    'figures.return-air.needed-less-now',
                    each: Quantity::of(self::PER_TON, Unit::CfmPerTon, 0),
                ),
            ),
            Result::line(
                Message::of('figures.return-air.height'),
                $gap > 0.0 ? $height : null,
                Unit::Inches,
                Message::of(
                    'figures.return-air.rectangle',
                    quiet: Quantity::of(self::QUIET, Unit::FeetPerMinute, 0),
                ),
            ),
        ];
        if ($sum['after'] > 0.0) {
            $answers[] = Result::line(
                Message::of('figures.return-air.gained'),
                $sum['after'] - $sum['before'],
                Unit::Cfm,
                Message::of('figures.return-air.after-less-before'),
            );
        }
        $share = $now / $needed;

        return new Result(
            [...$answers, ...$lines],
            $share >= 0.875 ? 'verd' : ($share >= 0.75 ? 'caution' : 'fault'),
            $gap <= 0.0
                ? Message::of('figures.return-air.enough')
                : Message::of(
                    'figures.return-air.needs-opening',
                    width: Quantity::of($v['width'], Unit::Inches, 0),
                    height: Quantity::of(ceil($height), Unit::Inches, 0),
                ),
            answers: $answers,
        );
    }
}
