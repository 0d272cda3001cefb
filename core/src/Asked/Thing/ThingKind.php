<?php

declare(strict_types=1);

namespace Unionbit\Core\Asked\Thing;

use Unionbit\Core\Circuit\LineSwitch;
use Unionbit\Core\Point\At;

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
    /** A breaker, a service switch, the outdoor disconnect, off by hand. */
    case Switch = 'switch';

    /** Whether it is put on and taken off with the power off and proved dead. */
    public function needsIsolated(): bool
    {
        return $this !== self::Door && $this !== self::Switch;
    }

    /** Whether the circuit is another one while it stands: what is read then proves nothing of the house as it is. */
    public function alters(): bool
    {
        return ! in_array($this, [self::Door, self::Breaker, self::Switch], true);
    }

    /** Whether it is what a test asks for: what is off on the line side, the power flag says. */
    public function isOfTest(): bool
    {
        return $this !== self::Switch;
    }

    /** How many points of the circuit say which it is. */
    public function points(): int
    {
        return match ($this) {
            self::Jumper => 2,
            self::Lift, self::Plug, self::Coil, self::Breaker => 1,
            self::FaceOff, self::Link, self::Door, self::Switch => 0,
        };
    }

    /** The same for two that are the same, whichever name comes first. */
    public function key(string ...$names): string
    {
        sort($names);

        return $this->value.':'.implode('~', $names);
    }

    /** What was sent, kept or written in a file; null where a name is none of its kind. */
    public function read(string $a, string $b): ?Thing
    {
        $at = At::read($a);
        $switch = LineSwitch::tryFrom($a);

        return match ($this) {
            self::FaceOff => new FaceOff(),
            self::Jumper => new Jumper($at, At::read($b)),
            self::Lift => new LiftedEnd($at),
            self::Plug => $at->conductor === null || $at->side === null
                ? null
                : new PulledPlug($at->conductor, $at->side),
            self::Coil => new LeadLifted($a),
            self::Link => new LinkTurned(),
            self::Breaker => new TestBreaker($a),
            self::Door => new DoorHeld(),
            self::Switch => $switch === null ? null : new SwitchedOff($switch),
        };
    }
}
