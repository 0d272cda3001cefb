<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Rule\Call;

use Unionbit\Core\Equipment\EquipmentKind;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\PlannedConductor;
use Unionbit\Core\Planning\Rule\MappingRule;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Words\Message;

/** MR19 A communicating system taken back to conventional calls: what has to be set, and what is lost. */
final class Mr19CommunicatingConversion implements MappingRule
{
    public function check(Plan $plan): array
    {
        if ($plan->installation->archetype->kind !== EquipmentKind::Communicating) {
            return [];
        }
        $findings = [
            Finding::of(
                'MR19',
                Severity::Warning,
                Message::of('planning.mr19.going-back-conventional-calls-loses'),
                Message::of('planning.mr19.variable-airflow-some-staging-some'),
                Message::of('planning.mr19.set-airflow-switches-on-board'),
            ),
        ];
        foreach (PlannedConductor::all($plan) as $planned) {
            if ($planned->boardName === TerminalName::C && $planned->wallName?->isHot() === true) {
                $findings[] = Finding::of(
                    'MR19',
                    Severity::Error,
                    Message::of(
                        'planning.mr19.parked-on',
                        conductor: $planned->conductor->name(),
                        wall: $planned->wall->label(),
                    ),
                    Message::of('planning.mr19.common-on-hot-screw'),
                    Message::of('planning.mr19.cap-if-thermostat-takes-no'),
                    [$planned->id()],
                );
            }
        }

        return $findings;
    }
}
