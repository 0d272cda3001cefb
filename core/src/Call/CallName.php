<?php

declare(strict_types=1);

namespace Unionbit\Core\Call;

/** A call that a thermostat can make. */
enum CallName: string
{
    case Idle = 'idle';
    case Fan = 'fan';
    case Cool1 = 'cool-1';
    case Cool2 = 'cool-2';
    case Heat1 = 'heat-1';
    case Heat2 = 'heat-2';

    public function label(): string
    {
        return match ($this) {
            self::Idle => 'At rest',
            self::Fan => 'Fan',
            self::Cool1 => 'Cool 1',
            self::Cool2 => 'Cool 2',
            self::Heat1 => 'Heat 1',
            self::Heat2 => 'Heat 2',
        };
    }

    public function isCooling(): bool
    {
        return $this === self::Cool1 || $this === self::Cool2;
    }

    public function isHeating(): bool
    {
        return $this === self::Heat1 || $this === self::Heat2;
    }
}
