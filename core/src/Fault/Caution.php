<?php

declare(strict_types=1);

namespace Unionbit\Core\Fault;

use Unionbit\Core\Words\Message;

/** What can hurt somebody in a repair. */
enum Caution: string
{
    case Isolate = 'isolate';
    case Capacitor = 'capacitor';
    case Line = 'line';
    case LineParts = 'line-parts';
    case Gas = 'gas';
    case Refrigerant = 'refrigerant';
    case SafetySwitch = 'safety-switch';
    case LargerFuse = 'no-larger-fuse';
    case Door = 'door';

    public function label(): Message
    {
        return Message::term($this);
    }
}
