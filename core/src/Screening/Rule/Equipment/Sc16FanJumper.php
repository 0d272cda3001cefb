<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\Equipment;

use Unionbit\Core\Equipment\Heat\FanInHeat;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;
use Unionbit\Core\Words\Message;

/** SC16 The unit's own gas/electric fan jumper against who should run the fan. */
final readonly class Sc16FanJumper implements ScreeningRule
{
    public function check(Installation $installation, array $readings): array
    {
        $jumper = $installation->answers->choice('fanJumper');
        $runs = $installation->archetype->fanInHeat;
        if ($jumper === null || $jumper === 'none' || $runs === FanInHeat::None) {
            return [];
        }
        $unit = $jumper === 'gas' ? FanInHeat::Equipment : FanInHeat::Thermostat;

        return $unit === $runs
            ? [
                Finding::of(
                    'SC16',
                    Severity::Good,
                    Message::of('screening.sc16.fan-jumper-on', jumper: $jumper),
                    $runs === FanInHeat::Equipment
                        ? Message::of('screening.sc16.unit-runs-own-blower-with')
                        : Message::of('screening.sc16.thermostat-calls-fan-with-heat'),
                    Message::of('screening.sc16.nothing-do'),
                ),
            ]
            : [
                Finding::of(
                    'SC16',
                    Severity::Warning,
                    Message::of(
                        'screening.sc16.fan-jumper-on-but-should',
                        jumper: $jumper,
                        clause: $runs === FanInHeat::Equipment ? 'unit' : 'thermostat',
                    ),
                    $runs === FanInHeat::Equipment
                        ? Message::of('screening.sc16.unit-then-waits-for-fan')
                        : Message::of('screening.sc16.unit-then-starts-blower-by'),
                    Message::of('screening.sc16.move-jumper-or-set-thermostats'),
                ),
            ];
    }
}
