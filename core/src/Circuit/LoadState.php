<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit;

use Unionbit\Core\Words\Message;

/** What the armature or the input of a load does. */
enum LoadState: string
{
    case Rest = 'rest';
    case PulledIn = 'in';
    case Buzzing = 'buzzing';
    case Chattering = 'chattering';

    public function label(): Message
    {
        return Message::term($this);
    }
}
