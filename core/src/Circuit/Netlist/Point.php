<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Netlist;

use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Words\Message;

/** A named point that a probe can be put on. */
final readonly class Point
{
    /**
     * @param  ?Message  $where  what its place is called in this house; null where it has none
     * @param  ?string  $terminal  as printed, for a screw
     * @param  ?string  $conductor  "A4", for the tip of a conductor
     */
    public function __construct(
        public string $id,
        public PointKind $kind,
        public ?Place $place,
        public ?Message $where,
        public Message $label,
        public bool $probeable,
        public ?string $terminal = null,
        public ?string $conductor = null,
    ) {
    }

    /** Line voltage stands there while the power is on. */
    public function isLine(): bool
    {
        return $this->kind === PointKind::Line;
    }

    /** "Y1 at the wall plate", "Y at the attic air handler" */
    public function phrase(): Message
    {
        return $this->where === null
            ? $this->label
            : Message::of('circuit.point.at', label: $this->label, place: $this->where);
    }
}
