<?php

declare(strict_types=1);

namespace Unionbit\Core\Equipment;

/** What makes an archetype a heat pump. */
final readonly class HeatPump
{
    /**
     * @param  string  $valve  O (energised in cooling) or B (energised in heating)
     * @param  int  $auxiliaryStages  strips; a furnace behind a heat pump counts as heat stages of the archetype
     * @param  string  $emergency  own (E has its own relay), tied (E joined to W in the unit) or none
     */
    public function __construct(public string $valve, public int $auxiliaryStages, public string $emergency)
    {
    }
}
