<?php

declare(strict_types=1);

namespace Unionbit\Core\Wiring;

use Unionbit\Core\Words\Message;

/** What is wrong with the copper or the insulation of a conductor at one of its ends. */
enum Condition: string
{
    case Stranded = 'stranded';
    case Exposed = 'exposed';
    case Pinched = 'pinched';
    case Loose = 'loose';
    case Crushed = 'crushed';

    public function label(): Message
    {
        return Message::term($this);
    }
}
