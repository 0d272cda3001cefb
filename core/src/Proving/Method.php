<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving;

/** The independent ways to prove a call. */
enum Method: string
{
    case Jumper = 'jumper';
    case Voltage = 'voltage';

    public function label(): string
    {
        return match ($this) {
            self::Jumper => 'By jumper',
            self::Voltage => 'By voltage',
        };
    }

    /** What a pass shows, and what it cannot show. */
    public function shows(): string
    {
        return match ($this) {
            self::Jumper => 'Works by jumper: cable, board and load are good. It says nothing of the thermostat or its settings.',
            self::Voltage => 'The thermostat makes the call itself: switch, cable, board and load at once.',
        };
    }
}
