<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Netlist;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Thermostat\Profile;
use Unionbit\Core\Wiring\Landing;

/**
 * Builds the netlist of an installation with a thermostat on the wall and its conductors landed as planned:
 * every screw, conductor half, landed end, link, switch, coil and contact, with everything at rest.
 */
final class Assembly
{
    /** Screws of the module for the link to a two-part thermostat's wall unit, whose own are 1, 2 and 3. */
    public const LINK_SCREWS = [1 => 'M1', 2 => 'M2', 3 => 'M3'];

    /** Ohms of a landed end, and of a closed switch or contact. */
    public const END_OHMS = 0.02;

    public const SWITCH_OHMS = 0.05;

    public static function netlist(
        Installation $installation,
        Profile $profile,
        Landing $landing,
        Tolerance $tolerance,
    ): Netlist {
        $net = new NetBuilder($installation);
        foreach ([...$profile->terminals, ...$installation->archetype->terminals] as $screw) {
            $net->screw($screw->point(), $screw->place, $screw->printed);
        }
        $safety = new SafetyParts($net, $installation);
        $thermostat = new ThermostatParts($net, $installation, $profile, $landing, $tolerance, $safety);
        $supply = new SupplyParts($net, $installation, $tolerance);
        $equipment = new EquipmentParts($net, $installation, $landing, $tolerance, $safety, $supply);
        $thermostat->plate();
        $cables = new CableParts($net, $installation, $landing, $safety);
        foreach ($installation->cables as $cable) {
            $cables->add($cable);
        }
        $thermostat->module();
        $thermostat->wallUnit();
        $equipment->equipment();
        // After the equipment: what touches metal must meet the metal itself, not a point that only has its name.
        foreach ($installation->cables as $cable) {
            $cables->damage($cable);
        }
        $equipment->jumpers();

        return $net->netlist();
    }
}
