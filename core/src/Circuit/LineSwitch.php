<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit;

use Unionbit\Core\Words\Message;

/** What a person switches off on the line side, and has to switch on again. */
enum LineSwitch: string
{
    case IndoorBreaker = 'indoor-breaker';
    case OutdoorBreaker = 'outdoor-breaker';
    case ServiceSwitch = 'service-switch';
    case Disconnect = 'disconnect';

    /** Whether a house without an outdoor unit has it. */
    public function isIndoors(): bool
    {
        return $this === self::IndoorBreaker || $this === self::ServiceSwitch;
    }

    public function label(): Message
    {
        return Message::term($this);
    }
}
