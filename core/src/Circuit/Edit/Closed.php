<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Edit;

use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Netlist\Netlist;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Words\Message;

/** A switch or contact that stays closed whatever it is told. */
final readonly class Closed implements CircuitEdit
{
    private const STUCK_OHMS = 0.05;

    public function __construct(private Part $part)
    {
    }

    public function apply(Netlist $netlist): Netlist
    {
        return $netlist->changing(
            $this->part->id,
            static fn (Element $e): Element => $e->withImpedance(self::STUCK_OHMS, 0.0, self::STUCK_OHMS),
        );
    }

    public function describe(Netlist $netlist): Message
    {
        return Message::of('circuit.closed.stuck-closed', part: $netlist->part($this->part->id)->label);
    }

    public function holdsOut(): array
    {
        return [];
    }
}
