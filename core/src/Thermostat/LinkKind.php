<?php

declare(strict_types=1);

namespace Unionbit\Core\Thermostat;

/** How the two hots of a plate are joined. */
enum LinkKind: string
{
    case Removable = 'removable';
    case Slide = 'slide';
    case Automatic = 'automatic';
    case None = 'none';
}
