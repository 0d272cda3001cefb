<?php

declare(strict_types=1);

namespace Unionbit\Core\Fault;

use Unionbit\Core\Words\Message;

/** When a house does what is complained of. */
enum ToldWhen: string
{
    case Now = 'now';
    case AtTimes = 'at-times';
    case AtStart = 'at-start';
    case AfterMinutes = 'after-minutes';

    public function label(): Message
    {
        return Message::term($this);
    }
}
