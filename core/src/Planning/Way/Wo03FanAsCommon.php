<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Way;

use Unionbit\Core\Planning\Plan\Draft;
use Unionbit\Core\Planning\Plan\WayOut;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Wiring\Jumper;
use Unionbit\Core\Words\Message;

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
                    code: 'WO03',
                    text: Message::of(
                        'planning.wo03.brings-instead-g-board-runs',
                        fan: $fan->name(),
                        missing: $missing->value,
                    ),
                    part: null,
                    cost: 0.0,
                    minutes: 6,
                    trips: 1,
                    risk: 1,
                    warns: Message::of('planning.wo03.no-fan-alone-no-circulation'),
                ),
                $landing,
            ),
        ];
        [$y, $g] = [$draft->boardScrew(TerminalName::Y1), $draft->boardScrew(TerminalName::G)];
        if ($y !== null && $g !== null && $y->place === $g->place) {
            $tie = Jumper::tie($y->place, $y->printed, $g->printed);
            array_unshift(
                $drafts,
                $without->taking(
                    new WayOut(
                        code: 'WO03',
                        text: Message::of(
                            'planning.wo03.brings-instead-g-tied-at',
                            fan: $fan->name(),
                            missing: $missing->value,
                            y: $y->printed,
                            g: $g->printed,
                        ),
                        part: Message::of('planning.wo03.jumper-with-pigtail'),
                        cost: 0.2,
                        minutes: 8,
                        trips: 1,
                        risk: 1,
                        warns: Message::of('planning.wo03.no-fan-alone-no-circulation'),
                    ),
                    $landing->withJumper($tie),
                ),
            );
        }

        return $drafts;
    }
}
