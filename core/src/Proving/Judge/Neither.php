<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Judge;

use Unionbit\Core\Circuit\LoadState;
use Unionbit\Core\Equipment\Observable;
use Unionbit\Core\Proving\Step\Outcome;
use Unionbit\Core\Proving\Step\Sign;
use Unionbit\Core\Words\Message;

/** What is seen or heard that is neither yes nor no, and what it means for the call. */
enum Neither: string
{
    case Chatters = 'chatters';
    case Hums = 'hums';
    case Resets = 'resets';
    case Flashes = 'flashes';
    case Warm = 'warm';
    case Cold = 'cold';
    case Smells = 'smells';
    case Blinks = 'blinks';

    /** @return list<self> what can be said of a sign */
    public static function of(Sign $sign): array
    {
        $watched = array_filter(array_map(Observable::tryFrom(...), $sign->watched()));
        $has = static fn (callable $test): bool => array_any($watched, $test);
        $fire = $has(
            static fn (Observable $o): bool => in_array(
                $o,
                [Observable::Burner, Observable::HighBurner, Observable::Boiler],
                true,
            ),
        );

        return match (true) {
            $sign->key === 'display' => [self::Resets, self::Blinks],
            $sign->key === Sign::DROP_OFF => [],
            $sign->still => [self::Hums, self::Chatters, self::Warm, self::Smells],
            $fire => [self::Flashes, self::Cold, self::Smells, self::Chatters],
            $has(static fn (Observable $o): bool => $o->isStrip()) => [
                self::Warm,
                self::Cold,
                self::Smells,
                self::Hums,
            ],
            $watched !== [] => [self::Chatters, self::Hums, self::Cold, self::Smells],
            default => [],
        };
    }

    public function label(): Message
    {
        return Message::term($this);
    }

    /** What it means for the call, and what comes next. */
    public function meaning(): Message
    {
        return Message::term($this, 'means');
    }

    /** A lamp that blinks says something by its count, and neither passes nor fails the call. */
    public function outcome(): Outcome
    {
        return $this === self::Blinks ? Outcome::Neutral : Outcome::Fail;
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
