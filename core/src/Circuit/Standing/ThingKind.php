<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Standing;

/** What a person puts on or takes off for a test, and has to put back. */
enum ThingKind: string
{
    case FaceOff = 'face';
    case Jumper = 'jumper';
    case Lift = 'lift';
    case Plug = 'plug';
    case Coil = 'coil';
    case Link = 'link';
    case Breaker = 'breaker';
    case Door = 'door';

    /** Whether it is put on and taken off with the power off and proved dead. */
    public function needsIsolated(): bool
    {
        return $this !== self::Door;
    }

    /** Whether the circuit is another one while it stands: what is read then proves nothing of the house as it is. */
    public function alters(): bool
    {
        return $this !== self::Door && $this !== self::Breaker;
    }

    /** How many points of the circuit say which it is. */
    public function points(): int
    {
        return match ($this) {
            self::Jumper => 2,
            self::Lift, self::Plug, self::Coil, self::Breaker => 1,
            self::FaceOff, self::Link, self::Door => 0,
        };
    }
}
