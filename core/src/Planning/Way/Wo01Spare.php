<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Way;

use Unionbit\Core\Planning\Plan\Draft;
use Unionbit\Core\Planning\Plan\WayOut;
use Unionbit\Core\Terminal\Colour;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Words\Message;

/** WO01 A spare in the jacket, or a conductor that the new plate has no screw for, brings it. */
final class Wo01Spare implements Way
{
    public function out(Draft $draft, TerminalName $missing): array
    {
        $spares = $draft->spares();
        usort(
            $spares,
            static fn (Conductor $a, Conductor $b): int => [
                $b->isSpare(),
                $b->colour === Colour::Blue,
                $a->number,
            ] <=> [$a->isSpare(), $a->colour === Colour::Blue, $b->number],
        );
        $spare = $spares[0] ?? null;
        $landing = $spare === null ? null : $draft->carrying($spare, $missing);
        if ($spare === null || $landing === null) {
            return [];
        }
        $was = $draft->meaning($spare);
        $text =
            $was === null
                ? Message::of('planning.wo01.spare-brings', spare: $spare->name(), missing: $missing->value)
                : Message::of(
                    'planning.wo01.which-plate-has-no-use',
                    spare: $spare->name(),
                    missing: $missing->value,
                    was: $was->value,
                );

        return [
            $draft->taking(
                new WayOut(
                    code: 'WO01',
                    text: $text,
                    part: null,
                    cost: 0.0,
                    minutes: 6,
                    trips: 1,
                    risk: 1,
                    warns: Message::of('planning.wo01.first-continuity-end-end-nothing'),
                ),
                $landing,
            ),
        ];
    }
}
