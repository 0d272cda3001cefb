<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Way;

use Unionbit\Core\Planning\Plan\Draft;
use Unionbit\Core\Planning\Plan\WayOut;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/** WO02 A new cable along the old run, which is its pull line, unless it is stapled, buried or out of reach. */
final class Wo02NewCable implements Way
{
    public function out(Draft $draft, TerminalName $missing): array
    {
        $old = NewCable::old($draft, $missing);
        if ($old === null || $draft->changes->pulled !== null || $old->run?->pulls() === false) {
            return [];
        }
        $cable = NewCable::of($draft, $old, $old->feet);
        [$size, $feet] = [count($cable->conductors), round($old->feet + NewCable::SLACK)];

        return [
            NewCable::pulled(
                $draft,
                $cable,
                new WayOut(
                    code: 'WO02',
                    text: Message::of(
                        'planning.wo02.new-18-cable-pulled-with',
                        size: $size,
                        feet: Quantity::of($feet, Unit::Feet),
                    ),
                    part: Message::of(
                        'planning.wo02.cable-18-solid',
                        size: $size,
                        feet: Quantity::of($feet, Unit::Feet),
                    ),
                    cost: 6.0,
                    minutes: (int) (40 + $old->feet / 2),
                    trips: 2,
                    risk: 2,
                    warns: Message::of('planning.wo02.two-people-no-hidden-splices'),
                ),
            ),
        ];
    }
}
