<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Rule\Call;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\PlannedConductor;
use Unionbit\Core\Planning\Rule\MappingRule;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Terminal\TerminalName;

/** MR06 A heat pump's valve conductor lands on O, B or O/B, its first auxiliary on Aux, on a thermostat that can drive both. */
final class Mr06HeatPump implements MappingRule
{
    private const VALVE = [TerminalName::O, TerminalName::B, TerminalName::OB];

    public function check(Plan $plan): array
    {
        if (! $plan->installation->archetype->reverses) {
            return [];
        }
        if (! $plan->profile->heatPump) {
            return [
                Finding::of(
                    'MR06',
                    Severity::Error,
                    'This thermostat cannot drive a reversing valve',
                    'Heating and cooling would be the same on this heat pump.',
                    'Choose one with O, B or O/B.',
                ),
            ];
        }
        $findings = [];
        foreach (PlannedConductor::all($plan) as $planned) {
            if (in_array($planned->boardName, self::VALVE, true) && ! in_array($planned->wallName, self::VALVE, true)) {
                $findings[] = Finding::of(
                    'MR06',
                    Severity::Error,
                    "{$planned->conductor->name()} is the reversing valve and lands on {$planned->wall->label()}",
                    'Without it the unit stays in the one mode that needs no valve.',
                    'Land it on the valve screw; its direction is a setting.',
                    [$planned->id()],
                );
            }
        }

        return $findings;
    }
}
