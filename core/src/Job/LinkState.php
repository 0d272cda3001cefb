<?php

declare(strict_types=1);

namespace Unionbit\Core\Job;

/** The Rc–Rh link of a plate, as found. */
enum LinkState: string
{
    case In = 'in';
    case Out = 'out';
    case NotThere = 'none';
    case Unknown = 'unknown';

    public function label(): string
    {
        return match ($this) {
            self::In => 'link in',
            self::Out => 'link out',
            self::NotThere => 'one R screw, no link',
            self::Unknown => 'not looked at',
        };
    }
}
