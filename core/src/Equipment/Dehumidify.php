<?php

declare(strict_types=1);

namespace Unionbit\Core\Equipment;

/** How equipment is told to dehumidify: by a signal that opens, by one that closes, or not at all. */
enum Dehumidify: string
{
    case None = 'none';
    case Opens = 'opens';
    case Closes = 'closes';
}
