<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\World;

use Unionbit\Core\Words\Message;

/** What can be seen, heard or felt of a house: what runs, and what else a person looks at. */
enum Seen: string
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
    case Display = 'display';
    case Lamp = 'board-lamp';
    case Fuse = 'fuse';
    case Breaker = 'breaker';
    case Transformer = 'transformer';
    case Line = 'line';

    public function label(): Message
    {
        return Message::term($this);
    }
}
