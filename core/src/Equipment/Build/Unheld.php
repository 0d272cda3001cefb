<?php

declare(strict_types=1);

namespace Unionbit\Core\Equipment\Build;

use Unionbit\Core\Words\Message;

/** Units that together are no equipment that can be planned for: said so, and never turned into another house. */
final class Unheld extends \DomainException
{
    public function __construct(public readonly Message $why)
    {
        parent::__construct($why->code);
    }
}
