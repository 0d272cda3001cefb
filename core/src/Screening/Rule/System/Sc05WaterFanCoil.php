<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\System;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;
use Unionbit\Core\Words\Message;

/** SC05 A water fan coil with line-voltage controls. */
final readonly class Sc05WaterFanCoil implements ScreeningRule
{
    public function check(Installation $installation, array $readings): array
    {
        return match ($installation->answers->choice('fanCoil')) {
            'line' => [
                Finding::of(
                    'SC05',
                    Severity::Stop,
                    Message::of('screening.sc05.line-voltage-fan-coil'),
                    Message::of('screening.sc05.fan-speeds-or-valves-switched'),
                    Message::of('screening.sc05.stop-here-needs-line-voltage'),
                ),
            ],
            '24v' => [
                Finding::of(
                    'SC05',
                    Severity::Good,
                    Message::of('screening.sc05.hot-water-coil-with-24'),
                    Message::of('screening.sc05.ordinary-work-valve-heat-call'),
                    Message::of('screening.sc05.nothing-do'),
                ),
            ],
            default => [],
        };
    }
}
