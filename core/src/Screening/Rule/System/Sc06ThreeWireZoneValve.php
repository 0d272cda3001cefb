<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\System;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;

/** SC06 A three-wire zone valve: power open, power close. */
final readonly class Sc06ThreeWireZoneValve implements ScreeningRule
{
    public function check(Installation $installation, array $readings): array
    {
        return $installation->answers->is('zoneValve', 'three')
            ? [
                Finding::of(
                    'SC06',
                    Severity::Stop,
                    'Three-wire zone valve',
                    'One wire drives it open, another drives it shut: a thermostat with one heat switch leaves it where it is.',
                    'Plan an isolating relay with a changeover contact, answer so, or stop here.',
                    overridable: true,
                ),
            ]
            : [];
    }
}
