<?php

declare(strict_types=1);

namespace Unionbit\Core\Call;

use Unionbit\Core\Equipment\Dehumidify;
use Unionbit\Core\Equipment\Heat\FanInHeat;

/** The settings that decide which terminals a call closes. */
final readonly class CallSettings
{
    /**
     * @param  string  $equipmentType  conventional, heat-pump, dual-fuel, heat-only or cool-only
     * @param  string  $valve  O (energised in cooling) or B (energised in heating)
     * @param  ?int  $outdoorStages  as set; null where the thermostat has no such setting
     * @param  ?int  $heatStages  as set, of a conventional system or a dual-fuel furnace
     * @param  ?int  $auxiliaryStages  as set
     * @param  ?Dehumidify  $dehumidify  as set; null where it is as the equipment has it
     * @param  ?bool  $auxiliaryWithCompressor  as set: backup heat joins the compressor, or takes its place
     */
    public function __construct(
        public string $equipmentType = 'conventional',
        public FanInHeat $fanInHeat = FanInHeat::Equipment,
        public string $valve = 'O',
        public ?int $outdoorStages = null,
        public ?int $heatStages = null,
        public ?int $auxiliaryStages = null,
        public ?bool $auxiliaryWithCompressor = null,
        public ?Dehumidify $dehumidify = null,
    ) {
    }
}
