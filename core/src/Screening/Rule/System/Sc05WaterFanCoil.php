<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\System;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;

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
                    'Line-voltage fan coil',
                    'Its fan speeds or valves are switched at line voltage; there is no 24 V control to call.',
                    'Stop here: it needs a line-voltage thermostat and a licensed person, or a relay box designed for it.',
                ),
            ],
            '24v' => [
                Finding::of(
                    'SC05',
                    Severity::Good,
                    'Hot-water coil with a 24 V valve',
                    'Ordinary work: the valve is a heat call, and the thermostat calls the fan.',
                    'Nothing to do.',
                ),
            ],
            default => [],
        };
    }
}
