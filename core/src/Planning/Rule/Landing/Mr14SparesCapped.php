<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Rule\Landing;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\PlannedConductor;
use Unionbit\Core\Planning\Rule\MappingRule;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Wiring\EndState;

/** MR14 Spares are stripped, capped each on its own and folded; never cut back, never joined under one cap. */
final class Mr14SparesCapped implements MappingRule
{
    public function check(Plan $plan): array
    {
        $bare = [];
        $ids = [];
        $cut = [];
        foreach (PlannedConductor::all($plan) as $planned) {
            $atWall = $planned->wall->terminal === null;
            if ($atWall && $planned->wall->state === EndState::CutShort) {
                $cut[] = $planned->conductor->name();
            }
            if ($atWall && $planned->wall->state !== EndState::Capped) {
                $bare[] = $planned->conductor->name();
                $ids[] = $planned->id();
            }
        }
        $findings =
            $bare === []
                ? []
                : [
                    Finding::of(
                        'MR14',
                        Severity::Warning,
                        'Free at the wall and not capped: '.implode(', ', $bare),
                        'A bare end can touch a live one.',
                        'Cap each on its own and fold it back. Do not join them, do not cut them off.',
                        $ids,
                    ),
                ];

        return $cut === []
            ? $findings
            : [
                ...$findings,
                Finding::of(
                    'MR14',
                    Severity::Note,
                    'Cut short: '.implode(', ', $cut),
                    'It is no spare for the next thermostat.',
                    'Leave it, capped; note it on the record.',
                ),
            ];
    }
}
