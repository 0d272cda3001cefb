<?php

declare(strict_types=1);

namespace App\Records\Reading;

use App\House\Refused;
use Unionbit\Core\Circuit\Meter\MeterMode;

/** A reading as a person types it: digits, a comma or a point, or OL for over-limit. */
final class MeterValue
{
    /**
     * @param  string  $field  where a message about it belongs
     * @return ?float in the mode's unit; null for over-limit
     */
    public static function parse(string $typed, MeterMode $mode, string $field = 'value'): ?float
    {
        $typed = trim($typed);
        $unit = $mode->unit();
        $allowed =
            "Use a number from 0 to {$mode->ceiling()} {$unit}".
            ($mode === MeterMode::Ohms || $mode === MeterMode::Beep ? ', or OL for over-limit.' : '.');
        if (in_array(strtoupper($typed), ['OL', 'O.L', 'OPEN'], true)) {
            return $mode === MeterMode::Ohms || $mode === MeterMode::Beep
                ? null
                : throw self::refuse($field, "OL is no reading in {$unit}. {$allowed}");
        }
        $number = str_replace([',', '−'], ['.', '-'], $typed);
        if ($typed === '' || ! is_numeric($number)) {
            throw self::refuse(
                $field,
                $typed === '' ? "The reading is missing. {$allowed}" : "\"{$typed}\" is no reading. {$allowed}",
            );
        }
        $value = (float) $number;
        if ($value < 0.0) {
            throw self::refuse($field, "{$typed} {$unit} is not possible: this reading has no sign. {$allowed}");
        }
        if ($value > $mode->ceiling()) {
            throw self::refuse($field, "{$typed} {$unit} is out of range. {$allowed}");
        }

        return $value;
    }

    private static function refuse(string $field, string $message): Refused
    {
        return Refused::at($field, $message);
    }
}
