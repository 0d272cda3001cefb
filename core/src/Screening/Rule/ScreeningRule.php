<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Rule\Finding;

/** One screening rule: is the system fit to work on, and what in the survey is not to be trusted? */
interface ScreeningRule
{
    /**
     * @param  list<SurveyReading>  $readings
     * @return list<Finding>
     */
    public function check(Installation $installation, array $readings): array;
}
