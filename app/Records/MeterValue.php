<?php

declare(strict_types=1);

namespace App\Records;

use App\House\Refused;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

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
        $overLimit = $mode === MeterMode::Ohms || $mode === MeterMode::Beep;
        $allowed = Message::of(
            $overLimit ? 'records.meter-value.allowed-or-ol' : 'records.meter-value.allowed',
            most: Quantity::of($mode->ceiling(), Unit::from($unit)),
        );
        if (MeterMode::isOverLimit($typed)) {
            return $overLimit
                ? null
                : throw self::refuse(
                    $field,
                    Message::of('records.meter-value.ol-no-reading-in', unit: $unit, allowed: $allowed),
                );
        }
        // The meter's own unit may stand behind it: 27.0V.
        $bare = (string) preg_replace('/\s*'.$unit.'$/ui', '', $typed);
        $number = str_replace([',', '−'], ['.', '-'], $bare);
        if ($typed === '' || ! is_numeric($number)) {
            throw self::refuse(
                $field,
                $typed === ''
                    ? Message::of('records.meter-value.reading-missing', allowed: $allowed)
                    : Message::of('records.meter-value.no-reading', typed: $typed, allowed: $allowed),
            );
        }
        $value = (float) $number;
        if ($value < 0.0) {
            throw self::refuse(
                $field,
                Message::of(
                    'records.meter-value.not-possible-reading-has-no',
                    typed: $typed,
                    unit: $unit,
                    allowed: $allowed,
                ),
            );
        }
        if ($value > $mode->ceiling()) {
            throw self::refuse(
                $field,
                Message::of('records.meter-value.out-range', typed: $typed, unit: $unit, allowed: $allowed),
            );
        }

        return $value;
    }

    private static function refuse(string $field, Message $message): Refused
    {
        return Refused::at($field, $message);
    }
}
