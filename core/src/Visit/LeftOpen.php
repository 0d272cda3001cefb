<?php

declare(strict_types=1);

namespace Unionbit\Core\Visit;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Screening\Rule\SurveyReading;
use Unionbit\Core\Screening\Screening;

/**
 * What screening still finds once the plan is landed, of what it found before. What the accepted plan itself made, as a
 * conductor moved to another letter or a common that was given up, is the plan's to say and no open matter.
 */
final class LeftOpen
{
    /**
     * @param  Installation  $found  as the survey found it
     * @param  list<SurveyReading>  $readings
     * @return list<Finding>
     */
    public static function findings(Installation $found, Plan $plan, array $readings): array
    {
        $key = static fn (Finding $f): string => "{$f->code} {$f->title->code} ".implode(',', $f->conductors);
        $before = array_map($key, Screening::check($found, $readings));

        return array_values(
            array_filter(
                Screening::check(AsLeft::landed($plan), $readings),
                static fn (Finding $f): bool => in_array($key($f), $before, true),
            ),
        );
    }
}
