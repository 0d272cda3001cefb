<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Netlist;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Point\At;
use Unionbit\Core\Point\Part;

/** Switches that somebody put into the conductors from the wall or to the outdoor unit, or into the coil of a relay. */
final readonly class SafetyParts
{
    public function __construct(private NetBuilder $net, private Installation $installation)
    {
    }

    /** A switch in a conductor stands between its end and the screw where it lands. */
    public function before(string $screw): string
    {
        foreach ($this->installation->facts->safety as $device) {
            foreach ($device->breaks as $printed) {
                if ($screw !== $device->point($printed)) {
                    continue;
                }
                if (! $device->relay) {
                    $this->net->copper(
                        Part::contactOf($device->id, count($device->breaks) > 1 ? $printed : null)->id,
                        ElementKind::SafetySwitch,
                        At::before($device->screw($printed), $device->id)->id,
                        $screw,
                        Assembly::SWITCH_OHMS,
                        $device->name(),
                        $device->id,
                    );
                }

                return At::before($device->screw($printed), $device->id)->id;
            }
        }

        return $screw;
    }
}
