<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\Equipment;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;

/** SC18 (ours): indoor and outdoor nameplates that disagree, and the plate against what was chosen. */
final readonly class Sc18Nameplates implements ScreeningRule
{
    public function check(Installation $installation, array $readings): array
    {
        $answers = $installation->answers;
        $findings = [];
        $outdoor = $answers->choice('outdoor');
        $indoor = $answers->choice('indoorPlate');
        if (($outdoor === 'reverses' && $indoor === 'cools') || ($outdoor === 'cools' && $indoor === 'reverses')) {
            $findings[] = Finding::of(
                'SC18',
                Severity::Warning,
                'The two nameplates disagree',
                ($outdoor === 'reverses'
                    ? 'Outdoors a heat pump, indoors a plate for cooling only.'
                    : 'Outdoors cooling only, indoors a plate for a heat pump.').' One of them was replaced.',
                'Look for a reversing valve and for strips; the unit itself decides, not the plate.',
            );
        }
        $out = $answers->number('outdoorTons');
        $in = $answers->number('indoorTons');
        if ($out !== null && $in !== null && abs($out - $in) > 0.5) {
            $findings[] = Finding::of(
                'SC18',
                Severity::Note,
                sprintf('%g tons outdoors, %g indoors', $out, $in),
                'More than half a ton apart: airflow and charge are a compromise.',
                'Note it; airflow per ton is checked in Prove.',
            );
        }

        return $findings;
    }
}
