<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Netlist;

use Unionbit\Core\Equipment\EquipmentTerminal;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Thermostat\Meaning;
use Unionbit\Core\Thermostat\PlateTerminal;
use Unionbit\Core\Thermostat\Profile;

/** Where a thermostat's outputs stand at the equipment: short leads from the module or receiver to the boards. */
final class OutputLeads
{
    /** @return list<array{PlateTerminal, EquipmentTerminal}> letter to letter; none for a plate on the wall */
    public static function of(Installation $house, Profile $profile): array
    {
        $leads = [];
        foreach ($profile->outputs === Place::Module ? $house->archetype->boardTerminals() : [] as $terminal) {
            $serving = $profile->serving(Meaning::of($terminal->name, $house->archetype));
            if ($serving !== null) {
                $leads[] = [$serving, $terminal];
            }
        }

        return $leads;
    }
}
