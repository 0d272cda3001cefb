<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Rule\Landing;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\PlannedConductor;
use Unionbit\Core\Planning\Rule\MappingRule;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Thermostat\Meaning;

/** MR01 The equipment end defines what a conductor is; the wall label is second, the colour third. */
final class Mr01EquipmentEndDefines implements MappingRule
{
    public function check(Plan $plan): array
    {
        $findings = [];
        foreach (PlannedConductor::all($plan) as $planned) {
            $name = $planned->conductor->name();
            if ($planned->wall->terminal === null || $planned->isLink()) {
                continue;
            }
            if ($planned->wallName === null) {
                $findings[] = Finding::of(
                    'MR01',
                    Severity::Error,
                    "{$name} lands on {$planned->wall->terminal}, which the new plate does not have",
                    'There is no such screw.',
                    'Choose where it lands, or cap it.',
                    [$planned->id()],
                );
            } elseif ($planned->boardName === null) {
                $findings[] = Finding::of(
                    'MR01',
                    Severity::Error,
                    "{$name} lands on {$planned->wall->label()} but reaches nothing at the board",
                    'A conductor is what its equipment end makes it; this one ends free there.',
                    "Land its board end, or cap it at the wall. The {$planned->wall->label()} screw stays dead.",
                    [$planned->id()],
                );
            } elseif (! $this->agree($plan, $planned->wallName, $planned->boardName)) {
                $findings[] = Finding::of(
                    'MR01',
                    Severity::Error,
                    "{$name} lands on {$planned->wall->label()} but is {$planned->board->label()} at the board",
                    'The equipment end defines what a conductor is: the call would reach the wrong load.',
                    "Land it on {$planned->board->label()}.",
                    [$planned->id()],
                );
            }
        }

        return $findings;
    }

    /** A common on a hot screw is MR04's to explain, with what it does. */
    private function agree(Plan $plan, TerminalName $wall, TerminalName $board): bool
    {
        $serving = $plan->profile->serving(Meaning::of($board, $plan->installation->archetype));

        return $serving?->name === $wall || ($wall->isHot() && ($board->isHot() || $board === TerminalName::C));
    }
}
