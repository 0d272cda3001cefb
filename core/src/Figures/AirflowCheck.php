<?php

declare(strict_types=1);

namespace Unionbit\Core\Figures;

use Unionbit\Core\Planning\Plan\Plan;

/** Sum of the grilles against 350 to 450 CFM for each ton. */
final class AirflowCheck implements Figure
{
    public const LEAST = 350.0;

    public const MOST = 450.0;

    public function key(): string
    {
        return 'airflow';
    }

    public function title(): string
    {
        return 'Airflow';
    }

    public function about(): string
    {
        return 'Plausibility, not balancing: sum of supply grilles against the capacity.';
    }

    public function inputs(?Plan $plan): array
    {
        $tons = $plan?->installation->answers->number('outdoorTons');

        return [
            new Input(
                'tons',
                'Capacity',
                'tons',
                $tons ?? 3.0,
                $tons === null ? 'nameplate ÷ 12 000' : 'the survey',
                0.5,
                10,
            ),
            new Input('cfm', 'Sum of the grille readings', 'CFM', null, 'anemometer or hood, all supplies', 0, 6000),
            new Input(
                'return',
                'Return grille, free area',
                'sq in',
                null,
                'width × height × free share',
                10,
                3000,
                true,
            ),
        ];
    }

    public function compute(array $v, ?Plan $plan): Result
    {
        $perTon = $v['cfm'] / $v['tons'];
        $lines = [
            Result::line('For each ton', $perTon, 'CFM', 'sum ÷ tons'),
            Result::line('Shortfall', max(0.0, self::LEAST * $v['tons'] - $v['cfm']), 'CFM', '350 × tons − sum'),
        ];
        $fast = false;
        if (isset($v['return'])) {
            $speed = $v['cfm'] / ($v['return'] / 144.0);
            $fast = $speed > 500.0;
            $lines[] = Result::line(
                'Speed at the return grille',
                $speed,
                'ft/min',
                'CFM ÷ (sq in ÷ 144); over 500 it is too small and loud',
            );
        }
        $low = $perTon < self::LEAST;

        return new Result(
            $lines,
            $low ? 'fault' : ($perTon > self::MOST || $fast ? 'caution' : 'verd'),
            $low
                ? 'Too little: filter, closed grilles, a dirty coil, a return grille too small, or the blower\'s speed.'
                : ($perTon > self::MOST
                    ? 'More than usual: humidity suffers.'
                    : ($fast
                        ? 'Enough air, through a return grille that is too small.'
                        : 'In the usual range.')),
        );
    }
}
