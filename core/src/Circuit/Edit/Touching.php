<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Edit;

use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Netlist\ElementKind;
use Unionbit\Core\Circuit\Netlist\Netlist;
use Unionbit\Core\Point\At;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Words\Message;

/** Two points that touch: conductors in a cable, a conductor and the cabinet. */
final readonly class Touching implements CircuitEdit
{
    /** @param  float  $ohms of the contact; bare copper on copper 0.05 Ω */
    public function __construct(private At $a, private At $b, private float $ohms = 0.05)
    {
    }

    /** @return array{At, At} the points that touch */
    public function points(): array
    {
        return [$this->a, $this->b];
    }

    public function apply(Netlist $netlist): Netlist
    {
        return $netlist->with(
            Element::copper(
                Part::touch($this->a, $this->b)->id,
                ElementKind::Touch,
                $this->a->id,
                $this->b->id,
                $this->ohms,
                Message::of('circuit.touching.place-where-they-touch'),
                'touch',
            ),
        );
    }

    public function describe(Netlist $netlist): Message
    {
        return Message::of(
            'circuit.touching.touches',
            point: $netlist->point($this->a->id)->label,
            point2: $netlist->point($this->b->id)->label,
        );
    }

    public function holdsOut(): array
    {
        return [];
    }
}
