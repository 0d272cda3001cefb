<?php

declare(strict_types=1);

namespace Unionbit\Core\Terminal;

/** The three places where a conductor can end and a person can stand. */
enum Place: string
{
    case Wall = 'wall';
    case Indoor = 'indoor';
    case Outdoor = 'outdoor';

    /** How the place is called on the screen. */
    public function label(): string
    {
        return match ($this) {
            self::Wall => 'wall plate',
            self::Indoor => 'indoor board',
            self::Outdoor => 'outdoor unit',
        };
    }
}
