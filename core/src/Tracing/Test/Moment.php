<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Test;

use Unionbit\Core\Words\Message;

/** When in the sequence of a call something happened: a fuse opened, a relay chattered, it went dark. */
enum Moment: string
{
    case AtOnce = 'at-once';
    case OnCall = 'on-call';
    case AfterDelay = 'after-delay';
    case AtValve = 'at-valve';
    case AtDefrost = 'at-defrost';
    case AfterMinutes = 'after-minutes';

    public function label(): Message
    {
        return Message::term($this);
    }
}
