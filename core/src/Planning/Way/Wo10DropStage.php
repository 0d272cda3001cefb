<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Way;

use Unionbit\Core\Planning\Plan\Draft;
use Unionbit\Core\Planning\Plan\WayOut;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Wiring\Jumper;
use Unionbit\Core\Words\Message;

/** WO10 A second stage gives up its conductor: left off, or tied to the first at the board, then always high (MR09). */
final class Wo10DropStage implements Way
{
    private const FIRST = ['Y2' => 'Y1', 'W2' => 'W1'];

    public function out(Draft $draft, TerminalName $missing): array
    {
        $drafts = [];
        foreach (self::FIRST as $second => $first) {
            $name = TerminalName::from($second);
            $conductor = $draft->carrier($name);
            $landing = $conductor === null || $missing === $name ? null : $draft->carrying($conductor, $missing);
            if ($conductor === null || $landing === null) {
                continue;
            }
            $without = $draft->without($name);
            $drafts[] = $without->taking(
                new WayOut(
                    code: 'WO10',
                    text: Message::of(
                        'planning.wo10.brings-left-off',
                        conductor: $conductor->name(),
                        missing: $missing->value,
                        second: $second,
                    ),
                    part: null,
                    cost: 0.0,
                    minutes: 6,
                    trips: 1,
                    risk: 1,
                    warns: Message::of('planning.wo10.first-stage-alone-check-carries'),
                ),
                $landing,
            );
            [$low, $high] = [$draft->boardScrew(TerminalName::from($first)), $draft->boardScrew($name)];
            if ($low !== null && $high !== null && $low->place === $high->place) {
                $drafts[] = $without->taking(
                    new WayOut(
                        code: 'WO10',
                        text: Message::of(
                            'planning.wo10.brings-tied-at-board',
                            conductor: $conductor->name(),
                            missing: $missing->value,
                            high: $high->printed,
                            low: $low->printed,
                        ),
                        part: Message::of('planning.wo10.jumper-with-pigtail'),
                        cost: 0.2,
                        minutes: 8,
                        trips: 1,
                        risk: 4,
                        warns: Message::of('planning.wo10.always-high-stage-check-temperature'),
                    ),
                    $landing->withJumper(Jumper::tie($low->place, $low->printed, $high->printed)),
                );
            }
        }

        return $drafts;
    }
}
