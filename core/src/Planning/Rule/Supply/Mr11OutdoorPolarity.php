<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Rule\Supply;

use Unionbit\Core\Equipment\LoadKind;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Rule\MappingRule;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Terminal\Place;

/** MR11 A bare contactor coil has no polarity; with electronics in the outdoor pair Y and C may not be exchanged. */
final class Mr11OutdoorPolarity implements MappingRule
{
    public function check(Plan $plan): array
    {
        $outdoor = array_filter(
            $plan->installation->archetype->loads,
            static fn ($load): bool => str_starts_with($load->to, Place::Outdoor->value),
        );
        if ($outdoor === []) {
            return [];
        }
        $electronic =
            array_filter(
                $outdoor,
                static fn ($load): bool => in_array($load->kind, [LoadKind::BoardLogic, LoadKind::BoardInput], true),
            ) !== [];

        return [
            $electronic
                ? Finding::of(
                    'MR11',
                    Severity::Note,
                    'The outdoor unit has a board: Y and C may not be exchanged',
                    'Electronics in the pair tell hot from common.',
                    'Keep the outdoor pair as it is, colour by colour.',
                )
                : Finding::of(
                    'MR11',
                    Severity::Note,
                    'A bare contactor coil outdoors has no polarity',
                    'Which of the pair is Y does not matter, as long as both ends agree.',
                    'Nothing to do.',
                ),
        ];
    }
}
