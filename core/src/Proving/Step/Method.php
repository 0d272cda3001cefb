<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Step;

use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Words\Message;

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
    case Chain = 'chain';

    public function label(): Message
    {
        return Message::term($this);
    }

    /** What a pass shows, and what it cannot show. */
    public function shows(): Message
    {
        return Message::term($this, 'shows');
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
        return in_array($this, [self::BoardJumper, self::FloatLift, self::Chain], true)
            ? Place::Indoor
            : Place::Wall;
    }
}
