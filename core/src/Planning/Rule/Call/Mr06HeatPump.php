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
 * MR06 A heat pump's valve conductor lands on O, B or O/B, its first auxiliary on Aux, on a thermostat that can drive
 * both.
 */
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
                    Message::of('planning.mr06.thermostat-cannot-drive-reversing-valve'),
                    Message::of('planning.mr06.heating-cooling-would-be-same'),
                    Message::of('planning.mr06.choose-one-with-o-b'),
                ),
            ];
        }
        $findings = [];
        foreach (PlannedConductor::all($plan) as $planned) {
            if (
                in_array($planned->boardName, self::VALVE, true) &&
                ! in_array($planned->wallName, self::VALVE, true)
            ) {
                $findings[] = Finding::of(
                    'MR06',
                    Severity::Error,
                    Message::of(
                        'planning.mr06.reversing-valve-lands-on',
                        conductor: $planned->conductor->name(),
                        wall: $planned->wall->label(),
                    ),
                    Message::of('planning.mr06.without-unit-stays-in-one'),
                    Message::of('planning.mr06.land-on-valve-screw-direction'),
                    [$planned->id()],
                );
            }
        }

        return $findings;
    }
}
