<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\System;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;
use Unionbit\Core\Words\Message;

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
                    Message::of('screening.sc02.millivolt-system'),
                    Message::of('screening.sc02.there-no-transformer-thermopile-drives'),
                    Message::of('screening.sc02.stop-here-needs-thermostat-made'),
                ),
            ]
            : [];
    }
}
