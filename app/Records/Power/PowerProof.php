<?php

declare(strict_types=1);

namespace App\Records\Power;

use App\Models\Kind\PowerState;
use Unionbit\Core\Proving\Judge\Judge;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/** Which reading at a supply proves that it is dead, and which that it is live and of low voltage. */
final class PowerProof
{
    /** Volts AC between a supply's hot and common: live from here, and line voltage from there. */
    private const LIVE_ABOVE = 10.0;

    private const LOW_VOLTAGE_BELOW = 60.0;

    /** Why this reading does not prove the state; null where it does. */
    public static function problem(PowerState $state, ?float $volts): ?Message
    {
        return match ($state) {
            PowerState::Isolated => self::notDead($volts),
            PowerState::Live => self::notLive($volts),
            PowerState::NotProved => null,
        };
    }

    private static function notDead(?float $volts): ?Message
    {
        return match (true) {
            $volts === null => Message::of('records.raise-power-flag.enter-dead-reading-at-transformer'),
            $volts >= Judge::DEAD_BELOW => Message::of(
                'records.raise-power-flag.not-dead-cabinet-can-hold',
                volts: Quantity::of($volts, Unit::Volts, 1),
            ),
            default => null,
        };
    }

    private static function notLive(?float $volts): ?Message
    {
        return match (true) {
            $volts === null => Message::of('records.raise-power-flag.enter-r-c-as-you'),
            $volts >= self::LOW_VOLTAGE_BELOW => Message::of(
                'records.raise-power-flag.line-voltage-stop-here-call',
                volts: Quantity::of($volts, Unit::Volts, 0),
            ),
            $volts < self::LIVE_ABOVE => Message::of(
                'records.raise-power-flag.not-live-trace-supply-breaker',
                volts: Quantity::of($volts, Unit::Volts, 1),
            ),
            default => null,
        };
    }
}
