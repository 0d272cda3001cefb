<?php

declare(strict_types=1);

namespace Unionbit\Core\Fault;

/** How often a fault is met. */
enum Prior: string
{
    case Common = 'common';
    case Occasional = 'occasional';
    case Rare = 'rare';

    /** How much more often it is met than a rare one; our working figures. */
    public function weight(): float
    {
        return match ($this) {
            self::Common => 9.0,
            self::Occasional => 3.0,
            self::Rare => 1.0,
        };
    }

    /** Commonest first: 0 for common. */
    public function rank(): int
    {
        return match ($this) {
            self::Common => 0,
            self::Occasional => 1,
            self::Rare => 2,
        };
    }
}
