<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Rule\Supply;

use Unionbit\Core\Equipment\Load;
use Unionbit\Core\Equipment\LoadKind;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Rule\MappingRule;
use Unionbit\Core\Point\At;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Words\Message;

/** MR11 A bare contactor coil has no polarity; with electronics in the outdoor pair Y and C may not be exchanged. */
final class Mr11OutdoorPolarity implements MappingRule
{
    public function check(Plan $plan): array
    {
        $outdoor = array_filter(
            $plan->installation->archetype->loads,
            static fn (Load $load): bool => At::read($load->to)->place?->isOutdoors() === true,
        );
        if ($outdoor === []) {
            return [];
        }
        $electronic =
            array_filter(
                $outdoor,
                static fn (Load $load): bool => in_array(
                    $load->kind,
                    [LoadKind::BoardLogic, LoadKind::BoardInput],
                    true,
                ),
            ) !== [];

        return [
            $electronic
                ? Finding::of(
                    'MR11',
                    Severity::Note,
                    Message::of('planning.mr11.outdoor-unit-has-board-y'),
                    Message::of('planning.mr11.electronics-in-pair-tell-hot'),
                    Message::of('planning.mr11.keep-outdoor-pair-as-colour'),
                )
                : Finding::of(
                    'MR11',
                    Severity::Note,
                    Message::of('planning.mr11.bare-contactor-coil-outdoors-has'),
                    Message::of('planning.mr11.which-pair-y-does-not'),
                    Message::of('planning.mr11.nothing-do'),
                ),
        ];
    }
}
