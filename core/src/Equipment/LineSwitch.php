<?php

declare(strict_types=1);

namespace Unionbit\Core\Equipment;

use Unionbit\Core\Words\Message;

/** A safety or service switch in the control circuit: limit, float, pressure, door. Closed when all is well. */
final readonly class LineSwitch
{
    public function __construct(public string $id, public Message $label, public string $from, public string $to)
    {
    }
}
