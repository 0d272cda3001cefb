<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Way;

use Unionbit\Core\Planning\Plan\Draft;
use Unionbit\Core\Planning\Plan\WayOut;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/**
 * WO12 The thermostat moves to a wall position where a cable can be had, which the survey has found with the feet of
 * its run; only where one cable is all that has to follow. No pull line and no second person at the old hole, but a
 * cover over it, and the old cable capped.
 */
final class Wo12OtherPosition implements Way
{
    public function out(Draft $draft, TerminalName $missing): array
    {
        $feet = $draft->house->answers->number('elsewhere');
        $old = NewCable::old($draft, $missing);
        $cables = count($draft->house->wallCables());
        if ($feet === null || $draft->changes->pulled !== null || $old === null || $cables > 1) {
            return [];
        }
        $cable = NewCable::of($draft, $old, $feet);
        [$size, $long] = [count($cable->conductors), Quantity::of($feet + NewCable::SLACK, Unit::Feet, 0)];

        return [
            NewCable::pulled(
                $draft,
                $cable,
                new WayOut(
                    code: 'WO12',
                    text: Message::of(
                        'planning.wo12.thermostat-moves-other-wall-position',
                        size: $size,
                        length: $long,
                    ),
                    part: Message::of('planning.wo12.cable-18-solid-ft-cover', size: $size, length: $long),
                    cost: 6.5,
                    minutes: (int) (35 + $feet / 3),
                    trips: 1,
                    risk: 1,
                    warns: Message::of('planning.wo12.on-inner-wall-level-away'),
                ),
                true,
            ),
        ];
    }
}
