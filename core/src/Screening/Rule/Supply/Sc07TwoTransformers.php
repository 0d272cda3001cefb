<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\Supply;

use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/** SC07 How many supplies: readings between the hots prove nothing by themselves. */
final readonly class Sc07TwoTransformers implements ScreeningRule
{
    public function check(Installation $installation, array $readings): array
    {
        $in = count($installation->archetype->supplies());
        $said = $installation->answers->choice('supplies');
        foreach ($readings as $reading) {
            if ($reading->mode === MeterMode::Volts && $reading->value >= 40.0 && $reading->value <= 60.0) {
                return [
                    Finding::of(
                        'SC07',
                        Severity::Error,
                        Message::of(
                            'screening.sc07.between-two-transformers-out-phase',
                            reading: Quantity::of($reading->value, Unit::Volts, 0),
                            a: $reading->a,
                            b: $reading->b,
                        ),
                        Message::of('screening.sc07.only-two-secondaries-in-series'),
                        Message::of('screening.sc07.keep-two-apart-link-out'),
                        points: [$reading->a, $reading->b],
                    ),
                ];
            }
        }
        if ($said === null) {
            return [
                Finding::of(
                    'SC07',
                    Severity::Note,
                    Message::of('screening.sc07.number-supplies-not-looked-at'),
                    Message::of('screening.sc07.second-transformer-cannot-be-read'),
                    Message::of('screening.sc07.look-at-equipment-switch-one'),
                ),
            ];
        }
        if (in_array($said, ['1', '2'], true) && (int) $said !== $in) {
            return [
                Finding::of(
                    'SC07',
                    Severity::Error,
                    Message::of(
                        'screening.sc07.found-in-equipment',
                        said: $said,
                        clause: $said === '1' ? 'supply' : 'supplies',
                        in: $in,
                    ),
                    Message::of('screening.sc07.circuit-worked-out-for-another'),
                    Message::of('screening.sc07.count-again-or-choose-equipment'),
                ),
            ];
        }
        if ($said === '2') {
            return [
                Finding::of(
                    'SC07',
                    Severity::Warning,
                    Message::of('screening.sc07.two-transformers-keep-them-apart'),
                    Message::of('screening.sc07.with-two-tied-one-switched'),
                    Message::of('screening.sc07.link-out-cooling-hot-on'),
                ),
            ];
        }

        return [];
    }
}
