<?php

declare(strict_types=1);

namespace App\Plan;

use App\Document\EditRequest;
use App\Document\Restore;
use App\Plan\Edit\AddTie;
use App\Plan\Edit\ChooseThermostat;
use App\Plan\Edit\LandAtBoard;
use App\Plan\Edit\LandConductor;
use App\Plan\Edit\SetLink;
use App\Plan\Edit\TakeOffer;
use App\Plan\Edit\TakeOutTie;
use App\Plan\Edit\UsePlan;

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
