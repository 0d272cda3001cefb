<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\System;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;
use Unionbit\Core\Words\Message;

/** SC06 A three-wire zone valve: power open, power close. */
final readonly class Sc06ThreeWireZoneValve implements ScreeningRule
{
    public function check(Installation $installation, array $readings): array
    {
        return match ($installation->answers->choice('zoneValve')) {
            'three' => [
                Finding::of(
                    'SC06',
                    Severity::Stop,
                    Message::of('screening.sc06.three-wire-zone-valve'),
                    Message::of('screening.sc06.one-wire-drives-open-another'),
                    Message::of('screening.sc06.plan-isolating-relay-with-changeover'),
                    overridable: true,
                ),
            ],
            'relay' => [
                Finding::of(
                    'SC06',
                    Severity::Note,
                    Message::of('screening.sc06.isolating-relay-to-be-fitted'),
                    Message::of('screening.sc06.its-coil-is-the-heat-call'),
                    Message::of('screening.sc06.fit-it-then-prove-both-ways'),
                ),
            ],
            default => [],
        };
    }
}
