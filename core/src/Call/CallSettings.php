<?php

declare(strict_types=1);

namespace Unionbit\Core\Call;

/** The settings that decide which terminals a call closes. */
final readonly class CallSettings
{
    /**
     * @param  string  $equipmentType  conventional, heat-pump, dual-fuel, heat-only or cool-only
     * @param  string  $fanInHeat  none, equipment or thermostat
     * @param  string  $valve  O (energised in cooling) or B (energised in heating)
     */
    public function __construct(
        public string $equipmentType = 'conventional',
        public string $fanInHeat = 'equipment',
        public string $valve = 'O',
    ) {
    }
}
