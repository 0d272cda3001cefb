<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Edit;

use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Netlist\Netlist;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/** A joint or contact that conducts badly: a loose screw (2–50 Ω), a corroded splice. */
final readonly class Resistive implements CircuitEdit
{
    public function __construct(private Part $part, private float $ohms)
    {
    }

    public function apply(Netlist $netlist): Netlist
    {
        return $netlist->changing(
            $this->part->id,
            fn (Element $e): Element => $e->withImpedance($this->ohms, 0.0, $this->ohms),
        );
    }

    public function describe(Netlist $netlist): Message
    {
        return Message::of(
            'circuit.resistive.loose',
            part: $netlist->part($this->part->id)->label,
            ohms: Quantity::of($this->ohms, Unit::Ohms),
        );
    }

    public function holdsOut(): array
    {
        return [];
    }
}
