<?php

declare(strict_types=1);

namespace App\House;

use App\Models\Job;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Words\Message;

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

    /** What is wrong with data, after the place in it. */
    public static function at(InvalidData $problem): Message
    {
        return Message::of('house.stops.data', place: $problem->pointer, problem: $problem->problem);
    }

    /** What a finding says where there is one line for it. */
    public static function says(Finding $finding): Message
    {
        return Message::of(
            'house.stops.finding',
            rule: $finding->code,
            title: $finding->title,
            action: $finding->action,
        );
    }
}
