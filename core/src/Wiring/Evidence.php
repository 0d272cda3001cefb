<?php

declare(strict_types=1);

namespace Unionbit\Core\Wiring;

use Unionbit\Core\Words\Message;

/** How it is known that the two ends of a conductor belong together. */
enum Evidence: string
{
    case Seen = 'seen';
    case Traced = 'traced';
    case ColourOnly = 'colour';
    case Unknown = 'unknown';

    public function label(): Message
    {
        return Message::term($this);
    }

    /** Whether a plan may rest on it without a trace first (SC11). */
    public function isProof(): bool
    {
        return $this === self::Seen || $this === self::Traced;
    }
}
