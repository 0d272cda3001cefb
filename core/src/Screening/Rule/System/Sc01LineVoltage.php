<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\System;

use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;

/** SC01 Line voltage on what should be a low-voltage cable. The one stop that nobody may override. */
final readonly class Sc01LineVoltage implements ScreeningRule
{
    /** No 24 V arrangement reaches this: two transformers out of phase give about 56 V between their hots. */
    private const LOW_VOLTAGE_ENDS = 60.0;

    public function check(Installation $installation, array $readings): array
    {
        foreach ($readings as $reading) {
            if ($reading->mode === MeterMode::Volts && $reading->value > self::LOW_VOLTAGE_ENDS) {
                return [
                    Finding::of(
                        'SC01',
                        Severity::Stop,
                        sprintf('Line voltage: %.0f V from %s to %s', $reading->value, $reading->a, $reading->b),
                        'Above 60 V is no 24 V system, whatever the wire looks like.',
                        'Stop here. Cover it, leave the breaker off and call for a licensed person.',
                        points: [$reading->a, $reading->b],
                    ),
                ];
            }
        }
        if ($installation->wallCable()?->kind === 'thick') {
            return [
                Finding::of(
                    'SC01',
                    Severity::Stop,
                    'Thick conductors under wire connectors at the wall',
                    'That is a line-voltage thermostat: the full load runs through it.',
                    'Stop here and call for a licensed person. A 24 V thermostat must not go on this wall.',
                ),
            ];
        }

        return [];
    }
}
