<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Rule\Call;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\PlannedConductor;
use Unionbit\Core\Planning\Rule\MappingRule;
use Unionbit\Core\Point\At;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Words\Message;

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
                        Message::of('planning.mr07.tied-but-e-has-own', e: $e->printed, aux: $aux->printed),
                        Message::of('planning.mr07.auxiliary-heat-would-call-emergency'),
                        Message::of('planning.mr07.take-tie-out-here-they'),
                        [],
                        [At::screw(Place::Wall, $e->printed)->id, At::screw(Place::Wall, $aux->printed)->id],
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
                    $tied
                        ? Message::of('planning.mr07.tie-at-plate', e: $e->printed, aux: $aux->printed)
                        : Message::of('planning.mr07.e-has-conductor'),
                    Message::of('planning.mr07.emergency-heat-reaches-one-heat'),
                    Message::of('planning.mr07.nothing-do'),
                ),
            ];
        }

        return [
            Finding::of(
                'MR07',
                Severity::Warning,
                Message::of('planning.mr07.e-reaches-nothing'),
                Message::of('planning.mr07.thermostat-closes-e-alone-in'),
                Message::of('planning.mr07.tie-at-plate-or-land', e: $e->printed, aux: $aux->printed),
                [],
                [At::screw(Place::Wall, $e->printed)->id],
            ),
        ];
    }
}
