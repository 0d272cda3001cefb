<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\Equipment;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;
use Unionbit\Core\Words\Message;

/** MR16 A float switch was seen and nobody said which conductor it breaks: no plan can keep it in circuit. */
final readonly class Mr16SwitchNotPlaced implements ScreeningRule
{
    public function check(Installation $installation, array $readings): array
    {
        if (! $installation->answers->is('floats', 'some') || $installation->facts->floats() !== []) {
            return [];
        }

        return [
            Finding::of(
                'MR16',
                Severity::Warning,
                Message::of('screening.mr16.not-placed'),
                Message::of('screening.mr16.plan-cannot-keep-it'),
                Message::of('screening.mr16.enter-what-it-breaks'),
            ),
        ];
    }
}
