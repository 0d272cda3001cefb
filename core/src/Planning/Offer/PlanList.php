<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Offer;

use Unionbit\Core\Words\Message;

/** The plans that were tried: those offered, by rank and really different from each other, and those refused. */
final readonly class PlanList
{
    /**
     * @param  list<PlanOffer>  $offered  best first, at most {@see Planner::MOST_SHOWN}
     * @param  list<PlanOffer>  $refused  each with its reasons
     * @param  list<Message>  $ruledOut  ways that were not tried, and why
     */
    private function __construct(
        public array $offered,
        public array $refused,
        public int $tried,
        public array $ruledOut,
    ) {
    }

    /**
     * @param  list<PlanOffer>  $all
     * @param  list<Message>  $ruledOut
     */
    public static function of(array $all, Weights $weights, array $ruledOut = []): self
    {
        $scored = array_map(static fn (PlanOffer $o): array => [$o, $o->score($weights), $o->passes()], $all);
        usort($scored, static fn (array $a, array $b): int => $a[1] <=> $b[1]);
        $which = static fn (bool $passing): array => array_values(
            array_map(
                static fn (array $row): PlanOffer => $row[0],
                array_filter($scored, static fn (array $row): bool => $row[2] === $passing),
            ),
        );

        return new self(
            array_slice(self::different(self::worthwhile($which(true))), 0, Planner::MOST_SHOWN),
            self::different($which(false)),
            count($all),
            $ruledOut,
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
        $lost = array_map(static fn (PlanOffer $o): array => $o->lostCalls(), $ranked);
        $asks = array_map(static fn (PlanOffer $o): PlanPoints => $o->points(), $ranked);
        $beats = static fn (int $a, int $b): bool => $asks[$a]->loss < $asks[$b]->loss &&
            $asks[$a]->parts <= $asks[$b]->parts &&
            $asks[$a]->minutes <= $asks[$b]->minutes &&
            $asks[$a]->risk <= $asks[$b]->risk &&
            array_diff($lost[$a], $lost[$b]) === [];
        $all = array_keys($ranked);

        return array_values(
            array_filter(
                $ranked,
                static fn (int $one): bool => array_filter(
                    $all,
                    static fn (int $other): bool => $beats($other, $one),
                ) === [],
                ARRAY_FILTER_USE_KEY,
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
