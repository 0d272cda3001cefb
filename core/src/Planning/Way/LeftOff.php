<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Way;

use Unionbit\Core\Planning\Plan\Draft;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Words\Message;

/** What has no conductor is left off, where something can be done without it: fan alone, a second stage, E. */
final class LeftOff implements Way
{
    private const CAN = ['G', 'Y2', 'W2', 'E', 'Aux'];

    public function out(Draft $draft, TerminalName $missing): array
    {
        if (! in_array($missing->value, self::CAN, true)) {
            return [];
        }

        return [
            $draft
                ->without($missing)
                ->taking(
                    new WayOut(
                        'WO10',
                        Message::of('planning.left-off.left-off-no-conductor-brings', missing: $missing->value),
                        null,
                        0.0,
                        0,
                        0,
                        0,
                    ),
                    $draft->landing,
                ),
        ];
    }
}
