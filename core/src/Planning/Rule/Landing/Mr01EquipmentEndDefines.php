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
use Unionbit\Core\Words\Message;

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
                    Message::of(
                        'planning.mr01.lands-on-which-new-plate',
                        name: $name,
                        wall: $planned->wall->terminal,
                    ),
                    Message::of('planning.mr01.there-no-such-screw'),
                    Message::of('planning.mr01.choose-where-lands-or-cap'),
                    [$planned->id()],
                );
            } elseif ($planned->boardName === null) {
                $findings[] = Finding::of(
                    'MR01',
                    Severity::Error,
                    Message::of(
                        'planning.mr01.lands-on-but-reaches-nothing',
                        name: $name,
                        wall: $planned->wall->label(),
                    ),
                    Message::of('planning.mr01.conductor-what-equipment-end-makes'),
                    Message::of('planning.mr01.land-board-end-or-cap', wall: $planned->wall->label()),
                    [$planned->id()],
                );
            } elseif (! $this->agree($plan, $planned->wallName, $planned->boardName)) {
                $findings[] = Finding::of(
                    'MR01',
                    Severity::Error,
                    Message::of(
                        'planning.mr01.lands-on-but-at-board',
                        name: $name,
                        wall: $planned->wall->label(),
                        board: $planned->board->label(),
                    ),
                    Message::of('planning.mr01.equipment-end-defines-what-conductor'),
                    Message::of('planning.mr01.land-on', board: $planned->board->label()),
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
