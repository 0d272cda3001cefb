<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Rule\Call;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\PlannedConductor;
use Unionbit\Core\Planning\Rule\MappingRule;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Terminal\TerminalName;

/** MR05 A conventional system on a plate that can drive a heat pump: first heat on W1, O/B and E stay empty, the type is conventional. */
final class Mr05ConventionalOnHeatPumpPlate implements MappingRule
{
    public function check(Plan $plan): array
    {
        if ($plan->installation->archetype->reverses || ! $plan->profile->heatPump) {
            return [];
        }
        $findings = [];
        foreach (PlannedConductor::all($plan) as $planned) {
            if (
                in_array(
                    $planned->wallName,
                    [TerminalName::OB, TerminalName::O, TerminalName::B, TerminalName::E],
                    true,
                )
            ) {
                $findings[] = Finding::of(
                    'MR05',
                    Severity::Error,
                    "{$planned->conductor->name()} lands on {$planned->wall->label()}, and nothing reverses here",
                    'That screw belongs to a heat pump\'s valve or its emergency heat.',
                    'Leave it empty.',
                    [$planned->id()],
                );
            }
        }

        return $findings !== []
            ? $findings
            : [
                Finding::of(
                    'MR05',
                    Severity::Note,
                    'The plate could drive a heat pump; this is none',
                    'Its valve screw stays empty.',
                    'Set the equipment type to conventional.',
                ),
            ];
    }
}
