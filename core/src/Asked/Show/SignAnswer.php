<?php

declare(strict_types=1);

namespace Unionbit\Core\Asked\Show;

use Unionbit\Core\Circuit\LoadState;
use Unionbit\Core\Words\Message;

/** What can be answered to something seen, heard or felt: in Prove and in Trace the same. */
enum SignAnswer: string
{
    case Yes = 'yes';
    case No = 'no';
    case Chatters = 'chatters';
    case Hums = 'hums';
    case Resets = 'resets';
    case Flashes = 'flashes';
    case Blinks = 'blinks';
    case On = 'on';
    case Off = 'off';
    case Whole = 'whole';
    case Open = 'open';
    case None = 'none';
    case Holds = 'holds';
    case Trips = 'trips';
    case Warm = 'warm';
    case Cold = 'cold';
    case Hot = 'hot';
    case Smells = 'smells';

    /** What can be said of a sign of a call that is neither yes nor no. */
    public const NEITHER = [
        self::Chatters,
        self::Hums,
        self::Resets,
        self::Flashes,
        self::Warm,
        self::Cold,
        self::Smells,
        self::Blinks,
    ];

    public function label(): Message
    {
        return Message::term($this);
    }

    /** The same of a sign of a call, where neither yes nor no is true. */
    public function ofCall(): Message
    {
        return Message::term($this, 'call');
    }

    /** What it means for the call, and what comes next. */
    public function meaning(): Message
    {
        return Message::term($this, 'means');
    }

    /** Whether it can only be said once the delay of the call is over: what is not warm yet is not cold. */
    public function takesTime(): bool
    {
        return $this === self::Cold || $this === self::Warm;
    }

    /** Whether it stops the work at once. */
    public function isDanger(): bool
    {
        return $this === self::Smells;
    }

    /** @return list<LoadState> what the load then does; empty where the circuit cannot tell it */
    public function states(): array
    {
        return match ($this) {
            self::Chatters => [LoadState::Chattering, LoadState::Buzzing],
            self::Hums => [LoadState::Buzzing],
            default => [],
        };
    }
}
