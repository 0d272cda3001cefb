<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Edit;

use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Netlist\Netlist;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Words\Message;

/** Turns shorted inside a coil: 0.3 of its rest impedance at 85 % of its ohms; it draws much and does not pull. */
final readonly class ShortedTurns implements CircuitEdit
{
    public function __construct(private Part $part, private float $ac = 0.3, private float $dc = 0.85)
    {
    }

    public function apply(Netlist $netlist): Netlist
    {
        return $netlist->changing(
            $this->part->id,
            fn (Element $coil): Element => $coil->withImpedance(
                $this->ac * $coil->ohms,
                $this->ac * $coil->reactance,
                $this->dc * $coil->dcOhms,
            ),
        );
    }

    public function describe(Netlist $netlist): Message
    {
        return Message::of(
            'circuit.shorted-turns.coil-has-shorted-turns',
            part: $netlist->part($this->part->id)->label,
        );
    }

    public function holdsOut(): array
    {
        return [$this->part->id];
    }
}
