<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Water;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Equipment\Load;
use Unionbit\Core\Equipment\Observable;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;

/**
 * What fills the pan at one place: the coil there in cooling, and the burner of a condensing furnace in heat. A second
 * compressor cools the coil by itself; the second stage of one compressor does nothing alone.
 */
final class WaterMakers
{
    /** @return list<string> ids of the loads that make water there in this call */
    public static function in(Installation $house, CallName $call, Place $at): array
    {
        $makers = match (true) {
            $call->isCooling() => self::coilPlace($house) === $at ? self::cooling($house) : [],
            $call->isHeating() => $house->answers->is('condensing', 'yes')
                ? array_filter(
                    $house->archetype->loads,
                    static fn (Load $l): bool => in_array(
                        $l->observable,
                        [Observable::Burner, Observable::HighBurner],
                        true,
                    ) && $l->place() === $at,
                )
                : [],
            default => [],
        };

        return array_values(array_map(static fn (Load $load): string => $load->id, $makers));
    }

    /** The indoor place whose coil gets wet: where the outdoor unit's call lands. */
    public static function coilPlace(Installation $house): ?Place
    {
        return $house->archetype->coolStages === 0
            ? null
            : $house->archetype->boardTerminal(TerminalName::Y1)->place ?? $house->archetype->boards[0];
    }

    /** @return list<Load> each that cools the coil when it runs alone */
    private static function cooling(Installation $house): array
    {
        $alone = $house->answers->is('compressors', 'one')
            ? [Observable::OutdoorUnit]
            : [Observable::OutdoorUnit, Observable::SecondStage];

        return array_values(
            array_filter(
                $house->archetype->loads,
                static fn (Load $l): bool => in_array($l->observable, $alone, true),
            ),
        );
    }
}
