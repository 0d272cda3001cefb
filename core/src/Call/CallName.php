<?php

declare(strict_types=1);

namespace Unionbit\Core\Call;

use Unionbit\Core\Words\Message;

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
    case Humidify = 'humidify';
    case Dehumidify = 'dehumidify';
    case Defrost = 'defrost';

    public function label(): Message
    {
        return Message::term($this);
    }

    public function isCooling(): bool
    {
        return in_array($this, [self::Cool1, self::Cool2, self::Dehumidify], true);
    }

    public function isHeating(): bool
    {
        return ! $this->isCooling() && ! in_array($this, [self::Idle, self::Fan, self::Humidify], true);
    }

    public function isFurnace(): bool
    {
        return $this === self::Furnace1 || $this === self::Furnace2;
    }

    public function isAuxiliary(): bool
    {
        return $this === self::Aux1 || $this === self::Aux2;
    }

    /** The mode of the equipment that belongs to it: the outdoor board, not the thermostat, starts a defrost. */
    public function mode(): ?string
    {
        return $this === self::Defrost ? 'defrost' : null;
    }

    /**
     * What may run instead of it where it is given up, nearest first. Heating never becomes cooling.
     *
     * @return list<self>
     */
    public function lesser(): array
    {
        return match ($this) {
            self::Fan => [self::Idle],
            self::Cool1, self::Heat1, self::Emergency, self::Furnace1 => [self::Idle, self::Fan],
            self::Cool2 => [self::Cool1, self::Idle, self::Fan],
            self::Heat2 => [self::Heat1, self::Idle, self::Fan],
            self::Furnace2 => [self::Furnace1, self::Idle, self::Fan],
            self::Aux1 => [self::Heat2, self::Heat1],
            self::Humidify => [self::Fan, self::Idle, self::Heat1, self::Furnace1],
            self::Dehumidify => [self::Cool1, self::Idle, self::Fan],
            self::Aux2 => [self::Aux1, self::Heat2, self::Heat1],
            self::Idle, self::Defrost => [],
        };
    }

    /** Its next stage; null where it has none. */
    public function higher(): ?self
    {
        return match ($this) {
            self::Cool1 => self::Cool2,
            self::Heat1 => self::Heat2,
            self::Furnace1 => self::Furnace2,
            self::Aux1 => self::Aux2,
            default => null,
        };
    }
}
