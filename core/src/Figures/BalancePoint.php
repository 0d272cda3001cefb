<?php

declare(strict_types=1);

namespace Unionbit\Core\Figures;

use Unionbit\Core\Planning\Plan\Plan;

/**
 * Where the heat pump just carries the house, and where the furnace becomes the cheaper heat: load and capacity
 * against outdoor temperature, both as straight lines. It suggests the lockouts.
 */
final class BalancePoint implements Figure
{
    /** Outdoors at this temperature the house needs no heat: sun, people and lamps carry the rest. */
    public const NO_HEAT = 65.0;

    /** °F; lockouts are set in steps of five. */
    private const STEP = 5.0;

    public function key(): string
    {
        return 'balance';
    }

    public function title(): string
    {
        return 'Balance point, changeover and lockouts';
    }

    public function about(): string
    {
        return 'Above the thermal balance point the heat pump carries the house and the cheaper source governs; below it, it cannot, whatever it costs. Lockouts do not touch defrost heat.';
    }

    public function inputs(?Plan $plan): array
    {
        $answers = $plan?->installation->answers;
        $tons = $answers?->number('outdoorTons') ?? 3.0;
        $dual = $plan?->installation->archetype->system() === 'dual-fuel';
        $given = static fn (string $key): ?float => $answers?->number($key);
        $from = static fn (string $key, string $default): string => $given($key) === null
            ? $default
            : 'entered for this house';
        $input = static fn (
            string $key,
            string $label,
            string $unit,
            float $default,
            string $source,
            float $min,
            float $max,
        ): Input => new Input($key, $label, $unit, $given($key) ?? $default, $from($key, $source), $min, $max);

        return [
            $input(
                'heatLoss',
                'Heat loss at design',
                'BTU/h',
                12_000.0 * $tons,
                'assumed: as much as the nominal capacity; use a load calculation',
                2000,
                300_000,
            ),
            $input(
                'designTemp',
                'Outdoor design temperature',
                '°F',
                15.0,
                'assumed: a cold winter; look up the place',
                -40,
                50,
            ),
            $input(
                'capacity47',
                'Heat pump capacity at 47 °F',
                'BTU/h',
                12_000.0 * $tons,
                'nominal tons × 12 000',
                2000,
                200_000,
            ),
            $input(
                'capacity17',
                'Heat pump capacity at 17 °F',
                'BTU/h',
                7200.0 * $tons,
                'typical: 60 % of that at 47 °F; its data sheet wins',
                1000,
                200_000,
            ),
            $input('cop47', 'COP at 47 °F', '', 3.4, 'typical; its data sheet wins', 1, 7),
            $input('cop17', 'COP at 17 °F', '', 2.3, 'typical; its data sheet wins', 0.8, 6),
            $input('priceElectric', 'Electricity', '$/kWh', 0.16, 'the bill', 0.01, 2),
            ...$dual || $plan === null
                ? [
                    $input('priceGas', 'Gas', '$/therm', 1.4, 'the bill; a therm is 100 000 BTU', 0.05, 20),
                    $input('efficiency', 'Furnace efficiency', '%', 92.0, 'its plate', 50, 99),
                ]
                : [],
        ];
    }

    public function compute(array $v, ?Plan $plan): Result
    {
        $load = static fn (float $t): float => max(
            0.0,
            ($v['heatLoss'] * (self::NO_HEAT - $t)) / (self::NO_HEAT - $v['designTemp']),
        );
        $capacity = static fn (float $t): float => max(
            0.0,
            $v['capacity17'] + (($v['capacity47'] - $v['capacity17']) * ($t - 17.0)) / 30.0,
        );
        $thermal = self::thermal($v);
        $economic = self::economic($v);
        $dual = isset($v['priceGas']);
        $gap = max(0.0, $load($v['designTemp']) - $capacity($v['designTemp']));
        $lines = [
            Result::line(
                'Thermal balance point',
                $thermal,
                '°F',
                'where capacity meets load; load is nothing at 65 °F and the heat loss at design',
            ),
            Result::line('Missing at design', $gap, 'BTU/h', 'heat loss − capacity at design'),
            Result::line('as strips', $gap / AuxiliaryHeat::BTU_PER_KWH, 'kW', '÷ 3412'),
        ];
        if ($dual) {
            $lines[] = Result::line(
                'Economic changeover',
                $economic,
                '°F',
                'COP at which a heat pump\'s BTU costs what the furnace\'s does: $/kWh × 100 000 × efficiency ÷ (3412 × $/therm)',
            );
            $changeover = self::changeover($v);
            $lines[] = Result::line(
                'Suggested changeover, compressor lockout',
                $changeover,
                '°F',
                'the higher of both, to the next five degrees',
            );
            $tone = 'verd';
            $verdict =
                sprintf('Changeover at %.0f °F. ', $changeover).
                ($economic !== null && $economic > $thermal
                    ? 'Price governs: below it gas is cheaper, though the heat pump would still carry the house.'
                    : 'Capacity governs: below it the heat pump cannot carry the house.').
                ' Set higher, it costs comfort of gentle heat and, above the economic point, money; set lower, the house gets cold below the thermal balance point.';
        } else {
            $lock = self::auxiliaryLockout($v);
            $lines[] = Result::line(
                'Suggested auxiliary lockout',
                $lock,
                '°F',
                'thermal balance point + 5, to the next five degrees',
            );
            $lines[] = Result::line(
                'A BTU from strips costs',
                self::cop($v, $thermal),
                '×',
                'that of the heat pump at the balance point: its COP',
            );
            $tone = $gap > 0.0 ? 'verd' : 'muted';
            $verdict = sprintf(
                'Auxiliary off above %.0f °F: the heat pump carries the house alone there. No compressor lockout: below the balance point it still gives heat at a COP over one. Set higher, strips run when they need not; set lower, recovery is slow.',
                $lock,
            );
        }
        $points = static fn (callable $f): array => array_map(
            static fn (int $t): array => [(float) $t, round($f((float) $t))],
            range(-10, 65, 5),
        );

        return new Result($lines, $tone, $verdict, [
            'x' => 'outdoor °F',
            'y' => 'BTU/h',
            'series' => [
                ['name' => 'House needs', 'points' => $points($load)],
                ['name' => 'Heat pump gives', 'points' => $points($capacity)],
            ],
            'marks' => array_values(
                array_filter([
                    $thermal === null ? null : ['x' => $thermal, 'name' => 'thermal'],
                    $dual && $economic !== null ? ['x' => $economic, 'name' => 'economic'] : null,
                ]),
            ),
        ]);
    }

    /** @param  array<string, float>  $v */
    public static function thermal(array $v): ?float
    {
        $slopeLoad = -$v['heatLoss'] / (self::NO_HEAT - $v['designTemp']);
        $slope = ($v['capacity47'] - $v['capacity17']) / 30.0;
        $at = ($v['capacity17'] - 17.0 * $slope + $slopeLoad * self::NO_HEAT) / ($slopeLoad - $slope);

        return $at > self::NO_HEAT || $at < -60.0 ? null : $at;
    }

    /** @param  array<string, float>  $v */
    public static function economic(array $v): ?float
    {
        if (! isset($v['priceGas'], $v['efficiency'])) {
            return null;
        }
        $needed =
            ($v['priceElectric'] * 100_000.0 * $v['efficiency']) /
            100.0 /
            (AuxiliaryHeat::BTU_PER_KWH * $v['priceGas']);
        $slope = ($v['cop47'] - $v['cop17']) / 30.0;
        if (abs($slope) < 1e-9) {
            return null;
        }

        return max(-40.0, min(self::NO_HEAT, 17.0 + ($needed - $v['cop17']) / $slope));
    }

    /** @param  array<string, float>  $v */
    public static function changeover(array $v): float
    {
        return self::STEP * ceil(max(self::thermal($v) ?? -40.0, self::economic($v) ?? -40.0) / self::STEP);
    }

    /** @param  array<string, float>  $v */
    public static function auxiliaryLockout(array $v): float
    {
        return self::STEP * ceil(((self::thermal($v) ?? -40.0) + self::STEP) / self::STEP);
    }

    /** @param  array<string, float>  $v */
    private static function cop(array $v, ?float $t): ?float
    {
        return $t === null ? null : $v['cop17'] + (($v['cop47'] - $v['cop17']) * ($t - 17.0)) / 30.0;
    }

    /** @return array<string, float> the inputs of a house, by key */
    public static function valuesOf(Plan $plan): array
    {
        $values = [];
        foreach ((new self())->inputs($plan) as $input) {
            $values[$input->key] = (float) $input->value;
        }

        return $values;
    }
}
