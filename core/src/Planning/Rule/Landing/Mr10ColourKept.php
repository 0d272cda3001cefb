<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Rule\Landing;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\PlannedConductor;
use Unionbit\Core\Planning\Rule\MappingRule;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;

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
                $odd[] = "{$planned->conductor->name()} is {$planned->board->label()}";
                $ids[] = $planned->id();
            }
        }

        return $odd === []
            ? []
            : [
                Finding::of(
                    'MR10',
                    Severity::Note,
                    'Unusual colours, kept: '.implode(', ', $odd),
                    'The next person will read colours first.',
                    'Leave them as they are at both ends; the record and the labels say what they carry.',
                    $ids,
                ),
            ];
    }
}
