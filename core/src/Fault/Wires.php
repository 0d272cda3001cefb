<?php

declare(strict_types=1);

namespace Unionbit\Core\Fault;

/** Which wires come off where something is exchanged. */
enum Wires: string
{
    /** Every wire at its place: a board, a thermostat. */
    case OfPlace = 'place';
    /** The leads of the part alone: a contactor, a relay, a coil. */
    case OfPart = 'part';
}
