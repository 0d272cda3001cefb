<?php

declare(strict_types=1);

namespace Unionbit\Core\Thermostat;

/** How a thermostat is reached from elsewhere. */
enum RemoteControl: string
{
    case None = 'none';
    case OwnRadio = 'own radio';
    case Bridge = 'bridge';
}
