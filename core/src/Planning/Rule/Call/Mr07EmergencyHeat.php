<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Rule\Call;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\PlannedConductor;
use Unionbit\Core\Planning\Rule\MappingRule;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;

/** MR07 Emergency heat: E and Aux tied where the unit has one heat input, apart where E reaches a relay of its own. */
final class Mr07EmergencyHeat implements MappingRule
{
    public function check(Plan $plan): array
    {
        $pump = $plan->installation->archetype->heatPump;
        $e = $plan->profile->named(TerminalName::E);
        $aux = $plan->profile->named(TerminalName::Aux);
        if (
            $pump === null ||
            $pump->auxiliaryStages === 0 ||
            $e === null ||
            $aux === null ||
            $plan->profile->outputs !== Place::Wall
        ) {
            return [];
        }
        $tied = false;
        foreach ($plan->landing->jumpers as $jumper) {
            $tied =
                $tied ||
                ($jumper->place === Place::Wall &&
                    in_array($e->printed, [$jumper->a, $jumper->b], true) &&
                    in_array($aux->printed, [$jumper->a, $jumper->b], true));
        }
        if ($pump->emergency === 'own') {
            return $tied
                ? [
                    Finding::of(
                        'MR07',
                        Severity::Error,
                        "{$e->printed} and {$aux->printed} tied, but E has its own relay",
                        'Auxiliary heat would call emergency heat as well.',
                        'Take the tie out: here they stay apart.',
                        [],
                        ["wall.{$e->printed}", "wall.{$aux->printed}"],
                    ),
                ]
                : [];
        }
        $landed = array_filter(
            PlannedConductor::all($plan),
            static fn (PlannedConductor $p): bool => $p->wallName === TerminalName::E,
        );
        if ($tied || $landed !== []) {
            return [
                Finding::of(
                    'MR07',
                    Severity::Good,
                    $tied ? "{$e->printed}–{$aux->printed} tie at the plate" : 'E has its conductor',
                    'Emergency heat reaches the one heat input.',
                    'Nothing to do.',
                ),
            ];
        }

        return [
            Finding::of(
                'MR07',
                Severity::Warning,
                'E reaches nothing',
                'A thermostat that closes E alone in emergency heat would heat with nothing.',
                "Tie {$e->printed} to {$aux->printed} at the plate, or land a spare from E and tie it to W at the unit.",
                [],
                ["wall.{$e->printed}"],
            ),
        ];
    }
}
