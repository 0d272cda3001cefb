<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\Equipment;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

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
                Message::of('screening.sc18.two-nameplates-disagree'),
                Message::of(
                    'screening.sc18.one-them-was-replaced',
                    clause: $outdoor === 'reverses'
                        ? Message::of('screening.sc18.outdoors-heat-pump-indoors-plate')
                        : Message::of('screening.sc18.outdoors-cooling-only-indoors-plate'),
                ),
                Message::of('screening.sc18.look-for-reversing-valve-for'),
            );
        }
        $out = $answers->number('outdoorTons');
        $in = $answers->number('indoorTons');
        if ($out !== null && $in !== null && abs($out - $in) > 0.5) {
            $findings[] = Finding::of(
                'SC18',
                Severity::Note,
                Message::of(
                    'screening.sc18.outdoors-indoors',
                    out: Quantity::of($out, Unit::Tons),
                    in: Quantity::of($in, Unit::Number),
                ),
                Message::of('screening.sc18.more-than-half-ton-apart'),
                Message::of('screening.sc18.note-airflow-per-ton-checked'),
            );
        }

        return $findings;
    }
}
