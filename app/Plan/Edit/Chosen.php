<?php

declare(strict_types=1);

namespace App\Plan\Edit;

use App\Words\Words;
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
            new Choice(
                Words::say($offer->title()),
                $offer->codes(),
                Words::each($offer->reasons()),
                Words::say(PlainWords::asDone($offer)),
                $note,
            ),
        );
    }
}
