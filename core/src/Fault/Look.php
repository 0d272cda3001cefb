<?php

declare(strict_types=1);

namespace Unionbit\Core\Fault;

use Unionbit\Core\Words\Message;

/** What shows a fault by looking, pulling or comparing, where no reading with the house together does. */
enum Look: string
{
    case Fuse = 'fuse';
    case Tap = 'tap';
    case Link = 'link';
    case Spares = 'spares';
    case Settings = 'settings';
    case Tug = 'tug';
    case TugOnward = 'tug-onward';
    case Strands = 'strands';
    case FanJumper = 'fan-jumper';
    /** Cable lifted at both ends: each conductor against every other and the cabinet, by ohms. */
    case Apart = 'apart';
    /** Cable lifted, pairs twisted at the far end: each pair against the ohms of its length. */
    case Loop = 'loop';

    public function label(): Message
    {
        return Message::term($this);
    }

    /** With the power off, the cable lifted at both ends. */
    public function isDead(): bool
    {
        return $this === self::Apart || $this === self::Loop;
    }
}
