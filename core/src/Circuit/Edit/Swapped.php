<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Edit;

use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Netlist\Netlist;
use Unionbit\Core\Point\At;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Words\Message;

/** Two conductor ends on each other's screws. */
final readonly class Swapped implements CircuitEdit
{
    /** @param  At  $a conductor end, "A3.far"; $b likewise */
    public function __construct(private At $a, private At $b)
    {
    }

    public function apply(Netlist $netlist): Netlist
    {
        $first = $netlist->part(Part::joint($this->a)->id);
        $second = $netlist->part(Part::joint($this->b)->id);

        return $netlist
            ->changing($first->id, static fn (): Element => self::onto($first, $second->b))
            ->changing($second->id, static fn (): Element => self::onto($second, $first->b));
    }

    public function describe(Netlist $netlist): Message
    {
        return Message::of(
            'circuit.swapped.swapped-at',
            point: $netlist->point($this->a->id)->label,
            point2: $netlist->point($this->b->id)->label,
            place: $netlist->point($this->a->id)->place?->label() ?? 'splice',
        );
    }

    public function holdsOut(): array
    {
        return [];
    }

    private static function onto(Element $joint, string $screw): Element
    {
        return Element::copper(
            $joint->id,
            $joint->kind,
            $joint->a,
            $screw,
            $joint->ohms,
            $joint->label,
            $joint->subject,
        );
    }
}
