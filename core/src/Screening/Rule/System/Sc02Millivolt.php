<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\System;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;

/** SC02 A millivolt system: no transformer anywhere, a few hundred millivolts DC from the flame itself. */
final readonly class Sc02Millivolt implements ScreeningRule
{
    public function check(Installation $installation, array $readings): array
    {
        return $installation->answers->is('supplies', 'millivolt')
            ? [
                Finding::of(
                    'SC02',
                    Severity::Stop,
                    'Millivolt system',
                    'There is no transformer: a thermopile drives the valve with a few hundred millivolts DC. A 24 V thermostat cannot work it and 24 V would destroy it.',
                    'Stop here. It needs a thermostat made for millivolts, or its own controller.',
                ),
            ]
            : [];
    }
}
