<?php

declare(strict_types=1);

namespace Unionbit\Core\Wiring;

use Unionbit\Core\Words\Message;

/** How a cable lies, which decides whether a new one can be pulled with it. */
enum Run: string
{
    case Loose = 'loose';
    case Stapled = 'stapled';
    case Buried = 'buried';
    case Blocked = 'blocked';

    /** It comes along when its end is pulled. */
    public function pulls(): bool
    {
        return $this === self::Loose;
    }

    public function label(): Message
    {
        return Message::term($this);
    }
}
