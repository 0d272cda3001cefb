<?php

declare(strict_types=1);

namespace Unionbit\Core\Fault;

/** What kind of work ends a fault, where it is not work on the part itself. */
enum Doing: string
{
    /** A delay that runs out by itself. */
    case Wait = 'wait';
    /** A new fuse: what blew it is another fault. */
    case Fuse = 'fuse';
    /** Every call goes through it. */
    case Thermostat = 'thermostat';
}
