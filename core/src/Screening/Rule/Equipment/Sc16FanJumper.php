<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\Equipment;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;

/** SC16 The unit's own gas/electric fan jumper against who should run the fan. */
final readonly class Sc16FanJumper implements ScreeningRule
{
    public function check(Installation $installation, array $readings): array
    {
        $jumper = $installation->answers->choice('fanJumper');
        $runs = $installation->archetype->fanInHeat;
        if ($jumper === null || $jumper === 'none' || $runs === 'none') {
            return [];
        }
        $unit = $jumper === 'gas' ? 'equipment' : 'thermostat';

        return $unit === $runs
            ? [
                Finding::of(
                    'SC16',
                    Severity::Good,
                    "Fan jumper on {$jumper}",
                    $runs === 'equipment'
                        ? 'The unit runs its own blower with heat; set the thermostat so.'
                        : 'The thermostat calls the fan with heat; set it so.',
                    'Nothing to do.',
                ),
            ]
            : [
                Finding::of(
                    'SC16',
                    Severity::Warning,
                    "Fan jumper on {$jumper}, but the ".
                        ($runs === 'equipment' ? 'unit' : 'thermostat').
                        ' should run the fan',
                    $runs === 'equipment'
                        ? 'The unit then waits for a fan call that the thermostat never makes: heat without air, until the limit opens.'
                        : 'The unit then starts its blower by itself; with the strips cold it blows cold, or not at all.',
                    'Move the jumper, or set the thermostat\'s fan in heat to match it.',
                ),
            ];
    }
}
