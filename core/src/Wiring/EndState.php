<?php

declare(strict_types=1);

namespace Unionbit\Core\Wiring;

/** What the end of a conductor is doing. */
enum EndState: string
{
    case Landed = 'landed';
    case Spare = 'spare';
    case Capped = 'capped';
    case CutShort = 'cut';
    case BrokenOff = 'broken';
    case Spliced = 'spliced';
}
