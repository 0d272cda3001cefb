<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Paper;

use Unionbit\Core\Words\Message;

/** One thing that the current goes through. */
final readonly class PathStep
{
    /**
     * @param  string  $kind  screw, conductor, splice, fuse, switch, float, contact or tie (a link too)
     * @param  string  $subject  the conductor, the device, or the point
     */
    public function __construct(public string $kind, public Message $label, public string $subject)
    {
    }
}
