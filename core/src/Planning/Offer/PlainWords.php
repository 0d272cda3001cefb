<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Offer;

use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Thermostat\PowerKind;

/** A plan for the people who live there: no letters, no codes. */
final class PlainWords
{
    private const LOST = [
        'fan' => 'the fan cannot be run by itself',
        'cool-2' => 'cooling works in its first stage only',
        'heat-2' => 'heating works in its first stage only',
        'aux-1' => 'the backup heat does not join by itself',
        'aux-2' => 'the second backup heater does not join',
        'emergency' => 'emergency heat cannot be chosen',
        'furnace-2' => 'the furnace works in its first stage only',
        'defrost' => 'the air can be cool for some minutes while the outdoor unit defrosts',
        'cool-1' => 'there is no cooling',
        'heat-1' => 'there is no heating',
        'furnace-1' => 'the furnace is not used',
    ];

    public static function of(PlanOffer $candidate): string
    {
        $profile = $candidate->plan->profile;
        $parts = [
            'Your new thermostat runs your heating and cooling'.
            ($candidate->proof->lost === []
                ? ', with everything that the equipment can do.'
                : ', but '.
                    self::list(
                        array_map(
                            static fn (array $l): string => self::LOST[$l['call']->value] ?? $l['call']->label(),
                            $candidate->proof->lost,
                        ),
                    ).
                    '.'),
        ];
        if ($candidate->proof->raised !== []) {
            $parts[] = 'The equipment always runs at full power, as it has no wire left for its lower stage.';
        }
        $parts[] = match (true) {
            in_array('WO12', $candidate->codes(), true) => 'The thermostat hangs in another place, where we can bring a cable with a wire for each purpose; a cover closes the old place.',
            $candidate->plan->changes->pulled !== null => 'We pull a new cable in the wall, so that there is a wire for each purpose and one to spare.',
            $profile->outputs === Place::Module && $profile->linkConductors === 0 => 'It talks by radio to a receiver at the equipment; the old wires stay in the wall, unused.',
            $profile->outputs === Place::Module => 'A small module at the equipment does the switching; three of the old wires connect it.',
            $candidate->ways === [] => 'It uses the wires that are there, as they are.',
            default => 'It uses the wires that are there, some of them for another purpose than before.',
        };
        $parts[] = match ($profile->power) {
            PowerKind::Battery => 'It runs on batteries, which have to be changed.',
            PowerKind::CommonOrBattery => 'It needs no battery changes as long as it is powered by the equipment.',
            PowerKind::Shared => 'It charges itself from the equipment and needs no extra wire.',
            PowerKind::Common => $candidate->plan->landing->plugIn
                ? 'A small plug-in transformer feeds it; its cord can be seen.'
                : 'It is powered by the equipment.',
        };
        $parts[] = match ($profile->remoteControl) {
            'none' => 'It cannot be set from a telephone.',
            'bridge' => 'It can be set from a telephone through a small bridge beside the router.',
            default => 'It can be set from a telephone.',
        };
        if ($candidate->plan->changes->safety !== null) {
            $parts[] = 'The water switch is moved, so that a full drain pan stops the cooling but not the thermostat.';
        }

        return implode(' ', $parts);
    }

    /** @param  list<string>  $items */
    private static function list(array $items): string
    {
        $last = array_pop($items);

        return $items === [] ? (string) $last : implode(', ', $items)." and {$last}";
    }
}
