<?php

declare(strict_types=1);

namespace App\Plan\Edit;

use Unionbit\Core\Planning\Offer\PlainWords;
use Unionbit\Core\Planning\Offer\PlanOffer;
use Unionbit\Core\Planning\Plan\Choice;
use Unionbit\Core\Planning\Plan\Plan;

/** An offered plan with what spoke for it, kept with the plan. */
final class Chosen
{
    public static function from(PlanOffer $offer, string $note): Plan
    {
        return $offer->plan->chosen(
            new Choice($offer->title(), $offer->codes(), $offer->reasons(), PlainWords::of($offer), $note),
        );
    }
}
