<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Rule\Supply;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\PlannedConductor;
use Unionbit\Core\Planning\Rule\MappingRule;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Terminal\TerminalName;

/**
 * MR03 Two transformers: cooling hot on Rc, heating hot on Rh, link out. The link ties them: an error also where
 * nothing measurable changes.
 */
final class Mr03TwoTransformers implements MappingRule
{
    public function check(Plan $plan): array
    {
        if ($plan->transformers() < 2) {
            return [];
        }
        if ($plan->profile->link === null && count($plan->profile->hots()) < 2) {
            return [
                Finding::of(
                    'MR03',
                    Severity::Error,
                    'One hot screw for two transformers',
                    'One family of calls would take its hot from the wrong transformer, or have none.',
                    'Choose a thermostat with Rc and Rh apart, or an isolating relay.',
                ),
            ];
        }
        $findings = [];
        if ($plan->landing->linkIn && $plan->profile->link !== null) {
            $findings[] = Finding::of(
                'MR03',
                Severity::Error,
                'Link in on two transformers',
                'It ties them: one switched off is fed backwards from the other, and its primary carries line voltage. A meter may show nothing of it.',
                "Take the {$plan->profile->link[0]}–{$plan->profile->link[1]} link out.",
                [],
                array_map(static fn (string $screw): string => "wall.{$screw}", $plan->profile->link),
            );
        }
        foreach (PlannedConductor::all($plan) as $planned) {
            $wrong =
                ($planned->boardName === TerminalName::Rc && $planned->wallName === TerminalName::Rh) ||
                ($planned->boardName === TerminalName::Rh && $planned->wallName === TerminalName::Rc);
            if ($wrong) {
                $findings[] = Finding::of(
                    'MR03',
                    Severity::Error,
                    "{$planned->conductor->name()} brings the wrong hot to {$planned->wall->label()}",
                    'Cooling takes from Rc, heating from Rh: crossed, each family closes to the other transformer.',
                    "Land it on {$planned->boardName->value}.",
                    [$planned->id()],
                );
            }
        }

        return $findings;
    }
}
