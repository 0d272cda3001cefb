<?php

declare(strict_types=1);

namespace Unionbit\Core\Words;

/** What a quantity is measured in. Computed in US units; the edge converts for who thinks in metric ones. */
enum Unit: string
{
    /** Exact, by definition. */
    public const METERS_PER_FOOT = 0.3048;

    case Number = '';
    case Volts = 'V';
    case Millivolts = 'mV';
    case Amps = 'A';
    case Ohms = 'Ω';
    case OhmsPerFoot = 'Ω/ft';
    case VoltAmps = 'VA';
    case Watts = 'W';
    case Kilowatts = 'kW';
    case BtuPerHour = 'BTU/h';
    case Cfm = 'CFM';
    case CfmPerTon = 'CFM/ton';
    case Tons = 'tons';
    case Feet = 'ft';
    case Inches = 'in';
    case InchesOfWater = 'in. w.c.';
    case SquareInches = 'sq in';
    case FeetPerMinute = 'ft/min';
    case Conductors = 'conductors';
    case Dollars = '$';
    case DollarsPerKilowattHour = '$/kWh';
    case DollarsPerTherm = '$/therm';
    case Gauge = 'AWG';
    case Times = '×';
    case Fahrenheit = '°F';
    /** A difference of two temperatures, not a temperature. */
    case FahrenheitSteps = 'Δ°F';
    case Seconds = 's';
    case Minutes = 'min';
    case Hours = 'h';
    case Percent = '%';
}
