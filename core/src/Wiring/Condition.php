<?php

declare(strict_types=1);

namespace Unionbit\Core\Wiring;

use Unionbit\Core\Words\Message;

/** What is wrong with the copper or the insulation of a conductor, at one of its ends or in the wall. */
enum Condition: string
{
    case Stranded = 'stranded';
    case Exposed = 'exposed';
    case Pinched = 'pinched';
    case Loose = 'loose';
    case Crushed = 'crushed';
    case Open = 'open';
    case Cabinet = 'cabinet';

    /** Where it is damaged can be reached, and a box fits there. */
    case Reachable = 'reachable';

    /** Whether it makes the conductor unfit to carry anything (MR21, MR24). */
    public function isDamage(): bool
    {
        return in_array($this, [self::Crushed, self::Open, self::Cabinet], true);
    }

    public function label(): Message
    {
        return Message::term($this);
    }
}
