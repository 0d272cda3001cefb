<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Way;

use Unionbit\Core\Planning\Plan\Draft;
use Unionbit\Core\Planning\Work\NewCable;
use Unionbit\Core\Terminal\TerminalName;

/**
 * WO12 The thermostat moves to a wall position where a cable can be had, which the survey has found with the feet of
 * its run. No pull line and no second person at the old hole, but a cover over it, and the old cable capped.
 */
final class Wo12OtherPosition implements Way
{
    public function out(Draft $draft, TerminalName $missing): array
    {
        $feet = $draft->house->answers->number('elsewhere');
        if ($feet === null || $draft->changes->pulled !== null || $draft->house->wallCable() === null) {
            return [];
        }
        $cable = NewCable::of($draft, $feet);
        [$size, $long] = [count($cable->conductors), round($feet + NewCable::SLACK)];

        return [
            NewCable::pulled(
                $draft,
                $cable,
                new WayOut(
                    'WO12',
                    "The thermostat moves to the other wall position, on a new 18/{$size} cable, {$long} ft with slack",
                    "Cable 18/{$size} solid, {$long} ft, and a cover plate for the old position",
                    6.5,
                    (int) (35 + $feet / 3),
                    1,
                    1,
                    'On an inner wall, level, away from a draught or a supply register, the wall hole sealed. Ask the customer first.',
                ),
                true,
            ),
        ];
    }
}
