<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Edit;

use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Netlist\Netlist;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Words\Message;

/** A burnt coil: one factor k of its rest impedance and of its ohms; the armature does not pull. */
final readonly class CoilShorted implements CircuitEdit
{
    public function __construct(private Part $part, private float $k = 0.075)
    {
    }

    public function apply(Netlist $netlist): Netlist
    {
        return $netlist->changing(
            $this->part->id,
            fn (Element $coil): Element => $coil->withImpedance(
                $this->k * $coil->ohms,
                $this->k * $coil->reactance,
                $this->k * $coil->dcOhms,
            ),
        );
    }

    public function describe(Netlist $netlist): Message
    {
        return Message::of('circuit.coil-shorted.coil-shorted', part: $netlist->part($this->part->id)->label);
    }

    public function holdsOut(): array
    {
        return [$this->part->id];
    }
}
