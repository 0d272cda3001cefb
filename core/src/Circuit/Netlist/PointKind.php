<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Netlist;

/** What a probe touches at a point. */
enum PointKind: string
{
    case Screw = 'screw';

    /** The tip of a conductor. */
    case Conductor = 'conductor';

    /** A supply's own lead, or a side of its fuse. */
    case Supply = 'supply';

    /** Line voltage stands there while the power is on. */
    case Line = 'line';

    /** The sheet metal of a unit. */
    case Metal = 'metal';

    /** Between the parts inside a unit. */
    case Inside = 'inside';
}
