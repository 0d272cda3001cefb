<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Way;

use Unionbit\Core\Planning\Plan\Draft;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Wiring\Jumper;

/**
 * WO03 The fan's conductor brings it, usually C, and the board starts the blower with cooling: by itself on Y, or
 * over a Y–G tie. Without a tie where the board does not, the compressor would run without air: the proof refuses it.
 */
final class Wo03FanAsCommon implements Way
{
    public function out(Draft $draft, TerminalName $missing): array
    {
        $fan = $draft->carrier(TerminalName::G);
        if ($fan === null || $missing === TerminalName::G) {
            return [];
        }
        $landing = $draft->carrying($fan, $missing);
        if ($landing === null) {
            return [];
        }
        $without = $draft->without(TerminalName::G);
        $drafts = [
            $without->taking(
                new WayOut(
                    'WO03',
                    "{$fan->name()} brings {$missing->value} instead of G; the board runs its fan with Y by itself",
                    null,
                    0.0,
                    6,
                    1,
                    1,
                    'No fan alone, no circulation.',
                ),
                $landing,
            ),
        ];
        [$y, $g] = [$draft->boardScrew(TerminalName::Y1), $draft->boardScrew(TerminalName::G)];
        if ($y !== null && $g !== null) {
            $tie = new Jumper(Place::Indoor, $y, $g, "{$y}–{$g} tie");
            array_unshift(
                $drafts,
                $without->taking(
                    new WayOut(
                        'WO03',
                        "{$fan->name()} brings {$missing->value} instead of G; {$y} and {$g} tied at the board",
                        'Jumper with pigtail',
                        0.2,
                        8,
                        1,
                        1,
                        'No fan alone, no circulation.',
                    ),
                    $landing->withJumper($tie),
                ),
            );
        }

        return $drafts;
    }
}
