<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Edit;

use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Netlist\Netlist;
use Unionbit\Core\Point\At;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Words\Message;

/** A conductor end on another screw than its own. */
final readonly class Moved implements CircuitEdit
{
    /** @param  At  $end "A3.near"; $screw "wall.G" */
    public function __construct(private At $end, private At $screw)
    {
    }

    public function apply(Netlist $netlist): Netlist
    {
        return $netlist->changing(
            Part::joint($this->end)->id,
            fn (Element $joint): Element => Element::copper(
                $joint->id,
                $joint->kind,
                $joint->a,
                $this->screw->id,
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
            point: $netlist->point($this->end->id)->label,
            point2: $netlist->point($this->screw->id)->phrase(),
        );
    }

    public function holdsOut(): array
    {
        return [];
    }
}
