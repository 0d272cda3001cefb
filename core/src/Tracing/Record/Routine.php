<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Record;

use Unionbit\Core\Words\Message;

/** A hunt in the order in which a master goes, one big step at a time; its steps are tests like any other. */
enum Routine: string
{
    case CheapLooks = 'cheap-looks';
    case HotAtPlaces = 'hot-at-places';
    case LostCommon = 'lost-common';
    case OutdoorChain = 'outdoor-chain';
    case ShortHunt = 'short-hunt';
    case BlowerRuns = 'blower-runs';
    case Intermittent = 'intermittent';

    public function label(): Message
    {
        return Message::term($this);
    }
}
