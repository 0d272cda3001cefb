<?php

declare(strict_types=1);

namespace App\Words;

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
            Unit::Feet => [0.3048 * $value, 'm'],
            Unit::Inches => [25.4 * $value, 'mm'],
            Unit::Fahrenheit => [($value - 32.0) / 1.8, '°C'],
            Unit::FahrenheitSteps => [$value / 1.8, 'K'],
            Unit::BtuPerHour => [0.000293071 * $value, 'kW'],
            Unit::Tons => [3.51685 * $value, 'kW'],
            Unit::Cfm => [0.471947 * $value, 'L/s'],
            Unit::OhmsPerFoot => [$value / 0.3048, 'Ω/m'],
            default => [$value, $unit->value],
        };
    }

    /** Decimals that a converted value needs beside those of the original: a meter is three feet. */
    public function moreDecimals(Unit $unit): int
    {
        return $this === self::Metric && in_array($unit, [Unit::BtuPerHour, Unit::Feet], true) ? 1 : 0;
    }
}
