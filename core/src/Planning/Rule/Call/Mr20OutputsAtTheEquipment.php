<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Rule\Call;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\PlannedConductor;
use Unionbit\Core\Planning\Rule\MappingRule;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Words\Message;

/**
 * MR20 Outputs at the equipment: short new leads there, the wall cable carries the link or nothing, the rest is
 * capped at both ends.
 */
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
        $boards = $plan->installation->archetype->boards;
        if (count($boards) > 1) {
            $findings[] = Finding::of(
                'MR20',
                Severity::Error,
                Message::of('planning.mr20.boards-at-two-places'),
                Message::of(
                    'planning.mr20.short-leads-reach-one-place',
                    places: array_map($plan->installation->placeName(...), $boards),
                ),
                Message::of('planning.mr20.choose-outputs-at-wall'),
            );
        }
        if (count($links) < $plan->profile->linkConductors) {
            $findings[] = Finding::of(
                'MR20',
                Severity::Error,
                Message::of(
                    'planning.mr20.wall-unit-needs-whole-conductors',
                    linkConductors: $plan->profile->linkConductors,
                ),
                Message::of('planning.mr20.there', count: count($links)),
                Message::of('planning.mr20.pull-cable-or-choose-radio'),
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
                    Message::of('planning.mr20.still-landed', conductor: $conductor->conductor->name()),
                    Message::of('planning.mr20.outputs-stand-at-equipment-conductor'),
                    Message::of('planning.mr20.cap-at-both-ends'),
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
                    ? Message::of('planning.mr20.module-stands-at-equipment')
                    : Message::of('planning.mr20.receiver-stands-at-equipment'),
                $plan->profile->linkConductors > 0
                    ? Message::of('planning.mr20.r-c-link-go-wall')
                    : Message::of('planning.mr20.radio-does-not-pass-metal'),
                Message::of('planning.mr20.mount-where-can-be-seen'),
            ),
        ];
    }
}
