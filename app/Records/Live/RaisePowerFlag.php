<?php

declare(strict_types=1);

namespace App\Records\Live;

use App\House\Refused;
use App\Models\Crew\User;
use App\Models\Job;
use App\Models\Kind\PowerState;
use App\Models\Record\PowerEvent;
use App\Records\Append;
use App\Records\MeterValue;
use App\Records\Power\PowerFlag;
use App\Records\Power\PowerProof;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Job\PowerSource;
use Unionbit\Core\Words\Message;

/**
 * Changes the power flag. Isolated asks for the dead reading of each supply and for the proof of the meter; live for a
 * reading of each, and, where something is still open, whether it is meant.
 */
final class RaisePowerFlag
{
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
            $problem = PowerProof::problem($state, $value);
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
}
