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
 * MR05 A conventional system on a plate that can drive a heat pump: first heat on W1, O/B and E stay empty, the type
 * is conventional.
 */
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
                    Message::of(
                        'planning.mr05.lands-on-nothing-reverses-here',
                        conductor: $planned->conductor->name(),
                        wall: $planned->wall->label(),
                    ),
                    Message::of('planning.mr05.screw-belongs-heat-pumps-valve'),
                    Message::of('planning.mr05.leave-empty'),
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
                    Message::of('planning.mr05.plate-could-drive-heat-pump'),
                    Message::of('planning.mr05.valve-screw-stays-empty'),
                    Message::of('planning.mr05.set-equipment-type-conventional'),
                ),
            ];
    }
}
