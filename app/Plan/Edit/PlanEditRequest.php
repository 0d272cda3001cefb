<?php

declare(strict_types=1);

namespace App\Plan\Edit;

use App\Document\EditRequest;
use App\Document\Restore;

/** One edit of a plan. */
final class PlanEditRequest extends EditRequest
{
    protected static function kinds(): array
    {
        return [
            ChooseThermostat::class,
            TakeOffer::class,
            LandConductor::class,
            LandAtBoard::class,
            AddTie::class,
            TakeOutTie::class,
            SetLink::class,
            UsePlan::class,
            Restore::class,
        ];
    }
}
