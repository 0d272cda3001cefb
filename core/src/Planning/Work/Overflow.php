<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Work;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\SafetyDevice;
use Unionbit\Core\Planning\Way\WayOut;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Words\Message;

/** The ways in which a float switch of the house can be wired otherwise: in Y, in R, or in several calls by a relay. */
final class Overflow
{
    /**
     * @return list<array{way: WayOut, safety: list<SafetyDevice>}> other placements of the house's first float switch
     */
    public static function placements(Installation $house): array
    {
        $float = $house->facts->floats()[0] ?? null;
        if ($float === null) {
            return [];
        }
        $at = $float->place;
        $screw = static fn (TerminalName $name): ?string => $house->archetype->terminalNamed($at, $name)?->printed;
        [$r, $y, $y2] = [
            $screw(TerminalName::R) ?? $screw(TerminalName::Rc),
            $screw(TerminalName::Y1),
            $screw(TerminalName::Y2),
        ];
        $ways = [];
        if ($y !== null && $y2 === null) {
            $ways[] = [[$y], false, null, 10];
        }
        if ($y !== null && $y2 !== null) {
            $ways[] = [[$y, $y2], true, Message::of('planning.overflow.relay-24-v-coil-two'), 25];
        }
        if ($r !== null) {
            $ways[] = [[$r], false, null, 10];
        }
        $placements = [];
        foreach ($ways as [$breaks, $relay, $part, $minutes]) {
            if ($breaks === $float->breaks && $relay === $float->relay) {
                continue;
            }
            $moved = new SafetyDevice($float->id, $float->label, $breaks, $relay, $float->place, $float->kind);
            $text = Message::of(
                $relay ? 'planning.overflow.moves-by-relay' : 'planning.overflow.moves',
                float: $float->name(),
                from: $float->breaks,
                to: $breaks,
            );
            $placements[] = [
                'way' => new WayOut('MR16', $text, $part, $part === null ? 0.0 : 1.5, $minutes, 1, 0),
                'safety' => array_map(
                    static fn (SafetyDevice $d): SafetyDevice => $d->id === $float->id ? $moved : $d,
                    $house->facts->safety,
                ),
            ];
        }

        return $placements;
    }
}
