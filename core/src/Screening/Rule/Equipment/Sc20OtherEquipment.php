<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\Equipment;

use Unionbit\Core\Equipment\Build\Shelf;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\Suggest\EquipmentMatch;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Words\Message;

/**
 * SC20 The answers describe other equipment than the circuit is worked out for, or equipment that cannot be held:
 * nothing is said of a house that is not the one in hand.
 */
final class Sc20OtherEquipment
{
    public static function find(Installation $house, Shelf $shelf): ?Finding
    {
        $match = EquipmentMatch::of($house->answers, $shelf, $house->archetype->id);
        if ($match->open !== [] || $match->id === $house->archetype->id) {
            return null;
        }
        if ($match->id === null) {
            return Finding::of(
                'SC20',
                Severity::Stop,
                Message::of('screening.sc20.not-held'),
                Message::series($match->why())->opening(),
                Message::of('screening.sc20.correct-an-answer'),
            );
        }

        return Finding::of(
            'SC20',
            Severity::Error,
            Message::of('screening.sc20.other-equipment'),
            Message::of(
                'screening.sc20.worked-out-for',
                current: $house->archetype->title,
                title: $shelf->archetype($match->id)->title,
            ),
            Message::of('screening.sc20.use-it'),
        );
    }
}
