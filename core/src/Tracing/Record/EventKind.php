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

    /** Whether a reading of before may come out otherwise after it. */
    public function changesTheHouse(): bool
    {
        return in_array(
            $this,
            [self::FuseReplaced, self::FuseOpened, self::Repaired, self::Setting, self::Soaked],
            true,
        );
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
