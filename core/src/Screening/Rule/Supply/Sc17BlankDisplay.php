<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\Supply;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\SafetyDevice;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;
use Unionbit\Core\Words\Message;

/** SC17 A blank display: what to look at before blaming the thermostat. */
final readonly class Sc17BlankDisplay implements ScreeningRule
{
    public function check(Installation $installation, array $readings): array
    {
        if (! $installation->answers->is('display', 'blank')) {
            return [];
        }
        $floats = array_map(
            static fn (SafetyDevice $d): Message => Message::of(
                'screening.sc17.in',
                d: $d->label,
                breaks: $d->breaks,
            ),
            array_values(
                array_filter(
                    $installation->facts->safety,
                    static fn (SafetyDevice $d): bool => in_array('R', $d->breaks, true),
                ),
            ),
        );
        $battery = $installation->facts->oldPower === 'battery';
        $then = [
            ...$floats,
            Message::of('screening.sc17.fuse'),
            ...$installation->archetype->doorSwitch ? [Message::of('screening.sc17.door-switch')] : [],
            Message::of('screening.sc17.service-switch'),
        ];

        return [
            Finding::of(
                'SC17',
                Severity::Warning,
                Message::of('screening.sc17.blank-display'),
                $battery
                    ? Message::of('screening.sc17.runs-on-batteries-nothing-known')
                    : Message::of('screening.sc17.supply-gone-or-c-conductor'),
                Message::of(
                    'screening.sc17.then-read-r-c-at',
                    clause: $battery
                        ? Message::of('screening.sc17.batteries-first-then')
                        : Message::of('screening.sc17.look-at'),
                    then: $then,
                ),
            ),
        ];
    }
}
