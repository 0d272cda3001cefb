<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Rule\Landing;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\PlannedConductor;
use Unionbit\Core\Planning\Rule\MappingRule;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Wiring\Condition;

/** MR15 The clamp bites copper, no insulation, and no bare copper stands outside it; every conductor is tugged. */
final class Mr15StripLength implements MappingRule
{
    public function check(Plan $plan): array
    {
        $bad = $ids = [];
        foreach (PlannedConductor::all($plan) as $planned) {
            $wrong = array_intersect(
                array_map(static fn (Condition $c): string => $c->label(), $planned->conductor->condition),
                [Condition::Exposed->label(), Condition::Pinched->label(), Condition::Loose->label()],
            );
            if ($wrong !== [] && $planned->wall->terminal !== null) {
                $bad[] = "{$planned->conductor->name()} ({$planned->wall->label()}): ".implode(', ', $wrong);
                $ids[] = $planned->id();
            }
        }

        return $bad === []
            ? []
            : [
                Finding::of(
                    'MR15',
                    Severity::Warning,
                    'Strip anew: '.implode('; ', $bad),
                    'A clamp on insulation, or copper outside it, opens or touches later.',
                    'Cut back, strip to the gauge of the screw, clamp, tug.',
                    $ids,
                    [Place::Wall->value],
                ),
            ];
    }
}
