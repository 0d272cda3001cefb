<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Rule\Call;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\PlannedConductor;
use Unionbit\Core\Planning\Rule\MappingRule;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Terminal\TerminalName;

/** MR18 K only together with its adapter at the equipment: without it one conductor would call the fan alone, or nothing. */
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
                    'The kit\'s adapter stands at the board',
                    'It lives on R and C and takes compressor and fan apart again. Simulated is our generic kit: 24 V on K for both, half of it for the fan alone.',
                    'Land its leads as its own sheet says.',
                ),
            ];
        }
        foreach (PlannedConductor::all($plan) as $planned) {
            if ($planned->wallName === TerminalName::K || $planned->boardName === TerminalName::K) {
                $findings[] = Finding::of(
                    'MR18',
                    Severity::Warning,
                    "{$planned->conductor->name()} on K",
                    'K carries two calls in one conductor and needs the adapter of its own kit at the equipment, which this plan does not have.',
                    'Take a plan with the adapter (WO04), or use another screw.',
                    [$planned->id()],
                );
            }
        }

        return $findings;
    }
}
