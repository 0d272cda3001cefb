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

/** What two ways of doing it cost beside each other: parts, hours, and what each costs every year after. */
final class TwoWays implements Figure
{
    public function key(): string
    {
        return 'two-ways';
    }

    public function title(): Message
    {
        return Message::of('figures.two-ways.title');
    }

    public function about(): Message
    {
        return Message::of('figures.two-ways.about');
    }

    public function inputs(?Plan $plan): array
    {
        $inputs = [
            new Input(
                'rate',
                Message::of('figures.two-ways.rate'),
                Unit::Dollars,
                120.0,
                Message::of('figures.two-ways.assumed'),
                0,
                1000,
            ),
            new Input(
                'years',
                Message::of('figures.two-ways.years'),
                Unit::Number,
                10.0,
                Message::of('figures.two-ways.assumed'),
                1,
                30,
            ),
        ];
        foreach (['A', 'B'] as $way) {
            foreach (['parts' => [0, 50_000], 'hours' => [0, 200], 'yearly' => [0, 20_000]] as $key => $range) {
                $inputs[] = new Input(
                    key: "{$key}{$way}",
                    label: Message::of('figures.two-ways.column', of: $key),
                    unit: $key === 'hours' ? Unit::Hours : Unit::Dollars,
                    value: $key === 'yearly' ? 0.0 : null,
                    source: Message::of('figures.two-ways.quote'),
                    min: $range[0],
                    max: $range[1],
                    row: Message::of('figures.two-ways.way', way: $way),
                );
            }
        }

        return $inputs;
    }

    public function compute(array $v, ?Plan $plan): Result
    {
        $at = static fn (string $way): float => $v["parts{$way}"] + $v['rate'] * $v["hours{$way}"];
        $over = static fn (string $way): float => $at($way) + $v['years'] * $v["yearly{$way}"];
        $line = static fn (string $way): array => Result::line(
            Message::of('figures.two-ways.total', way: $way),
            $over($way),
            Unit::Dollars,
            Message::of(
                'figures.two-ways.formula',
                now: Quantity::of($at($way), Unit::Dollars, 0),
                years: Quantity::of($v['years'], Unit::Number, 0),
                yearly: Quantity::of($v["yearly{$way}"], Unit::Dollars, 0),
            ),
        );
        $saved = abs($v['yearlyA'] - $v['yearlyB']);
        $dearer = $at('A') > $at('B') ? 'A' : 'B';
        $pays = $saved > 0.0 && $v["yearly{$dearer}"] === min($v['yearlyA'], $v['yearlyB']);
        $back = $pays ? abs($at('A') - $at('B')) / $saved : null;
        $answers = [
            $line('A'),
            $line('B'),
            Result::line(
                Message::of('figures.two-ways.apart'),
                abs($over('A') - $over('B')),
                Unit::Dollars,
                Message::of('figures.two-ways.difference'),
            ),
            Result::line(
                Message::of('figures.two-ways.pays-back'),
                $back,
                Unit::Number,
                Message::of('figures.two-ways.dearer-by-saved'),
            ),
        ];

        return new Result(
            $answers,
            'muted',
            Message::of(
                'figures.two-ways.verdict',
                cheaper: $over('A') <= $over('B') ? 'A' : 'B',
                years: Quantity::of($v['years'], Unit::Number, 0),
            ),
            answers: $answers,
        );
    }
}
