<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\Supply;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\SafetyDevice;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;

/** SC17 A blank display: what to look at before blaming the thermostat. */
final readonly class Sc17BlankDisplay implements ScreeningRule
{
    public function check(Installation $installation, array $readings): array
    {
        if (! $installation->answers->is('display', 'blank')) {
            return [];
        }
        $floats = array_map(
            static fn (SafetyDevice $d): string => "{$d->label} in ".implode(' and ', $d->breaks),
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
            'the fuse',
            ...$installation->archetype->doorSwitch ? ['the door switch'] : [],
            'the service switch',
        ];

        return [
            Finding::of(
                'SC17',
                Severity::Warning,
                'Blank display',
                $battery
                    ? 'It runs on batteries: nothing is known of the supply yet.'
                    : 'Its supply is gone, or its C conductor.',
                ($battery ? 'Batteries first. Then ' : 'Look at ').
                    implode(', ', $then).
                    ', then read R–C at the board.',
            ),
        ];
    }
}
