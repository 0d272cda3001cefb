<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Meter;

/** What the meter in hand measures. */
enum MeterMode: string
{
    case Volts = 'V';
    case Ohms = 'O';
    case Amps = 'A';
    case Beep = 'B';
    case NonContact = 'N';

    public function unit(): string
    {
        return match ($this) {
            self::Volts, self::NonContact => 'V',
            self::Ohms, self::Beep => 'Ω',
            self::Amps => 'A',
        };
    }

    /** Whether somebody typed what a meter shows where nothing conducts. */
    public static function isOverLimit(mixed $typed): bool
    {
        return is_string($typed) && in_array(strtoupper(trim($typed)), ['OL', 'O.L', 'OPEN'], true);
    }

    /** Decimals that a figure is shown with, as a meter shows it. */
    public function decimals(float $value): int
    {
        return match (true) {
            $this === self::Amps => 2,
            abs($value) >= 1000.0 => 0,
            default => 1,
        };
    }

    /** A figure to the last digit that is shown: by it a reading is judged, and it is what is printed. */
    public function shown(float $value): float
    {
        return round($value, $this->decimals($value));
    }

    /** The largest reading that can be meant; above it a unit is mixed up or the digits slipped. */
    public function ceiling(): float
    {
        return match ($this) {
            self::Volts, self::NonContact => 600.0,
            self::Ohms, self::Beep => 1.0e8,
            self::Amps => 60.0,
        };
    }
}
