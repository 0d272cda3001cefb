<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Rule\Landing;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\PlannedConductor;
use Unionbit\Core\Planning\Rule\MappingRule;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Words\Message;

/** MR10 A colour on an unusual letter is kept as it is and noted: colours are not put right at one end only. */
final class Mr10ColourKept implements MappingRule
{
    public function check(Plan $plan): array
    {
        $odd = $ids = [];
        foreach (PlannedConductor::all($plan) as $planned) {
            $usual = $planned->boardName?->customaryColours() ?? [];
            if (
                $planned->wall->terminal !== null &&
                $usual !== [] &&
                ! in_array($planned->conductor->colour, $usual, true)
            ) {
                $odd[] = Message::of(
                    'planning.mr10.is',
                    conductor: $planned->conductor->name(),
                    board: $planned->board->label(),
                );
                $ids[] = $planned->id();
            }
        }

        return $odd === []
            ? []
            : [
                Finding::of(
                    'MR10',
                    Severity::Note,
                    Message::of('planning.mr10.unusual-colours-kept', odd: $odd),
                    Message::of('planning.mr10.next-person-will-read-colours'),
                    Message::of('planning.mr10.leave-them-as-they-at'),
                    $ids,
                ),
            ];
    }
}
