<?php

declare(strict_types=1);

namespace Unionbit\Core\Wiring;

use Unionbit\Core\Point\At;
use Unionbit\Core\Point\Side;
use Unionbit\Core\Terminal\Place;

/** One end of one conductor in its cable. */
final readonly class Tip
{
    public function __construct(public Cable $cable, public Conductor $conductor, public Side $side)
    {
    }

    public function end(): End
    {
        return $this->conductor->end($this->side);
    }

    public function place(): Place
    {
        return $this->cable->placeAt($this->side);
    }

    public function at(): At
    {
        return At::end($this->conductor->id(), $this->side);
    }

    /** The other end of the same conductor. */
    public function other(): self
    {
        return new self($this->cable, $this->conductor, $this->side->other());
    }
}
