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
use Unionbit\Core\Words\Message;

/** MR15 The clamp bites copper, no insulation, and no bare copper stands outside it; every conductor is tugged. */
final class Mr15StripLength implements MappingRule
{
    public function check(Plan $plan): array
    {
        $spoilt = static fn (Condition $c): bool => in_array(
            $c,
            [Condition::Exposed, Condition::Pinched, Condition::Loose],
            true,
        );
        $bad = $ids = [];
        foreach (PlannedConductor::all($plan) as $planned) {
            $wrong = array_values(array_filter($planned->conductor->condition, $spoilt));
            if ($wrong !== [] && $planned->wall->terminal !== null) {
                $bad[] = Message::of(
                    'planning.mr15.bad-end',
                    conductor: $planned->conductor->name(),
                    screw: $planned->wall->label(),
                    wrong: array_map(static fn (Condition $c): Message => $c->label(), $wrong),
                );
                $ids[] = $planned->id();
            }
        }

        return $bad === []
            ? []
            : [
                Finding::of(
                    'MR15',
                    Severity::Warning,
                    Message::of('planning.mr15.strip-anew', bad: Message::series($bad)),
                    Message::of('planning.mr15.clamp-on-insulation-or-copper'),
                    Message::of('planning.mr15.cut-back-strip-gauge-screw'),
                    $ids,
                    [Place::Wall->value],
                ),
            ];
    }
}
