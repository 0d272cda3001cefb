<?php

declare(strict_types=1);

namespace Unionbit\Core\Terminal;

use Unionbit\Core\Words\Message;

/**
 * Places where a person can stand before a terminal. A house has as many of them as it has; what each of them is called
 * there ("attic air handler") is said by the house, {@see \Unionbit\Core\Job\Installation::placeName()}.
 */
enum Place: string
{
    case Wall = 'wall';
    case Indoor = 'indoor';
    case Outdoor = 'outdoor';
    case Module = 'module';
    case Indoor2 = 'indoor-2';
    case Indoor3 = 'indoor-3';
    case Outdoor2 = 'outdoor-2';
    case Wall2 = 'wall-2';
    case ZonePanel = 'zone-panel';
    case Boiler = 'boiler';
    case Humidifier = 'humidifier';
    case Ventilator = 'ventilator';
    case Relay = 'relay';
    case Pump = 'pump';

    /** Places that a survey can add to a house; the others come with its thermostat. */
    public const ADDED = [
        self::Indoor2,
        self::Indoor3,
        self::Outdoor2,
        self::ZonePanel,
        self::Boiler,
        self::Humidifier,
        self::Ventilator,
        self::Relay,
        self::Pump,
    ];

    /** How the place is called on the screen. */
    public function label(): Message
    {
        return Message::term($this);
    }

    /** An outdoor unit stands here, in the weather. */
    public function isOutdoors(): bool
    {
        return $this === self::Outdoor || $this === self::Outdoor2;
    }
}
