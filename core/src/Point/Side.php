<?php

declare(strict_types=1);

namespace Unionbit\Core\Point;

/** Which end of a conductor: the one where its cable begins, or the one where it ends. */
enum Side: string
{
    case Near = 'near';
    case Far = 'far';

    public function other(): self
    {
        return $this === self::Near ? self::Far : self::Near;
    }
}
