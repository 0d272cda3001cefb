<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening;

use Unionbit\Core\Finding;
use Unionbit\Core\Job\Installation;

/** The screening rules in force. Adding a rule is adding a class and naming it here. */
final class Screening
{
    /** @return list<ScreeningRule> */
    public static function rules(): array
    {
        return [new Sc03Supply, new Sc09CommonWithoutConductor, new Sc10ColourAgainstLetter, new Sc15LinkState];
    }

    /**
     * @param  list<SurveyReading>  $readings
     * @return list<Finding>
     */
    public static function check(Installation $installation, array $readings): array
    {
        return array_merge(...array_map(static fn (ScreeningRule $rule): array => $rule->check($installation, $readings), self::rules()));
    }
}
