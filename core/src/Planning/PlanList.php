<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning;

/** The plans that were tried: those offered, by rank and really different from each other, and those refused. */
final readonly class PlanList
{
    /**
     * @param  list<Candidate>  $offered  best first, at most {@see Planner::MOST_SHOWN}
     * @param  list<Candidate>  $refused  each with its reasons
     */
    private function __construct(public array $offered, public array $refused, public int $tried)
    {
    }

    /** @param  list<Candidate>  $all */
    public static function of(array $all, Weights $weights): self
    {
        $score = static fn (Candidate $a, Candidate $b): int => $a->score($weights) <=> $b->score($weights);
        $passing = array_values(array_filter($all, static fn (Candidate $c): bool => $c->passes()));
        $refused = array_values(array_filter($all, static fn (Candidate $c): bool => ! $c->passes()));
        usort($passing, $score);
        usort($refused, $score);

        return new self(
            array_slice(self::different(self::worthwhile($passing)), 0, Planner::MOST_SHOWN),
            self::different($refused),
            count($all),
        );
    }

    /**
     * Plans that no other beats on capability without asking more of parts, time or care.
     *
     * @param  list<Candidate>  $ranked
     * @return list<Candidate>
     */
    private static function worthwhile(array $ranked): array
    {
        $beats = static fn (Candidate $a, Candidate $b): bool => $a->lossPoints() < $b->lossPoints() &&
            $a->partPoints() <= $b->partPoints() &&
            $a->minutes() <= $b->minutes() &&
            $a->riskPoints() <= $b->riskPoints();

        return array_values(
            array_filter(
                $ranked,
                static fn (Candidate $c): bool => array_filter(
                    $ranked,
                    static fn (Candidate $other): bool => $beats($other, $c),
                ) === [],
            ),
        );
    }

    /**
     * @param  list<Candidate>  $ranked
     * @return list<Candidate> the best of each kind
     */
    private static function different(array $ranked): array
    {
        $kinds = [];
        foreach ($ranked as $candidate) {
            $kinds[$candidate->signature()] ??= $candidate;
        }

        return array_values($kinds);
    }
}
