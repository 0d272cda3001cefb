<?php

declare(strict_types=1);

namespace Unionbit\Core\Wiring;

/** What is wrong with the copper or the insulation of a conductor at one of its ends. */
enum Condition: string
{
    case Stranded = 'stranded';
    case Exposed = 'exposed';
    case Pinched = 'pinched';
    case Loose = 'loose';
    case Crushed = 'crushed';

    public function label(): string
    {
        return match ($this) {
            self::Stranded => 'stranded',
            self::Exposed => 'bare copper outside the screw',
            self::Pinched => 'insulation under the screw',
            self::Loose => 'loose',
            self::Crushed => 'crushed',
        };
    }
}
