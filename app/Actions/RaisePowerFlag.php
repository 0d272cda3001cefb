<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Job;
use App\Models\PowerEvent;
use App\Models\User;
use App\Support\MeterValue;
use Illuminate\Validation\ValidationException;
use Unionbit\Core\Circuit\MeterMode;

/** Changes the power flag. Isolated asks for the dead reading and for the proof of the meter. */
final class RaisePowerFlag
{
    /** Above this many volts a circuit is not dead. */
    private const DEAD_BELOW = 1.0;

    private const LIVE_ABOVE = 10.0;

    private const LOW_VOLTAGE_BELOW = 60.0;

    public static function to(Job $job, User $user, string $id, string $state, ?string $typed, bool $meterProved): PowerEvent
    {
        $volts = $typed === null ? null : MeterValue::parse($typed, MeterMode::Volts, 'volts');
        $problem = match ($state) {
            'isolated' => self::notDead($volts, $meterProved),
            'live' => self::notLive($volts),
            default => null,
        };
        if ($problem !== null) {
            throw ValidationException::withMessages($problem);
        }

        return Append::row(PowerEvent::class, $id, $job, $user, static fn (): array => ['state' => $state, 'volts' => $volts, 'meter_proved' => $meterProved]);
    }

    /** @return ?array<string, string> */
    private static function notDead(?float $volts, bool $meterProved): ?array
    {
        return match (true) {
            $volts === null => ['volts' => 'Enter the dead reading at the transformer: 0 to 1 V.'],
            $volts >= self::DEAD_BELOW => ['volts' => sprintf('%.1f V is not dead. A cabinet can hold a second supply, or the circuit is fed backwards: find it before going on.', $volts)],
            ! $meterProved => ['meter_proved' => 'Prove the meter on a known live source just before and just after: a dead meter reads 0 V everywhere.'],
            default => null,
        };
    }

    /** @return ?array<string, string> */
    private static function notLive(?float $volts): ?array
    {
        return match (true) {
            $volts === null => ['volts' => 'Enter R–C as you read it now: 10 to 60 V.'],
            $volts >= self::LOW_VOLTAGE_BELOW => ['volts' => sprintf('%.0f V is line voltage: stop here and call for a licensed person.', $volts)],
            $volts < self::LIVE_ABOVE => ['volts' => sprintf('%.1f V is not live. Trace the supply: breaker, door switch, fuse, float switch, transformer.', $volts)],
            default => null,
        };
    }
}
