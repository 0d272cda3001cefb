<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Rule\Call;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\PlannedConductor;
use Unionbit\Core\Planning\Rule\MappingRule;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Terminal\Place;

/** MR20 Outputs at the equipment: short new leads there, the wall cable carries the link or nothing, the rest is capped at both ends. */
final class Mr20OutputsAtTheEquipment implements MappingRule
{
    public function check(Plan $plan): array
    {
        if ($plan->profile->outputs !== Place::Module) {
            return [];
        }
        $planned = PlannedConductor::all($plan);
        $links = array_filter($planned, static fn (PlannedConductor $p): bool => $p->isLink());
        $findings = [];
        if (count($links) < $plan->profile->linkConductors) {
            $findings[] = Finding::of(
                'MR20',
                Severity::Error,
                "The wall unit needs {$plan->profile->linkConductors} whole conductors",
                count($links).' are there.',
                'Pull a cable, or choose a radio pair.',
            );
        }
        foreach ($planned as $conductor) {
            if (
                ! $conductor->isLink() &&
                ($conductor->wall->terminal !== null || $conductor->board->terminal !== null)
            ) {
                $findings[] = Finding::of(
                    'MR20',
                    Severity::Error,
                    "{$conductor->conductor->name()} is still landed",
                    'The outputs stand at the equipment: a conductor left on a screw there is live in the wall.',
                    'Cap it at both ends.',
                    [$conductor->id()],
                );
            }
        }

        return [
            ...$findings,
            Finding::of(
                'MR20',
                Severity::Note,
                $plan->profile->linkConductors > 0
                    ? 'The module stands at the equipment'
                    : 'The receiver stands at the equipment',
                $plan->profile->linkConductors > 0
                    ? 'R, C and the link go to the wall.'
                    : 'Radio does not pass metal and likes no heat.',
                'Mount it where it can be seen and reached, outside hot or metal compartments.',
            ),
        ];
    }
}
