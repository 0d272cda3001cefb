<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting\Key;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;

/** Which of the plate's terminals have a way to the equipment in a plan. */
final class Reaches
{
    /** Whether the plate has this terminal and something lands on it, or a lead leaves from it. */
    public static function equipment(Plan $plan, TerminalName $name): bool
    {
        $screw = $plan->profile->serving($name)?->printed;
        if ($screw === null) {
            return false;
        }

        return $plan->profile->outputs === Place::Module
            ? $plan->installation->archetype->boardTerminal($name) !== null
            : $plan->landing->reaching($screw) !== [];
    }
}
