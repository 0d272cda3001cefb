<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Step;

use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Words\Message;

/** The independent ways to prove a call. */
enum Method: string
{
    case PreCheck = 'pre-check';
    case AtRest = 'at-rest';
    case Looks = 'looks';
    case Cable = 'cable';
    case Jumper = 'jumper';
    case BoardJumper = 'board-jumper';
    case AuxAlone = 'aux-alone';
    case Continuity = 'continuity';
    case Voltage = 'voltage';
    case FloatLift = 'float-lift';
    case Shed = 'shed';
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

    /** What only this proof can show of the house: no call is proved without those that it has. */
    public function isRequired(): bool
    {
        return in_array($this, [self::AtRest, self::Voltage, self::FloatLift, self::Shed], true);
    }

    /** Whether the proof ends with what pulled in falling out again. */
    public function hasDropOff(): bool
    {
        return $this === self::Voltage;
    }

    /** Measured with the power off from beginning to end. */
    public function isDead(): bool
    {
        return in_array($this, [self::PreCheck, self::Continuity, self::Cable], true);
    }

    /** Answered by looking, pulling and comparing, not by a reading of the house together. */
    public function isLook(): bool
    {
        return $this === self::Looks || $this === self::Cable;
    }

    /** Done whatever the power says: nothing is set up. */
    public function isAtAnyPower(): bool
    {
        return $this === self::Looks;
    }

    /** Where its set-up is made. */
    public function place(): Place
    {
        return in_array($this, [self::BoardJumper, self::FloatLift, self::Shed, self::Chain], true)
            ? Place::Indoor
            : Place::Wall;
    }
}
