<?php

declare(strict_types=1);

namespace Unionbit\Core\Figures;

use Unionbit\Core\Equipment\LoadKind;
use Unionbit\Core\Planning\Plan\Plan;

/** Measured ohms of a coil against what it should have: open, short, shorted turns, or good by ohms. */
final class CoilCheck implements Figure
{
    public function key(): string
    {
        return 'coil';
    }

    public function title(): string
    {
        return 'Coil by ohms';
    }

    public function about(): string
    {
        return 'Power off, one end lifted. DC ohms compare with a good coil; they do not give the running current.';
    }

    public function inputs(?Plan $plan): array
    {
        $contactor = LoadKind::Contactor->dcOhms();

        return [
            new Input(
                'expected',
                'Expected',
                'Ω',
                $contactor,
                'a contactor here; relay 60, reversing valve 17, gas valve 45, sequencer 115',
                1,
                5000,
            ),
            new Input('measured', 'Measured; 99999 for over limit', 'Ω', null, 'meter, leads subtracted', 0, 99999),
        ];
    }

    public function compute(array $v, ?Plan $plan): Result
    {
        $share = (100.0 * $v['measured']) / $v['expected'];
        [$tone, $verdict] = match (true) {
            $v['measured'] >= 20_000.0 => ['fault', 'Open: the coil or its connection.'],
            $share < 20.0 => ['fault', 'Short.'],
            $share < 70.0 => ['caution', 'Damaged, or another type: compare with a good one.'],
            $share < 95.0 => ['caution', 'Shorted turns are possible: check current or sag under call.'],
            $share <= 130.0 => ['verd', 'Good by ohms; ohms alone do not clear it.'],
            default => ['caution', 'Higher than expected: another type, or a poor connection in the path.'],
        };

        return new Result(
            [Result::line('Of the expected', $share, '%', 'measured ÷ expected')],
            $tone,
            $verdict.' The running current comes from the AC impedance, several times the DC ohms.',
        );
    }
}
