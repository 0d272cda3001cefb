<?php

declare(strict_types=1);

namespace Unionbit\Core\Asked\Show;

use Unionbit\Core\Words\Message;

/** What a person looks at or feels of a house beside what runs. */
enum Sense: string
{
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
