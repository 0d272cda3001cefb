<?php

declare(strict_types=1);

namespace App\Plan\Edit;

use Unionbit\Core\Planning\File\PlanFile;
use Unionbit\Core\Planning\Offer\PlanOffer;

/** By which an offer that was shown is found again when it is taken. */
final class OfferKey
{
    /** @return string the same for the same landing, whoever computes it; sixteen characters */
    public static function of(PlanOffer $offer): string
    {
        return substr(hash('sha256', json_encode(PlanFile::write($offer->plan), JSON_THROW_ON_ERROR)), 0, 16);
    }
}
