<?php

declare(strict_types=1);

namespace Unionbit\Core\Point;

/** By which of its ends a part is meant: of a coil, a switch, a contact on the line, a supply. */
enum Lead: string
{
    case Hot = 'hot';
    case Common = 'common';

    /** Of a switch or a contact. */
    case In = 'in';
    case Out = 'out';

    /** Of a contact on the line side. */
    case ContactA = 'contact-a';
    case ContactB = 'contact-b';

    /** Of a supply: both own leads of its secondary, and behind its fuse. */
    case Winding = 'winding';
    case Return = 'return';
    case Fused = 'fused';

    /** Of its primary: before the door switch, and both leads. */
    case Supply = 'supply';
    case Line = 'line';
    case Neutral = 'neutral';

    /** The clamp round whatever the fuse carries. */
    case Fuse = 'fuse';
}
