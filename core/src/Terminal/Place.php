<?php

declare(strict_types=1);

namespace Unionbit\Core\Terminal;

use Unionbit\Core\Words\Message;

/**
 * Places where a terminal can be: wall, indoor unit, outdoor unit, and a two-part thermostat's module or a receiver.
 */
enum Place: string
{
    case Wall = 'wall';
    case Indoor = 'indoor';
    case Outdoor = 'outdoor';
    case Module = 'module';

    /** How the place is called on the screen. */
    public function label(): Message
    {
        return Message::term($this);
    }
}
