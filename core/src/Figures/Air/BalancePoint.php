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
 * Where the heat pump just carries the house, and where the furnace becomes the cheaper heat: load and capacity
 * against outdoor temperature, both as straight lines. It suggests the lockouts.
 */
final class BalancePoint implements Figure
{
    /** Assumed: outdoors at this temperature the house needs no heat; sun, people and lamps carry the rest. */
    private const NO_HEAT = 65.0;

    /** °F; lockouts are set in steps of five. */
    private const STEP = 5.0;

    public function key(): string
    {
        return 'balance';
    }

    public function title(): Message
    {
        return Message::of('figures.balance-point.balance-point-changeover-lockouts');
    }

    public function about(): Message
    {
        return Message::of('figures.balance-point.above-thermal-balance-point-heat');
    }

    public function inputs(?Plan $plan): array
    {
        $tons = $plan?->installation->answers->number('outdoorTons') ?? 3.0;
        $dual = $plan?->installation->archetype->system() === 'dual-fuel';

        return [
            ...self::ofHouse($plan, $tons),
            ...self::ofHeatPump($plan, $tons),
            self::input(
                $plan,
                'priceElectric',
                Message::of('figures.balance-point.electricity'),
                Unit::DollarsPerKilowattHour,
                0.16,
                Message::of('figures.balance-point.bill'),
                0.01,
                2,
            ),
            ...$dual || $plan === null ? self::ofFurnace($plan) : [],
        ];
    }

    /** As answered of this house, else the default with where that comes from. */
    private static function input(
        ?Plan $plan,
        string $key,
        Message $label,
        Unit $unit,
        float $default,
        Message $source,
        float $min,
        float $max,
    ): Input {
        $given = $plan?->installation->answers->number($key);

        return new Input(
            $key,
            $label,
            $unit,
            $given ?? $default,
            $given === null ? $source : Message::of('figures.balance-point.entered-for-house'),
            $min,
            $max,
        );
    }

    /** @return list<Input> what the house loses */
    private static function ofHouse(?Plan $plan, float $tons): array
    {
        return [
            self::input(
                $plan,
                'heatLoss',
                Message::of('figures.balance-point.heat-loss-at-design'),
                Unit::BtuPerHour,
                12_000.0 * $tons,
                Message::of('figures.balance-point.assumed-as-much-as-nominal'),
                2000,
                300_000,
            ),
            self::input(
                $plan,
                'designTemp',
                Message::of('figures.balance-point.outdoor-design-temperature'),
                Unit::Fahrenheit,
                15.0,
                Message::of('figures.balance-point.assumed-cold-winter-look-up'),
                -40,
                50,
            ),
            self::input(
                $plan,
                'noHeat',
                Message::of('figures.balance-point.no-heat-above'),
                Unit::Fahrenheit,
                self::NO_HEAT,
                Message::of('figures.balance-point.assumed-well-built-less'),
                51,
                75,
            ),
        ];
    }

    /** @return list<Input> what the heat pump gives, and takes for it, at two temperatures */
    private static function ofHeatPump(?Plan $plan, float $tons): array
    {
        return [
            self::input(
                $plan,
                'capacity47',
                Message::of(
                    'figures.balance-point.heat-pump-capacity-at-47',
                    at: Quantity::of(47.0, Unit::Fahrenheit, 0),
                ),
                Unit::BtuPerHour,
                12_000.0 * $tons,
                Message::of('figures.balance-point.nominal-tons-12-000'),
                2000,
                200_000,
            ),
            self::input(
                $plan,
                'capacity17',
                Message::of(
                    'figures.balance-point.heat-pump-capacity-at-17',
                    at: Quantity::of(17.0, Unit::Fahrenheit, 0),
                ),
                Unit::BtuPerHour,
                7200.0 * $tons,
                Message::of(
                    'figures.balance-point.typical-60-at-47-f',
                    at: Quantity::of(47.0, Unit::Fahrenheit, 0),
                ),
                1000,
                200_000,
            ),
            self::input(
                $plan,
                'cop47',
                Message::of('figures.balance-point.cop-at-47-f', at: Quantity::of(47.0, Unit::Fahrenheit, 0)),
                Unit::Number,
                3.4,
                Message::of('figures.balance-point.typical-data-sheet-wins'),
                1,
                7,
            ),
            self::input(
                $plan,
                'cop17',
                Message::of('figures.balance-point.cop-at-17-f', at: Quantity::of(17.0, Unit::Fahrenheit, 0)),
                Unit::Number,
                2.3,
                Message::of('figures.balance-point.typical-data-sheet-wins'),
                0.8,
                6,
            ),
        ];
    }

    /** @return list<Input> */
    private static function ofFurnace(?Plan $plan): array
    {
        return [
            self::input(
                $plan,
                'priceGas',
                Message::of('figures.balance-point.gas'),
                Unit::DollarsPerTherm,
                1.4,
                Message::of('figures.balance-point.bill-therm-100-000-btu'),
                0.05,
                20,
            ),
            self::input(
                $plan,
                'efficiency',
                Message::of('figures.balance-point.furnace-efficiency'),
                Unit::Percent,
                92.0,
                Message::of('figures.balance-point.plate'),
                50,
                99,
            ),
        ];
    }

    public function compute(array $v, ?Plan $plan): Result
    {
        $dual = isset($v['priceGas']);
        $gap = max(0.0, self::load($v, $v['designTemp']) - self::capacity($v, $v['designTemp']));
        $lines = [...self::heat($v, $gap), ...$dual ? self::changeoverLines($v) : self::lockoutLines($v)];

        return new Result(
            lines: $lines,
            tone: $dual || $gap > 0.0 ? 'verd' : 'muted',
            verdict: $dual ? self::governs($v) : self::auxiliaryOff($v),
            answers: array_slice($lines, 0, 2),
            plot: self::plot($v, $dual),
        );
    }

    /**
     * @param  array<string, float>  $v
     * @return list<array{label: Message, value: ?float, unit: string, formula: Message}>
     */
    private static function heat(array $v, float $gap): array
    {
        return [
            Result::line(
                Message::of('figures.balance-point.thermal-balance-point'),
                self::thermal($v),
                Unit::Fahrenheit,
                Message::of(
                    'figures.balance-point.where-capacity-meets-load-load',
                    at: Quantity::of($v['noHeat'], Unit::Fahrenheit, 0),
                ),
            ),
            Result::line(
                Message::of('figures.balance-point.missing-at-design'),
                $gap,
                Unit::BtuPerHour,
                Message::of('figures.balance-point.heat-loss-capacity-at-design'),
            ),
            Result::line(
                Message::of('figures.balance-point.as-strips'),
                $gap / AuxiliaryHeat::BTU_PER_KWH,
                Unit::Kilowatts,
                Message::of('figures.balance-point.3412'),
            ),
        ];
    }

    /**
     * @param  array<string, float>  $v
     * @return list<array{label: Message, value: ?float, unit: string, formula: Message}>
     */
    private static function changeoverLines(array $v): array
    {
        return [
            Result::line(
                Message::of('figures.balance-point.economic-changeover'),
                self::economic($v),
                Unit::Fahrenheit,
                Message::of('figures.balance-point.cop-at-which-heat-pumps'),
            ),
            Result::line(
                Message::of('figures.balance-point.suggested-changeover-compressor-lockout'),
                self::changeover($v),
                Unit::Fahrenheit,
                Message::of(
                    'figures.balance-point.higher-both-next-step',
                    step: Quantity::of(self::STEP, Unit::FahrenheitSteps),
                ),
            ),
        ];
    }

    /** @param  array<string, float>  $v */
    private static function governs(array $v): Message
    {
        $economic = self::economic($v);

        return Message::of(
            'figures.balance-point.changeover-at-set-higher-costs',
            changeover: Quantity::of(self::changeover($v), Unit::Fahrenheit, 0),
            clause: $economic !== null && $economic > self::thermal($v)
                ? Message::of('figures.balance-point.price-governs-below-gas-cheaper')
                : Message::of('figures.balance-point.capacity-governs-below-heat-pump'),
        );
    }

    /**
     * @param  array<string, float>  $v
     * @return list<array{label: Message, value: ?float, unit: string, formula: Message}>
     */
    private static function lockoutLines(array $v): array
    {
        return [
            Result::line(
                Message::of('figures.balance-point.suggested-auxiliary-lockout'),
                self::auxiliaryLockout($v),
                Unit::Fahrenheit,
                Message::of(
                    'figures.balance-point.thermal-balance-point-next-step',
                    margin: Quantity::of(self::STEP, Unit::FahrenheitSteps),
                    step: Quantity::of(self::STEP, Unit::FahrenheitSteps),
                ),
            ),
            Result::line(
                Message::of('figures.balance-point.btu-from-strips-costs'),
                self::cop($v, self::thermal($v)),
                Unit::Times,
                Message::of('figures.balance-point.heat-pump-at-balance-point'),
            ),
        ];
    }

    /** @param  array<string, float>  $v */
    private static function auxiliaryOff(array $v): Message
    {
        return Message::of(
            'figures.balance-point.auxiliary-off-above-heat-pump',
            lock: Quantity::of(self::auxiliaryLockout($v), Unit::Fahrenheit, 0),
        );
    }

    /**
     * Load and capacity against the outdoor temperature, and where they meet.
     *
     * @param  array<string, float>  $v
     * @return array{x: Message, xUnit: string, y: string,
     *     series: list<array{name: Message, points: list<array{float, float}>}>,
     *     marks: list<array{x: float, name: Message}>}
     */
    private static function plot(array $v, bool $dual): array
    {
        $load = static fn (float $t): float => self::load($v, $t);
        $capacity = static fn (float $t): float => self::capacity($v, $t);
        $thermal = self::thermal($v);
        $economic = self::economic($v);

        return [
            'x' => Message::of('figures.balance-point.outdoor'),
            'xUnit' => Unit::Fahrenheit->value,
            'y' => Unit::BtuPerHour->value,
            'series' => [
                ['name' => Message::of('figures.balance-point.house-needs'), 'points' => self::points($load)],
                [
                    'name' => Message::of('figures.balance-point.heat-pump-gives'),
                    'points' => self::points($capacity),
                ],
            ],
            'marks' => array_values(
                array_filter([
                    $thermal === null
                        ? null
                        : ['x' => $thermal, 'name' => Message::of('figures.balance-point.thermal')],
                    $dual && $economic !== null
                        ? ['x' => $economic, 'name' => Message::of('figures.balance-point.economic')]
                        : null,
                ]),
            ),
        ];
    }

    /**
     * A line of the plot.
     *
     * @param  callable(float): float  $f  of the outdoor temperature, °F
     * @return list<array{float, float}>
     */
    private static function points(callable $f): array
    {
        return array_map(static fn (int $t): array => [(float) $t, round($f((float) $t))], range(-10, 65, 5));
    }

    /**
     * How much of what the house needs the heat pump gives at an outdoor temperature: percent, at most 100.
     *
     * @param  array<string, float>  $v
     */
    public static function share(array $v, float $degrees): float
    {
        $load = self::load($v, $degrees);

        return $load > 0.0 ? min(100.0, (100.0 * self::capacity($v, $degrees)) / $load) : 100.0;
    }

    /** @param  array<string, float>  $v */
    private static function load(array $v, float $degrees): float
    {
        return max(0.0, ($v['heatLoss'] * ($v['noHeat'] - $degrees)) / ($v['noHeat'] - $v['designTemp']));
    }

    /** @param  array<string, float>  $v */
    private static function capacity(array $v, float $degrees): float
    {
        return max(0.0, $v['capacity17'] + (($v['capacity47'] - $v['capacity17']) * ($degrees - 17.0)) / 30.0);
    }

    /** @param  array<string, float>  $v */
    public static function thermal(array $v): ?float
    {
        $slopeLoad = -$v['heatLoss'] / ($v['noHeat'] - $v['designTemp']);
        $slope = ($v['capacity47'] - $v['capacity17']) / 30.0;
        $at = ($v['capacity17'] - 17.0 * $slope + $slopeLoad * $v['noHeat']) / ($slopeLoad - $slope);

        return $at > $v['noHeat'] || $at < -60.0 ? null : $at;
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

        return max(-40.0, min($v['noHeat'], 17.0 + ($needed - $v['cop17']) / $slope));
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
