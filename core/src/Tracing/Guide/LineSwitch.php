<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Guide;

use Unionbit\Core\Words\Message;

/** What a person switches off on the line side while tracing, and has to switch on again. */
enum LineSwitch: string
{
    case IndoorBreaker = 'indoor-breaker';
    case OutdoorBreaker = 'outdoor-breaker';
    case ServiceSwitch = 'service-switch';
    case Disconnect = 'disconnect';

    public function label(): Message
    {
        return Message::term($this);
    }
}
