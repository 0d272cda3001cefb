<?php

declare(strict_types=1);

namespace Unionbit\Core\Job;

use Unionbit\Core\Words\Message;

/** The Rc–Rh link of a plate, as found. */
enum LinkState: string
{
    case In = 'in';
    case Out = 'out';
    case NotThere = 'none';
    case Unknown = 'unknown';

    public function label(): Message
    {
        return Message::term($this);
    }
}
