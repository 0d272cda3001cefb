<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Netlist;

use Unionbit\Core\Terminal\Place;

/** A named point that a probe can be put on. */
final readonly class Point
{
    /**
     * @param  ?string  $terminal  as printed, for a screw
     * @param  ?string  $conductor  "A4", for the tip of a conductor
     */
    public function __construct(
        public string $id,
        public ?Place $place,
        public string $label,
        public ?string $terminal,
        public ?string $conductor,
        public bool $probeable,
    ) {
    }

    /** "Y1 at the wall plate" */
    public function phrase(): string
    {
        return $this->place === null ? $this->label : $this->label.' at the '.$this->place->label();
    }
}
