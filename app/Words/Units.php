<?php

declare(strict_types=1);

namespace App\Words;

use Closure;
use Unionbit\Core\Words\Unit;

/** The units that a crew thinks in. Everything is computed in US units; what is shown is converted here. */
enum Units: string
{
    case Us = 'us';
    case Metric = 'metric';

    /** @return array{float, string} the value and the sign of its unit, as these units have it */
    public function shown(float $value, Unit $unit): array
    {
        if ($this === self::Us) {
            return [$value, $unit === Unit::FahrenheitSteps ? '°F' : $unit->value];
        }

        return match ($unit) {
            Unit::Feet => [Unit::METERS_PER_FOOT * $value, 'm'],
            Unit::Inches => [25.4 * $value, 'mm'],
            Unit::InchesOfWater => [249.089 * $value, 'Pa'],
            Unit::SquareInches => [6.4516 * $value, 'cm²'],
            Unit::FeetPerMinute => [0.00508 * $value, 'm/s'],
            Unit::Fahrenheit => [($value - 32.0) / 1.8, '°C'],
            Unit::FahrenheitSteps => [$value / 1.8, 'K'],
            Unit::BtuPerHour => [0.000293071 * $value, 'kW'],
            Unit::Tons => [3.51685 * $value, 'kW'],
            Unit::Cfm => [0.471947 * $value, 'L/s'],
            Unit::CfmPerTon => [(0.471947 / 3.51685) * $value, 'L/s/kW'],
            Unit::OhmsPerFoot => [$value / Unit::METERS_PER_FOOT, 'Ω/m'],
            default => [$value, $unit->value],
        };
    }

    public function converts(Unit $unit): bool
    {
        return $this === self::Metric && $this->shown(1.0, $unit)[1] !== $unit->value;
    }

    /**
     * The same for the interface, which shows and takes figures by itself: what is shown is factor × US + offset.
     *
     * @param  Closure(string): string  $said  the sign of a unit as the language has it
     * @return array<string, array{unit: string, factor: float, offset: float}> by the sign of the US unit, where one of
     *                                                                          them differs from it
     */
    public function table(Closure $said): array
    {
        $table = [];
        foreach (Unit::cases() as $unit) {
            [$offset, $sign] = $this->shown(0.0, $unit);
            [$one] = $this->shown(1.0, $unit);
            if ($said($sign) !== $unit->value) {
                $table[$unit->value] = ['unit' => $said($sign), 'factor' => $one - $offset, 'offset' => $offset];
            }
        }

        return $table;
    }

    /** Decimals that a converted value needs beside those of the original: a meter is three feet, a ton 3.5 kW. */
    public function moreDecimals(Unit $unit): int
    {
        return $this === self::Metric && in_array($unit, [Unit::BtuPerHour, Unit::Feet, Unit::Tons], true) ? 1 : 0;
    }
}
