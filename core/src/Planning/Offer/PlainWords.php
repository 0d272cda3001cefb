<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Offer;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Equipment\Archetype;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Thermostat\PowerKind;
use Unionbit\Core\Words\Message;

/** A plan for the people who live there: no letters, no codes. */
final class PlainWords
{
    public static function of(PlanOffer $candidate): Message
    {
        $profile = $candidate->plan->profile;
        $lost = array_map(static fn (array $l): CallName => $l['call'], $candidate->proof->lost);
        $does = self::does($candidate->plan->installation->archetype);
        $parts = [
            $lost === []
                ? Message::of('planning.plain-words.everything', does: $does)
                : Message::of('planning.plain-words.but', does: $does, lost: array_map(self::lost(...), $lost)),
        ];
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
        $parts[] = match ($profile->power) {
            PowerKind::Battery => Message::of('planning.plain-words.runs-on-batteries-which-have'),
            PowerKind::CommonOrBattery => Message::of(
                self::hasCommon($candidate->plan)
                    ? 'planning.plain-words.needs-no-battery-changes-as'
                    : 'planning.plain-words.runs-on-batteries-without-c',
            ),
            PowerKind::Shared => Message::of('planning.plain-words.charges-itself-from-equipment-needs'),
            PowerKind::Common => $candidate->plan->landing->plugIn
                ? Message::of('planning.plain-words.small-plug-in-transformer-feeds')
                : Message::of('planning.plain-words.powered-by-equipment'),
        };
        if ($profile->outputs === Place::Module && $profile->linkConductors === 0) {
            $parts[] = Message::of('planning.plain-words.wall-unit-on-batteries');
        }
        $parts[] = match ($profile->remoteControl) {
            'none' => Message::of('planning.plain-words.cannot-be-set-from-telephone'),
            'bridge' => Message::of('planning.plain-words.can-be-set-from-telephone'),
            default => Message::of('planning.plain-words.can-be-set-from-telephone-2'),
        };
        if ($candidate->plan->changes->safety !== null) {
            $parts[] = Message::of('planning.plain-words.water-switch-moved-so-full');
        }

        return Message::sentences($parts);
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

    /** Whether the plan brings the thermostat its common, at the wall or at the equipment. */
    private static function hasCommon(Plan $plan): bool
    {
        $common = $plan->profile->named(TerminalName::C);

        return $common !== null &&
            ($plan->profile->outputs === Place::Module || $plan->landing->on($common->printed) !== []);
    }

    /** What a household misses without a call: "the fan cannot be run by itself". */
    private static function lost(CallName $call): Message
    {
        return Message::term($call, 'lost');
    }
}
