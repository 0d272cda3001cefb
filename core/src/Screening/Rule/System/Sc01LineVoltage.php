<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\System;

use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

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
                        Message::of(
                            'screening.sc01.line-voltage-from',
                            reading: Quantity::of($reading->value, Unit::Volts, 0),
                            a: $reading->a,
                            b: $reading->b,
                        ),
                        Message::of('screening.sc01.above-60-v-no-24'),
                        Message::of('screening.sc01.stop-here-cover-leave-breaker'),
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
                    Message::of('screening.sc01.thick-conductors-under-wire-connectors'),
                    Message::of('screening.sc01.line-voltage-thermostat-full-load'),
                    Message::of('screening.sc01.stop-here-call-for-licensed'),
                ),
            ];
        }

        return [];
    }
}
