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

/** MR08 L and other conductors without a screw on the new plate: each capped on its own. */
final class Mr08SignalsCapped implements MappingRule
{
    public function check(Plan $plan): array
    {
        $findings = [];
        foreach (PlannedConductor::all($plan) as $planned) {
            $name = $planned->boardName;
            if (
                $name === null ||
                $name === TerminalName::C ||
                $planned->wall->terminal !== null ||
                $name->isHot() ||
                $plan->profile->serving(Meaning::of($name, $plan->installation->archetype)) !== null
            ) {
                continue;
            }
            $findings[] = Finding::of(
                'MR08',
                Severity::Note,
                Message::of(
                    'planning.mr08.carries-plate-has-no-such',
                    conductor: $planned->conductor->name(),
                    board: $planned->board->label(),
                ),
                Message::of('planning.mr08.not-connected', role: $name->role()->opening()),
                Message::of('planning.mr08.cap-on-own'),
                [$planned->id()],
            );
        }

        return $findings;
    }
}
