<?php

declare(strict_types=1);

namespace App\House;

use App\Models\Job;
use Unionbit\Core\Rule\Finding;

/** A stop of the screening really stops: nothing is planned or landed past it. */
final class Stops
{
    /** @throws Refused where one stands */
    public static function refuse(Job $job): void
    {
        $stops = SurveyReadings::stops($job);
        if ($stops !== []) {
            throw Refused::at('stop', ...array_map(self::says(...), $stops));
        }
    }

    /** What a finding says where there is one line for it. */
    public static function says(Finding $finding): string
    {
        return "{$finding->code}: {$finding->title}. {$finding->action}";
    }
}
