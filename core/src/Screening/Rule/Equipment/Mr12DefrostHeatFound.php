<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\Equipment;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;
use Unionbit\Core\Words\Message;

/** MR12 at the survey: a heat pump's defrost W must reach the indoor heat input. */
final readonly class Mr12DefrostHeatFound implements ScreeningRule
{
    public function check(Installation $installation, array $readings): array
    {
        $answers = $installation->answers;
        if (! $answers->is('outdoor', 'reverses') || $answers->is('heatSource', 'none')) {
            return [];
        }

        return match ($answers->choice('defrostW')) {
            'open' => [
                Finding::of(
                    'MR12',
                    Severity::Warning,
                    Message::of('screening.mr12.defrost-w-goes-nowhere'),
                    Message::of('screening.mr12.in-defrost-outdoor-coil-hot'),
                    Message::of('screening.mr12.splice-outdoor-w-indoor-heat'),
                ),
            ],
            'spliced' => [
                Finding::of(
                    'MR12',
                    Severity::Good,
                    Message::of('screening.mr12.defrost-w-calls-indoor-heat'),
                    Message::of('screening.mr12.strips-or-furnace-run-while'),
                    Message::of('screening.mr12.nothing-do'),
                ),
            ],
            'no-screw' => [],
            default => [
                Finding::of(
                    'MR12',
                    Severity::Note,
                    Message::of('screening.mr12.defrost-w-not-looked-at'),
                    Message::of('screening.mr12.outdoor-w-must-call-indoor'),
                    Message::of('screening.mr12.look-where-goes-at-outdoor'),
                ),
            ],
        };
    }
}
