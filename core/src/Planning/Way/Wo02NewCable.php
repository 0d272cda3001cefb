<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Way;

use Unionbit\Core\Planning\Plan\Draft;
use Unionbit\Core\Planning\Work\NewCable;
use Unionbit\Core\Terminal\TerminalName;

/** WO02 A new cable along the old run, which is its pull line. */
final class Wo02NewCable implements Way
{
    public function out(Draft $draft, TerminalName $missing): array
    {
        $old = $draft->house->wallCable();
        if ($old === null || $draft->changes->pulled !== null) {
            return [];
        }
        $cable = NewCable::of($draft, $old->feet);
        [$size, $feet] = [count($cable->conductors), round($old->feet + NewCable::SLACK)];

        return [
            NewCable::pulled(
                $draft,
                $cable,
                new WayOut(
                    'WO02',
                    "A new 18/{$size} cable pulled with the old one, {$feet} ft with slack",
                    "Cable 18/{$size} solid, {$feet} ft",
                    6.0,
                    (int) (40 + $old->feet / 2),
                    2,
                    2,
                    'Two people; no hidden splices, staples snug; the old cable is the pull line.',
                ),
            ),
        ];
    }
}
