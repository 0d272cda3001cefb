<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Rule\Call;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\PlannedConductor;
use Unionbit\Core\Planning\Rule\MappingRule;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Terminal\TerminalName;

/** MR19 A communicating system taken back to conventional calls: what has to be set, and what is lost. */
final class Mr19CommunicatingConversion implements MappingRule
{
    public function check(Plan $plan): array
    {
        if (! str_starts_with($plan->installation->archetype->id, 'communicating')) {
            return [];
        }
        $findings = [
            Finding::of(
                'MR19',
                Severity::Warning,
                'Going back to conventional calls loses modulation',
                'Variable airflow, some staging and some dehumidification go with the bus.',
                'Set the airflow switches on the board, land R, C and the calls letter to letter at both ends, and tell the customer.',
            ),
        ];
        foreach (PlannedConductor::all($plan) as $planned) {
            if ($planned->boardName === TerminalName::C && $planned->wallName?->isHot() === true) {
                $findings[] = Finding::of(
                    'MR19',
                    Severity::Error,
                    "{$planned->conductor->name()} is parked on {$planned->wall->label()}",
                    'A common on a hot screw.',
                    'Cap it if the thermostat takes no C.',
                    [$planned->id()],
                );
            }
        }

        return $findings;
    }
}
