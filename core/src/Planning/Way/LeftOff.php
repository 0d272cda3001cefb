<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Way;

use Unionbit\Core\Planning\Plan\Draft;
use Unionbit\Core\Planning\Plan\WayOut;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Words\Message;

/**
 * What has no conductor is left off, where something can be done without it: fan alone, a second stage, E; a common
 * where batteries do.
 */
final class LeftOff implements Way
{
    private const CAN = ['G', 'Y2', 'W2', 'E', 'Aux'];

    public function out(Draft $draft, TerminalName $missing): array
    {
        $batteries = $missing === TerminalName::C && ! $draft->profile->needsCommon();
        if (! $batteries && ! in_array($missing->value, self::CAN, true)) {
            return [];
        }

        return [
            $draft
                ->without($missing)
                ->taking(
                    new WayOut(
                        $batteries ? 'WO05' : 'WO10',
                        $batteries
                            ? Message::of('planning.left-off.on-batteries')
                            : Message::of(
                                'planning.left-off.left-off-no-conductor-brings',
                                missing: $missing->value,
                            ),
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
