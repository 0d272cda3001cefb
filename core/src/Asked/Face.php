<?php

declare(strict_types=1);

namespace Unionbit\Core\Asked;

/** The thermostat at the wall: on its base, its face off, or the whole of it off its wires. */
enum Face: string
{
    case On = 'on';
    case Off = 'off';
    case Bare = 'bare';
}
