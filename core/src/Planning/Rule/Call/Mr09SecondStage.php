<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Rule\Call;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\PlannedConductor;
use Unionbit\Core\Planning\Rule\MappingRule;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Wiring\Jumper;
use Unionbit\Core\Words\Message;

/**
 * MR09 A second stage lands only where equipment and thermostat both have it; tied to the first it always runs high.
 */
final class Mr09SecondStage implements MappingRule
{
    private const PAIRS = [['Y1', 'Y2', 'cooling'], ['W1', 'W2', 'heating']];

    public function check(Plan $plan): array
    {
        $findings = [];
        $planned = PlannedConductor::all($plan);
        foreach (self::PAIRS as [$first, $second, $what]) {
            $low = $plan->installation->archetype->boardTerminal(TerminalName::from($first));
            $high = $plan->installation->archetype->boardTerminal(TerminalName::from($second));
            if ($low === null || $high === null) {
                continue;
            }
            $tied =
                array_filter(
                    $plan->landing->jumpers,
                    static fn (Jumper $j): bool => $j->place === $high->place &&
                        in_array($low->printed, [$j->a, $j->b], true) &&
                        in_array($high->printed, [$j->a, $j->b], true),
                ) !== [];
            $lands =
                array_filter(
                    $planned,
                    static fn (PlannedConductor $p): bool => $p->boardName?->value === $second &&
                        $p->wall->terminal !== null,
                ) !== [];
            if ($tied) {
                $findings[] = Finding::of(
                    'MR09',
                    Severity::Warning,
                    Message::of(
                        'planning.mr09.tied-always-runs-high-stage',
                        low: $low->printed,
                        high: $high->printed,
                        what: $what,
                    ),
                    Message::of('planning.mr09.temperature-rise-airflow-cycling-change'),
                    Message::of('planning.mr09.check-rise-against-plate-tie'),
                    [],
                    [$low->point(), $high->point()],
                );
            } elseif (! $lands && $plan->profile->outputs === Place::Wall) {
                $findings[] = Finding::of(
                    'MR09',
                    Severity::Warning,
                    Message::of('planning.mr09.second-stage-not-connected', what: $what),
                    Message::of('planning.mr09.gets-no-call-first-stages', high: $high->printed),
                    Message::of('planning.mr09.say-so-customer-see-first'),
                    [],
                    [$high->point()],
                );
            }
        }

        return $findings;
    }
}
