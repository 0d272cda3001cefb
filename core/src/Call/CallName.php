<?php

declare(strict_types=1);

namespace Unionbit\Core\Call;

/** A call that a thermostat can make, or a state that the outdoor unit makes by itself (defrost). */
enum CallName: string
{
    case Idle = 'idle';
    case Fan = 'fan';
    case Cool1 = 'cool-1';
    case Cool2 = 'cool-2';
    case Heat1 = 'heat-1';
    case Heat2 = 'heat-2';
    case Aux1 = 'aux-1';
    case Aux2 = 'aux-2';
    case Emergency = 'emergency';
    case Furnace1 = 'furnace-1';
    case Furnace2 = 'furnace-2';
    case Defrost = 'defrost';

    public function label(): string
    {
        return match ($this) {
            self::Idle => 'At rest',
            self::Fan => 'Fan',
            self::Cool1 => 'Cool 1',
            self::Cool2 => 'Cool 2',
            self::Heat1 => 'Heat 1',
            self::Heat2 => 'Heat 2',
            self::Aux1 => 'Heat + aux',
            self::Aux2 => 'Heat + aux 2',
            self::Emergency => 'Emergency',
            self::Furnace1 => 'Furnace 1',
            self::Furnace2 => 'Furnace 2',
            self::Defrost => 'Defrost',
        };
    }

    public function isCooling(): bool
    {
        return $this === self::Cool1 || $this === self::Cool2;
    }

    public function isHeating(): bool
    {
        return ! $this->isCooling() && $this !== self::Idle && $this !== self::Fan;
    }

    /** The mode of the equipment that belongs to it: the outdoor board, not the thermostat, starts a defrost. */
    public function mode(): ?string
    {
        return $this === self::Defrost ? 'defrost' : null;
    }
}
