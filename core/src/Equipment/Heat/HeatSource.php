<?php

declare(strict_types=1);

namespace Unionbit\Core\Equipment\Heat;

/** What makes the heat of some equipment, beside a compressor. */
enum HeatSource: string
{
    case Gas = 'gas';
    case Oil = 'oil';
    case Electric = 'electric';
    case Hydronic = 'hydronic';
    case None = 'none';

    /** Whether it burns something. */
    public function burns(): bool
    {
        return $this === self::Gas || $this === self::Oil;
    }
}
