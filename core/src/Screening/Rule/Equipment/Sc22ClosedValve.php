<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\Equipment;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;
use Unionbit\Core\Words\Message;

/** SC22 (ours): a gas cock, oil valve or hand valve of the water was found closed: every voltage right, no heat. */
final readonly class Sc22ClosedValve implements ScreeningRule
{
    public function check(Installation $installation, array $readings): array
    {
        if (! $installation->answers->is('cocks', 'closed')) {
            return [];
        }

        return [
            Finding::of(
                'SC22',
                Severity::Warning,
                Message::of('screening.sc22.closed', source: $installation->archetype->heatSource->value),
                Message::of('screening.sc22.every-voltage-right-no-heat'),
                Message::of('screening.sc22.ask-why-before-opening'),
            ),
        ];
    }
}
