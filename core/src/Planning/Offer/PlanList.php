<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Offer;

/** The plans that were tried: those offered, by rank and really different from each other, and those refused. */
final readonly class PlanList
{
    /**
     * @param  list<PlanOffer>  $offered  best first, at most {@see Planner::MOST_SHOWN}
     * @param  list<PlanOffer>  $refused  each with its reasons
     */
    private function __construct(public array $offered, public array $refused, public int $tried)
    {
    }

    /** @param  list<PlanOffer>  $all */
    public static function of(array $all, Weights $weights): self
    {
        $score = static fn (PlanOffer $a, PlanOffer $b): int => $a->score($weights) <=> $b->score($weights);
        $passing = array_values(array_filter($all, static fn (PlanOffer $c): bool => $c->passes()));
        $refused = array_values(array_filter($all, static fn (PlanOffer $c): bool => ! $c->passes()));
        usort($passing, $score);
        usort($refused, $score);

        return new self(
            array_slice(self::different(self::worthwhile($passing)), 0, Planner::MOST_SHOWN),
            self::different($refused),
            count($all),
        );
    }

    /**
     * Plans that no other beats on capability without asking more of parts, time or care. One that gives up a call
     * which another keeps, if always in its higher stage, does not beat it.
     *
     * @param  list<PlanOffer>  $ranked
     * @return list<PlanOffer>
     */
    private static function worthwhile(array $ranked): array
    {
        $beats = static fn (PlanOffer $a, PlanOffer $b): bool => array_diff($a->lostCalls(), $b->lostCalls()) ===
            [] &&
            $a->lossPoints() < $b->lossPoints() &&
            $a->partPoints() <= $b->partPoints() &&
            $a->minutes() <= $b->minutes() &&
            $a->riskPoints() <= $b->riskPoints();

        return array_values(
            array_filter(
                $ranked,
                static fn (PlanOffer $c): bool => array_filter(
                    $ranked,
                    static fn (PlanOffer $other): bool => $beats($other, $c),
                ) === [],
            ),
        );
    }

    /**
     * @param  list<PlanOffer>  $ranked
     * @return list<PlanOffer> the best of each kind
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
