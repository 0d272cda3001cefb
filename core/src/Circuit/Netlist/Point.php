<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Netlist;

use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Words\Message;

/** A named point that a probe can be put on. */
final readonly class Point
{
    /**
     * @param  ?string  $terminal  as printed, for a screw
     * @param  bool  $line  line voltage stands there while the power is on
     * @param  ?string  $conductor  "A4", for the tip of a conductor
     */
    public function __construct(
        public string $id,
        public ?Place $place,
        public Message $label,
        public ?string $terminal,
        public ?string $conductor,
        public bool $probeable,
        public bool $line = false,
    ) {
    }

    /** "Y1 at the wall plate" */
    public function phrase(): Message
    {
        return $this->place === null
            ? $this->label
            : Message::of('circuit.point.at', label: $this->label, place: $this->place->label());
    }
}
