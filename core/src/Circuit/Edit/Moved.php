<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Edit;

use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Netlist\Netlist;
use Unionbit\Core\Words\Message;

/** A conductor end on another screw than its own. */
final readonly class Moved implements CircuitEdit
{
    /** @param  string  $end "A3.near"; $screw a point, "wall.G" */
    public function __construct(private string $end, private string $screw)
    {
    }

    public function apply(Netlist $netlist): Netlist
    {
        return $netlist->changing(
            "{$this->end}.joint",
            fn (Element $joint): Element => Element::copper(
                $joint->id,
                $joint->kind,
                $joint->a,
                $this->screw,
                $joint->ohms,
                $joint->label,
                $joint->subject,
            ),
        );
    }

    public function describe(Netlist $netlist): Message
    {
        return Message::of(
            'circuit.moved.on',
            point: $netlist->point($this->end)->label,
            point2: $netlist->point($this->screw)->phrase(),
        );
    }

    public function holdsOut(): array
    {
        return [];
    }
}
