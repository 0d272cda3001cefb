<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\Equipment;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;
use Unionbit\Core\Words\Message;

/** SC19 (ours): called a heat pump without a single sign of one. */
final readonly class Sc19Evidence implements ScreeningRule
{
    public function check(Installation $installation, array $readings): array
    {
        if (
            ! $installation->answers->is('outdoor', 'reverses') ||
            $installation->answers->ticks('evidence') !== []
        ) {
            return [];
        }

        return [
            Finding::of(
                'SC19',
                Severity::Warning,
                Message::of('screening.sc19.called-heat-pump-on-no'),
                Message::of('screening.sc19.straight-cooling-unit-set-as'),
                Message::of('screening.sc19.find-one-sign-plate-reversing'),
            ),
        ];
    }
}
