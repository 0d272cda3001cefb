<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\World;

use Unionbit\Core\Words\Message;

/** What can be answered to something seen, heard or felt. */
enum Said: string
{
    case Yes = 'yes';
    case No = 'no';
    case Chatters = 'chatters';
    case Hums = 'hums';
    case Resets = 'resets';
    case On = 'on';
    case Off = 'off';
    case Whole = 'whole';
    case Open = 'open';
    case None = 'none';
    case Holds = 'holds';
    case Trips = 'trips';
    case Warm = 'warm';
    case Cold = 'cold';
    case Hot = 'hot';
    case Smells = 'smells';

    public function label(): Message
    {
        return Message::term($this);
    }
}
