<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\Equipment;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;

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
                    'Defrost W goes nowhere',
                    'In defrost the outdoor coil is the hot one: the house is blown cold until it ends.',
                    'Splice the outdoor W to the indoor heat input.',
                ),
            ],
            'spliced' => [
                Finding::of(
                    'MR12',
                    Severity::Good,
                    'Defrost W calls the indoor heat',
                    'The strips or the furnace run while the outdoor unit defrosts.',
                    'Nothing to do.',
                ),
            ],
            'no-screw' => [],
            default => [
                Finding::of(
                    'MR12',
                    Severity::Note,
                    'Defrost W not looked at',
                    'The outdoor W must call the indoor heat in defrost.',
                    'Look where it goes, at the outdoor board and at the indoor unit.',
                ),
            ],
        };
    }
}
