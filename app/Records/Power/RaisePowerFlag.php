<?php

declare(strict_types=1);

namespace App\Records\Power;

use App\House\Refused;
use App\Models\Job;
use App\Models\Record\PowerEvent;
use App\Models\Record\PowerState;
use App\Models\User;
use App\Records\Append;
use App\Records\Reading\MeterValue;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Job\PowerSource;
use Unionbit\Core\Proving\Judge\Judge;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/**
 * Changes the power flag. Isolated asks for the dead reading of each supply and for the proof of the meter; live for a
 * reading of each, and, where something is still open, whether it is meant.
 */
final class RaisePowerFlag
{
    /** Volts AC between a supply's hot and common: live from here, and line voltage from there. */
    private const LIVE_ABOVE = 10.0;

    private const LOW_VOLTAGE_BELOW = 60.0;

    /**
     * @param  array<string, ?string>  $typed  reading by supply, as typed; a house with one supply takes it under any
     *     key
     * @param  bool  $despite  made live although something is still open, which has been shown
     */
    public static function to(
        Job $job,
        User $user,
        string $id,
        PowerState $state,
        array $typed,
        bool $meterProved,
        bool $despite = false,
    ): PowerEvent {
        return Append::row(PowerEvent::class, $id, $job, $user, static function (Job $job) use (
            $state,
            $typed,
            $meterProved,
            $despite,
        ): array {
            if ($state === PowerState::NotProved) {
                return ['state' => $state, 'volts' => null, 'meter_proved' => false];
            }
            $volts = self::readings(PowerFlag::sources($job), $state, $typed);
            if ($state === PowerState::Isolated && ! $meterProved) {
                $why = Message::of('records.raise-power-flag.prove-meter-on-known-live');
                throw Refused::at('meter_proved', $why);
            }
            $open = $state === PowerState::Live ? BeforeLive::of($job) : [];
            if ($open !== [] && ! $despite) {
                throw Refused::at('despite', ...$open);
            }

            return [
                'state' => $state,
                'volts' => $state === PowerState::Isolated ? max($volts) : min($volts),
                'supplies' => $volts,
                'meter_proved' => $meterProved,
                'despite' => $open === [] ? null : $open,
            ];
        });
    }

    /** Why this reading does not prove the state; null where it does. */
    public static function problem(PowerState $state, ?float $volts): ?Message
    {
        return match ($state) {
            PowerState::Isolated => self::notDead($volts),
            PowerState::Live => self::notLive($volts),
            PowerState::NotProved => null,
        };
    }

    /**
     * @param  non-empty-list<PowerSource>  $sources
     * @param  array<string, ?string>  $typed
     * @return non-empty-array<string, float>
     */
    private static function readings(array $sources, PowerState $state, array $typed): array
    {
        $volts = $problems = [];
        $sole = count($sources) === 1;
        foreach ($sources as $source) {
            $field = $sole ? 'volts' : "supplies.{$source->id}";
            $given = $typed[$source->id] ?? ($sole ? array_values($typed)[0] ?? null : null);
            $value = $given === null ? null : MeterValue::parse($given, MeterMode::Volts, $field);
            $problem = self::problem($state, $value);
            if ($problem !== null) {
                $problems[$field] = $sole
                    ? $problem
                    : Message::of(
                        'records.raise-power-flag.of-supply',
                        supply: $source->label->opening(),
                        problem: $problem->within(),
                    );
            }
            $volts[$source->id] = (float) $value;
        }
        if ($problems !== []) {
            throw Refused::all(array_map(static fn (Message $problem): array => [$problem], $problems));
        }

        return $volts;
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
