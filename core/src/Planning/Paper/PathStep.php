<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Paper;

use Unionbit\Core\Circuit\Netlist\Point;
use Unionbit\Core\Words\Message;

/** One thing that the current goes through. */
final readonly class PathStep
{
    /**
     * @param  string  $kind  screw, conductor, splice, fuse, switch, float, contact or tie (a link too)
     * @param  string  $subject  the conductor, the device, or the point
     * @param  string  $letter  of a screw, as printed
     * @param  ?Message  $where  what a screw's place is called
     */
    public function __construct(
        public string $kind,
        public Message $label,
        public string $subject,
        public string $letter = '',
        public ?Message $where = null,
    ) {
    }

    public static function screw(Point $point): self
    {
        return new self('screw', $point->phrase(), $point->id, $point->terminal ?? '', $point->where);
    }
}
