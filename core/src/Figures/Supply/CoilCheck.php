<?php

declare(strict_types=1);

namespace Unionbit\Core\Figures\Supply;

use Unionbit\Core\Equipment\LoadKind;
use Unionbit\Core\Figures\Figure\Figure;
use Unionbit\Core\Figures\Figure\Input;
use Unionbit\Core\Figures\Figure\Result;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Unit;

/** Measured ohms of a coil against what it should have: open, short, shorted turns, or good by ohms. */
final class CoilCheck implements Figure
{
    public function key(): string
    {
        return 'coil';
    }

    public function title(): Message
    {
        return Message::of('figures.coil-check.coil-by-ohms');
    }

    public function about(): Message
    {
        return Message::of('figures.coil-check.power-off-one-end-lifted');
    }

    public function inputs(?Plan $plan): array
    {
        $contactor = LoadKind::Contactor->dcOhms();

        return [
            new Input(
                'expected',
                Message::of('figures.coil-check.expected'),
                Unit::Ohms,
                $contactor,
                Message::of('figures.coil-check.contactor-here-relay-60-reversing'),
                1,
                5000,
            ),
            new Input(
                'measured',
                Message::of('figures.coil-check.measured-or-over-limit'),
                Unit::Ohms,
                null,
                Message::of('figures.coil-check.meter-leads-subtracted'),
                0,
                99999,
                overLimit: true,
            ),
        ];
    }

    public function compute(array $v, ?Plan $plan): Result
    {
        $share = (100.0 * $v['measured']) / $v['expected'];
        [$tone, $verdict] = match (true) {
            $v['measured'] >= 20_000.0 => ['fault', Message::of('figures.coil-check.open-coil-or-connection')],
            $share < 20.0 => ['fault', Message::of('figures.coil-check.short')],
            $share < 70.0 => ['caution', Message::of('figures.coil-check.damaged-or-another-type-compare')],
            $share < 95.0 => ['caution', Message::of('figures.coil-check.shorted-turns-possible-check-current')],
            $share <= 130.0 => ['verd', Message::of('figures.coil-check.good-by-ohms-ohms-alone')],
            default => ['caution', Message::of('figures.coil-check.higher-than-expected-another-type')],
        };

        return new Result(
            [
                Result::line(
                    Message::of('figures.coil-check.expected-2'),
                    $share,
                    Unit::Percent,
                    Message::of('figures.coil-check.measured-expected'),
                ),
            ],
            $tone,
            Message::of('figures.coil-check.running-current-comes-from-ac', verdict: $verdict),
        );
    }
}
