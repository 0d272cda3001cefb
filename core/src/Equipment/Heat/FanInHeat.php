<?php

declare(strict_types=1);

namespace Unionbit\Core\Equipment\Heat;

/** Who runs the blower in heat. */
enum FanInHeat: string
{
    case Equipment = 'equipment';
    case Thermostat = 'thermostat';

    /** Nothing that heats needs air. */
    case None = 'none';

    /** As its jumper or its setting is the other way about. */
    public function turned(): self
    {
        return $this === self::Thermostat ? self::Equipment : self::Thermostat;
    }
}
