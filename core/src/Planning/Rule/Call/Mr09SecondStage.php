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

/** MR09 A second stage lands only where equipment and thermostat both have it; tied to the first it always runs high. */
final class Mr09SecondStage implements MappingRule
{
    private const PAIRS = [['Y1', 'Y2', 'cooling'], ['W1', 'W2', 'heating']];

    public function check(Plan $plan): array
    {
        $findings = [];
        $planned = PlannedConductor::all($plan);
        foreach (self::PAIRS as [$first, $second, $what]) {
            $low = $plan->installation->archetype->terminalNamed(Place::Indoor, TerminalName::from($first))?->printed;
            $high = $plan->installation->archetype->terminalNamed(Place::Indoor, TerminalName::from($second))?->printed;
            if ($low === null || $high === null) {
                continue;
            }
            $tied =
                array_filter(
                    $plan->landing->jumpers,
                    static fn ($j): bool => $j->place === Place::Indoor &&
                        in_array($low, [$j->a, $j->b], true) &&
                        in_array($high, [$j->a, $j->b], true),
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
                    "{$low} and {$high} tied: {$what} always runs its high stage",
                    'Temperature rise, airflow and cycling change.',
                    'Check the rise against the plate, and tie only where the maker allows it.',
                    [],
                    ["indoor.{$low}", "indoor.{$high}"],
                );
            } elseif (! $lands && $plan->profile->outputs === Place::Wall) {
                $findings[] = Finding::of(
                    'MR09',
                    Severity::Warning,
                    "Second stage of {$what} not connected",
                    "{$high} gets no call: the first stage's capacity is all there is.",
                    'Say so to the customer, and see that the first stage carries the house.',
                    [],
                    ["indoor.{$high}"],
                );
            }
        }

        return $findings;
    }
}
