<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\Equipment;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;

/** SC19 (ours): called a heat pump without a single sign of one. */
final readonly class Sc19Evidence implements ScreeningRule
{
    public function check(Installation $installation, array $readings): array
    {
        if (! $installation->answers->is('outdoor', 'reverses') || $installation->answers->ticks('evidence') !== []) {
            return [];
        }

        return [
            Finding::of(
                'SC19',
                Severity::Warning,
                'Called a heat pump on no evidence',
                'A straight-cooling unit set as a heat pump heats with its strips only, or not at all.',
                'Find one sign: the plate, a reversing valve, a defrost board, a conductor on O or B.',
            ),
        ];
    }
}
