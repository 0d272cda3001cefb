<?php

declare(strict_types=1);

namespace Unionbit\Core\Thermostat;

use Unionbit\Core\Words\Message;

/** Where a thermostat takes its own power from. */
enum PowerKind: string
{
    case Battery = 'battery';
    case Common = 'common';
    case CommonOrBattery = 'common-or-battery';
    case Shared = 'shared';

    public function label(): Message
    {
        return Message::term($this);
    }
}
