<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Rule\Landing;

use Unionbit\Core\Planning\Plan\FoundTie;
use Unionbit\Core\Planning\Plan\FoundTies;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\TieFate;
use Unionbit\Core\Planning\Rule\MappingRule;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Words\Message;

/** MR25 A tie that was found is never tidied away and never kept in silence: kept or out, with what it feeds. */
final class Mr25FoundTies implements MappingRule
{
    public function check(Plan $plan): array
    {
        return array_map(static fn (FoundTie $tie): Finding => self::finding($tie, $plan), FoundTies::of($plan));
    }

    private static function finding(FoundTie $tie, Plan $plan): Finding
    {
        $kept = $tie->stands !== null;
        $params = [
            'a' => $tie->found->a,
            'b' => $tie->found->b,
            'place' => $plan->installation->placeName($tie->found->place),
        ];

        return Finding::of(
            'MR25',
            match (true) {
                ($kept && $tie->fate->mustGo()) || (! $kept && $tie->fate->mustStay()) => Severity::Error,
                $tie->fate === TieFate::AlwaysHigh, $tie->fate === TieFate::Unknown => Severity::Warning,
                default => Severity::Note,
            },
            $kept
                ? Message::of('planning.mr25.kept', ...$params)
                : Message::of('planning.mr25.taken-out', ...$params),
            Message::of('planning.mr25.why', fate: $tie->fate->value),
            Message::of('planning.mr25.do', fate: $tie->fate->value, kept: $kept ? 'yes' : 'no'),
            [],
            $tie->found->place === Place::Wall
                ? []
                : array_map(
                    static fn (string $letter): string => $plan->installation->pointOf($tie->found->place, $letter),
                    [$tie->found->a, $tie->found->b],
                ),
        );
    }
}
