<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Rule\Call;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\PlannedConductor;
use Unionbit\Core\Planning\Rule\MappingRule;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Words\Message;

/**
 * MR18 K only together with its adapter at the equipment: without it one conductor would call the fan alone, or
 * nothing.
 */
final class Mr18KNeedsAdapter implements MappingRule
{
    public function check(Plan $plan): array
    {
        $findings = [];
        if ($plan->changes->sharedKit) {
            return [
                Finding::of(
                    'MR18',
                    Severity::Note,
                    Message::of('planning.mr18.kits-adapter-stands-at-board'),
                    Message::of('planning.mr18.lives-on-r-c-takes'),
                    Message::of('planning.mr18.land-leads-as-own-sheet'),
                ),
            ];
        }
        foreach (PlannedConductor::all($plan) as $planned) {
            if ($planned->wallName === TerminalName::K || $planned->boardName === TerminalName::K) {
                $findings[] = Finding::of(
                    'MR18',
                    Severity::Warning,
                    Message::of('planning.mr18.on-k', conductor: $planned->conductor->name()),
                    Message::of('planning.mr18.k-carries-two-calls-in'),
                    Message::of('planning.mr18.take-plan-with-adapter-wo04'),
                    [$planned->id()],
                );
            }
        }

        return $findings;
    }
}
