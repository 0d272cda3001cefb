<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Step;

use Unionbit\Core\Terminal\Place;

/** The independent ways to prove a call. */
enum Method: string
{
    case PreCheck = 'pre-check';
    case Jumper = 'jumper';
    case BoardJumper = 'board-jumper';
    case AuxAlone = 'aux-alone';
    case Continuity = 'continuity';
    case Voltage = 'voltage';
    case FloatLift = 'float-lift';

    public function label(): string
    {
        return match ($this) {
            self::PreCheck => 'Ohms before power',
            self::Jumper => 'By jumper',
            self::BoardJumper => 'At the board',
            self::AuxAlone => 'Auxiliary alone',
            self::Continuity => 'By continuity',
            self::Voltage => 'By voltage',
            self::FloatLift => 'Float lifted',
        };
    }

    /** What a pass shows, and what it cannot show. */
    public function shows(): string
    {
        return match ($this) {
            self::PreCheck => 'Each call\'s branch has its own ohms: nothing is shorted or open. A short behind a board input cannot be seen from here.',
            self::Jumper => 'Works by jumper: cable, board and load are good. It says nothing of the thermostat or its settings.',
            self::BoardJumper => 'Works at the board: board and load are good. With the wall jumper failing, cable or its ends are not; with the field cable still landed it could not tell them apart.',
            self::AuxAlone => 'The auxiliary heat works without the compressor, with its blower. It says nothing of the thermostat.',
            self::Continuity => 'The thermostat closes what it must and nothing else. It says nothing of cable, board or load.',
            self::FloatLift => 'Water in the pan stops what makes water, and the thermostat stays up.',
            self::Voltage => 'The thermostat makes the call itself: switch, cable, board and load at once.',
        };
    }

    /** Whether a pass shows that each conductor of the call ends where it was taken to: from the wall to the load. */
    public function provesPairing(): bool
    {
        return $this === self::Jumper || $this === self::Voltage || $this === self::AuxAlone;
    }

    /** A proof that every call needs; the others say where to look when one of these fails. */
    public function isMain(): bool
    {
        return $this === self::Jumper || $this === self::Voltage;
    }

    /** Measured with the power off from beginning to end. */
    public function isDead(): bool
    {
        return $this === self::PreCheck || $this === self::Continuity;
    }

    /** Where its set-up is made. */
    public function place(): Place
    {
        return $this === self::BoardJumper || $this === self::FloatLift ? Place::Indoor : Place::Wall;
    }
}
