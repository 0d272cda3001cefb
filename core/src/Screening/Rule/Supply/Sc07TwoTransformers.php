<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\Supply;

use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;

/** SC07 How many supplies: readings between the hots prove nothing by themselves. */
final readonly class Sc07TwoTransformers implements ScreeningRule
{
    public function check(Installation $installation, array $readings): array
    {
        $in = count($installation->archetype->transformers);
        $said = $installation->answers->choice('supplies');
        foreach ($readings as $reading) {
            if ($reading->mode === MeterMode::Volts && $reading->value >= 40.0 && $reading->value <= 60.0) {
                return [
                    Finding::of(
                        'SC07',
                        Severity::Error,
                        sprintf(
                            '%.0f V between %s and %s: two transformers out of phase',
                            $reading->value,
                            $reading->a,
                            $reading->b,
                        ),
                        'Only two secondaries in series reach this; their commons are joined and their hots are opposite.',
                        'Keep the two apart: link out, cooling hot on Rc, heating hot on Rh. Switched off, one is fed backwards by the other.',
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
                    'Number of supplies not looked at',
                    'A second transformer cannot be read at the wall: two floating ones show nothing between their hots.',
                    'Look at the equipment, switch one supply off and see which hot dies.',
                ),
            ];
        }
        if (in_array($said, ['1', '2'], true) && (int) $said !== $in) {
            return [
                Finding::of(
                    'SC07',
                    Severity::Error,
                    "{$said} ".($said === '1' ? 'supply' : 'supplies')." found, {$in} in this equipment",
                    'The circuit is worked out for another number of transformers than stands there.',
                    'Count again, or choose the equipment that has them.',
                ),
            ];
        }
        if ($said === '2') {
            return [
                Finding::of(
                    'SC07',
                    Severity::Warning,
                    'Two transformers: keep them apart',
                    'With the two tied, one that is switched off is fed backwards and carries line voltage on its primary. A meter need not show it.',
                    'Link out, cooling hot on Rc, heating hot on Rh; isolate both before touching either.',
                ),
            ];
        }

        return [];
    }
}
