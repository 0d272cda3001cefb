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

/** Sum of the grilles against 350 to 450 CFM for each ton. */
final class AirflowCheck implements Figure
{
    public const LEAST = 350.0;

    public const MOST = 450.0;

    /** Feet per minute at the return grille over which it is heard. */
    private const LOUD = 500.0;

    public function key(): string
    {
        return 'airflow';
    }

    public function title(): Message
    {
        return Message::of('figures.airflow-check.airflow');
    }

    public function about(): Message
    {
        return Message::of('figures.airflow-check.plausibility-not-balancing-sum-supply');
    }

    public function inputs(?Plan $plan): array
    {
        return [
            Tons::input($plan),
            new Input(
                'cfm',
                Message::of('figures.airflow-check.sum-grille-readings'),
                Unit::Cfm,
                null,
                Message::of('figures.airflow-check.anemometer-or-hood-all-supplies'),
                0,
                6000,
            ),
            new Input(
                key: 'return',
                label: Message::of('figures.airflow-check.return-grille-free-area'),
                unit: Unit::SquareInches,
                value: null,
                source: Message::of('figures.airflow-check.width-height-free-share'),
                min: 10,
                max: 3000,
                optional: true,
            ),
        ];
    }

    public function compute(array $v, ?Plan $plan): Result
    {
        $perTon = $v['cfm'] / $v['tons'];
        $lines = [
            Result::line(
                Message::of('figures.airflow-check.for-each-ton'),
                $perTon,
                Unit::CfmPerTon,
                Message::of('figures.airflow-check.sum-tons'),
            ),
            Result::line(
                Message::of('figures.airflow-check.shortfall'),
                max(0.0, self::LEAST * $v['tons'] - $v['cfm']),
                Unit::Cfm,
                Message::of(
                    'figures.airflow-check.least-capacity-sum',
                    least: Quantity::of(self::LEAST, Unit::CfmPerTon),
                ),
            ),
        ];
        $fast = false;
        if (isset($v['return'])) {
            $speed = $v['cfm'] / ($v['return'] / 144.0);
            $fast = $speed > self::LOUD;
            $lines[] = Result::line(
                Message::of('figures.airflow-check.speed-at-return-grille'),
                $speed,
                Unit::FeetPerMinute,
                Message::of(
                    'figures.airflow-check.sum-area-over',
                    limit: Quantity::of(self::LOUD, Unit::FeetPerMinute),
                ),
            );
        }
        $low = $perTon < self::LEAST;

        return new Result(
            $lines,
            $low ? 'fault' : ($perTon > self::MOST || $fast ? 'caution' : 'verd'),
            $low
                ? Message::of('figures.airflow-check.too-little-filter-closed-grilles')
                : ($perTon > self::MOST
                    ? Message::of('figures.airflow-check.more-than-usual-humidity-suffers')
                    : ($fast
                        ? Message::of('figures.airflow-check.enough-air-through-return-grille')
                        : Message::of('figures.airflow-check.in-usual-range'))),
            answers: array_slice($lines, 0, 2),
        );
    }
}
