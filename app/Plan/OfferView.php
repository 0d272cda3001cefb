<?php

declare(strict_types=1);

namespace App\Plan;

use App\Plan\Edit\OfferKey;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Planning\Offer\PlainWords;
use Unionbit\Core\Planning\Offer\PlanOffer;
use Unionbit\Core\Planning\Offer\Weights;
use Unionbit\Core\Planning\Plan\WayOut;
use Unionbit\Core\Planning\Proof\CallProof;

/** A plan as it is offered, or refused: everything that the choice rests on. */
final class OfferView
{
    /** @return array<string, mixed> */
    public static function of(PlanOffer $candidate, Weights $weights): array
    {
        $calls = array_values(
            array_filter($candidate->proof->calls, static fn (CallProof $p): bool => $p->call !== CallName::Idle),
        );

        return [
            'key' => OfferKey::of($candidate),
            'title' => $candidate->title(),
            'codes' => $candidate->codes(),
            'ways' => array_map(static fn (WayOut $w): array => $w->toArray(), $candidate->ways),
            'proved' => count(array_filter($calls, static fn (CallProof $p): bool => $p->isProved())),
            'of' => count($calls),
            'lost' => $candidate->lost(),
            'unmet' => $candidate->unmet(),
            'parts' => $candidate->parts(),
            'minutes' => $candidate->minutes(),
            'trips' => $candidate->trips(),
            'score' => $candidate->score($weights),
            'reasons' => $candidate->reasons(),
            'customer' => PlainWords::of($candidate),
            'refusals' => $candidate->refusals(),
        ];
    }
}
