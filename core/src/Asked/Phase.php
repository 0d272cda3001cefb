<?php

declare(strict_types=1);

namespace Unionbit\Core\Asked;

/** How far a call has come when it is read. */
enum Phase: string
{
    /** Everything that follows later has followed. */
    case Settled = 'settled';

    /** Before contacts that follow their driver later have moved: the outdoor delay, the valve step. */
    case Early = 'early';

    /** The thermostat's own minimum off still holds the compressor back. */
    case HeldBack = 'held-back';
}
