<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Plan;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\PlateAsFound;

/** The thermostat that hangs there, as it hangs: nothing is planned, nothing is moved. */
final class FoundPlan
{
    /** Null while too little is known of it. */
    public static function of(Installation $installation): ?Plan
    {
        return PlateAsFound::isKnown($installation)
            ? new Plan($installation, PlateAsFound::profile($installation), PlateAsFound::landing($installation))
            : null;
    }
}
