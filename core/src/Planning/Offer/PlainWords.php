<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Offer;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Equipment\Archetype;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\RunsOn;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Thermostat\RemoteControl;
use Unionbit\Core\Words\Message;

/** A plan for the people who live there: no letters, no codes. */
final class PlainWords
{
    /** As it is offered: with what is bought and which wishes stay open. */
    public static function of(PlanOffer $candidate): Message
    {
        return Message::sentences([...self::what($candidate), ...self::closing($candidate)]);
    }

    /** As it is kept with the record, for when the work is done: nothing is needed any more. */
    public static function asDone(PlanOffer $candidate): Message
    {
        return Message::sentences([...self::what($candidate), ...self::toDo($candidate->plan)]);
    }

    /** @return list<Message> what the equipment does with it, where its wires run, what it runs on */
    private static function what(PlanOffer $candidate): array
    {
        $profile = $candidate->plan->profile;
        $lost = array_map(static fn (array $l): CallName => $l['call'], $candidate->proof->lost);
        $does = self::does($candidate->plan->installation->archetype);
        $parts = [
            $lost === []
                ? Message::of('planning.plain-words.everything', does: $does)
                : Message::of('planning.plain-words.but', does: $does, lost: array_map(self::lost(...), $lost)),
        ];
        foreach ($candidate->accessories() as $accessory) {
            $parts[] = Message::of('planning.plain-words.accessory', what: $accessory);
        }
        if ($candidate->proof->raised !== []) {
            $parts[] = Message::of('planning.plain-words.equipment-always-runs-at-full');
        }
        $parts[] = match (true) {
            in_array('WO12', $candidate->codes(), true) => Message::of(
                'planning.plain-words.thermostat-hangs-in-another-place',
            ),
            $candidate->plan->changes->pulled !== null => Message::of('planning.plain-words.we-pull-new-cable-in'),
            $profile->outputs === Place::Module && $profile->linkConductors === 0 => Message::of(
                'planning.plain-words.talks-by-radio-receiver-at',
            ),
            $profile->outputs === Place::Module => Message::of(
                'planning.plain-words.small-module-at-equipment-does',
            ),
            $candidate->ways === [] => Message::of('planning.plain-words.uses-wires-there-as-they'),
            default => Message::of('planning.plain-words.uses-wires-there-some-them'),
        };
        // Of two parts each is said by itself: the one at the equipment is powered there, the one on the wall is not.
        $parts[] = RunsOn::isRadio($candidate->plan)
            ? Message::of('planning.plain-words.wall-unit-on-batteries')
            : Message::of('planning.plain-words.runs-on', on: RunsOn::in($candidate->plan)->value);
        $parts[] = match ($profile->remoteControl) {
            RemoteControl::None => Message::of('planning.plain-words.cannot-be-set-from-telephone'),
            RemoteControl::Bridge => Message::of('planning.plain-words.can-be-set-from-telephone'),
            RemoteControl::OwnRadio => Message::of('planning.plain-words.can-be-set-from-telephone-2'),
        };
        if ($candidate->plan->changes->safety !== null) {
            $parts[] = Message::of('planning.plain-words.water-switch-moved-so-full');
        }

        return $parts;
    }

    /** What the equipment does at all: a house without heat never reads of it. */
    private static function does(Archetype $archetype): string
    {
        $heats = $archetype->heatStages > 0 || $archetype->reverses;

        return match (true) {
            $heats && $archetype->coolStages > 0 => 'both',
            $heats => 'heat',
            default => 'cool',
        };
    }

    /** @return list<Message> what is bought, what the person has to do, and which wishes stay open */
    private static function closing(PlanOffer $candidate): array
    {
        $bought = $candidate->parts();
        $unmet = $candidate->unmet();
        $parts = [
            $bought === []
                ? Message::of('planning.plain-words.nothing-bought')
                : Message::of('planning.plain-words.bought', parts: $bought),
        ];
        array_push($parts, ...self::toDo($candidate->plan));
        if ($unmet !== []) {
            $parts[] = Message::of('planning.plain-words.not-as-wished', what: $unmet);
        }

        return $parts;
    }

    /** @return list<Message> */
    private static function toDo(Plan $plan): array
    {
        $tasks = self::tasks($plan);

        return $tasks === [] ? [] : [Message::of('planning.plain-words.you-do', tasks: $tasks)];
    }

    /** @return list<Message> what the people who live there have to do themselves */
    private static function tasks(Plan $plan): array
    {
        $tasks = [];
        if (RunsOn::needsBatteries($plan)) {
            $tasks[] = 'batteries';
        }
        if (RunsOn::in($plan) === RunsOn::Charging) {
            $tasks[] = 'charge';
        }
        if ($plan->profile->remoteControl === RemoteControl::Bridge) {
            $tasks[] = 'bridge';
        }
        if ($plan->profile->remoteControl !== RemoteControl::None) {
            $tasks[] = 'account';
        }

        return array_map(
            static fn (string $task): Message => Message::of('planning.plain-words.task', task: $task),
            $tasks,
        );
    }

    /** What a household misses without a call: "the fan cannot be run by itself". */
    private static function lost(CallName $call): Message
    {
        return Message::term($call, 'lost');
    }
}
