<?php

declare(strict_types=1);

namespace Unionbit\Core\Equipment;

use Unionbit\Core\Words\Message;

/** What a person sees or hears of a load that has pulled in. */
enum Observable: string
{
    case Blower = 'blower';
    case OutdoorUnit = 'outdoor-unit';
    case SecondStage = 'second-stage';
    case Burner = 'burner';
    case HighBurner = 'high-burner';
    case Boiler = 'boiler';
    case Strip = 'strip';
    case Strip2 = 'strip-2';
    case Valve = 'valve';
    case WaterValve = 'water-valve';
    case ZoneValve = 'zone-valve';
    case Humidifier = 'humidifier';

    public function label(): Message
    {
        return Message::term($this);
    }

    public function isStrip(): bool
    {
        return $this === self::Strip || $this === self::Strip2;
    }

    /** Heat of the indoor unit's own that needs air over it, whoever starts the blower. */
    public function needsAir(): bool
    {
        return $this === self::Burner || $this->isStrip();
    }
}
