<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Way;

use Unionbit\Core\Planning\Plan\Draft;
use Unionbit\Core\Planning\Plan\WayOut;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Wiring\End;
use Unionbit\Core\Words\Message;

/**
 * WO07 A plug-in transformer at the wall for the thermostat's own power, on a plate with two hots whose link comes
 * out: the house's hot then lands on the other one. Where that other family has loads, the proof refuses it.
 */
final class Wo07PlugIn implements Way
{
    public function out(Draft $draft, TerminalName $missing): array
    {
        $profile = $draft->profile;
        if (
            $missing !== TerminalName::C ||
            $profile->link === null ||
            $profile->powerFrom === null ||
            count($draft->house->archetype->supplies()) > 1
        ) {
            return [];
        }
        $other = array_values(array_diff($profile->link, [$profile->powerFrom]))[0] ?? null;
        $hot = $draft->carrier($profile->terminal($profile->powerFrom)->name ?? TerminalName::R);
        if ($other === null || $hot === null) {
            return [];
        }
        $landing = $draft->landing->onWall($hot->id(), End::landed($other))->withPlugIn();

        return [
            $draft->taking(
                new WayOut(
                    code: 'WO07',
                    text: Message::of(
                        'planning.wo07.plug-in-transformer-at-wall',
                        powerFrom: $profile->powerFrom,
                        hot: $hot->name(),
                        other: $other,
                    ),
                    part: Message::of('planning.wo07.plug-in-transformer-24-v'),
                    cost: 3.0,
                    minutes: 15,
                    trips: 0,
                    risk: 3,
                    warns: Message::of('planning.wo07.cord-stays-visible-note-second'),
                ),
                $landing,
            ),
        ];
    }
}
