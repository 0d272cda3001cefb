<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening\Rule\Equipment;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Water\FullPan;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\PlateAsFound;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\ScreeningRule;
use Unionbit\Core\Words\Message;

/** MR16 As the house was found, an overflow switch opens and something goes on making water. */
final readonly class Mr16WaterGoesOn implements ScreeningRule
{
    public function check(Installation $installation, array $readings): array
    {
        $floats = $installation->facts->floats();
        if ($floats === [] || ! $installation->equipmentSeen()) {
            return [];
        }
        $circuit = new Circuit(
            $installation,
            PlateAsFound::profile($installation),
            PlateAsFound::landing($installation),
        );
        $findings = [];
        foreach ($floats as $float) {
            $pan = FullPan::ofWater($circuit, $float);
            if ($pan->water() === []) {
                continue;
            }
            $findings[] = Finding::of(
                'MR16',
                Severity::Warning,
                Message::of(
                    'screening.mr16.water-goes-on',
                    device: $float->name(),
                    water: $pan->words($circuit, $pan->water()),
                ),
                Message::of('screening.mr16.as-found'),
                Message::of('screening.mr16.plan-moves-it'),
                [],
                array_map($float->point(...), $float->breaks),
            );
        }

        return $findings;
    }
}
