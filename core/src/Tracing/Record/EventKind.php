<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Record;

/** What happens in a trace beside a test. */
enum EventKind: string
{
    case FuseReplaced = 'fuse-replaced';
    case FuseOpened = 'fuse-opened';
    case BreakerIn = 'breaker-in';
    case BreakerOut = 'breaker-out';
    case BreakerReset = 'breaker-reset';
    case Repaired = 'repaired';
    case Setting = 'setting';
    case Soaked = 'soaked';
    case Moved = 'moved';
    case Touched = 'touched';
    case ProvedDead = 'proved-dead';
    case Waived = 'waived';
    /** A guided routine is begun, or left. */
    case Routine = 'routine';
    /** A good part of the same kind was read beside a suspect one. */
    case Compared = 'compared';
    /** An odd sign of before a repair was looked at again, and is gone. */
    case Struck = 'struck';
    /** A spot along a cable was looked at. */
    case Walked = 'walked';
    /** The list of wires of a part, made before its first screw. */
    case Listed = 'listed';
    case WireOff = 'wire-off';
    case WireOn = 'wire-on';

    /** Whether a reading of before may come out otherwise after it. */
    public function changesTheHouse(): bool
    {
        return in_array(
            $this,
            [self::FuseReplaced, self::FuseOpened, self::Repaired, self::Setting, self::Soaked],
            true,
        );
    }

    /** Whether it says something of another row. */
    public function isOfRow(): bool
    {
        return $this === self::Compared || $this === self::Struck;
    }

    /** Whether it ticks a wire of an exchange. */
    public function isOfWire(): bool
    {
        return $this === self::WireOff || $this === self::WireOn;
    }

    /** Whether it says which transformer it is of. */
    public function isOfSupply(): bool
    {
        return in_array(
            $this,
            [self::FuseReplaced, self::FuseOpened, self::BreakerIn, self::BreakerOut, self::BreakerReset],
            true,
        );
    }
}
