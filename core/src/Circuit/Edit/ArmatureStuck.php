<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Edit;

use Unionbit\Core\Circuit\Netlist\Netlist;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Words\Message;

/** The coil is good and gets its voltage, but nothing moves: a stuck armature, a stuck valve, a dead motor module. */
final readonly class ArmatureStuck implements CircuitEdit
{
    public function __construct(private Part $part)
    {
    }

    public function apply(Netlist $netlist): Netlist
    {
        return $netlist;
    }

    public function describe(Netlist $netlist): Message
    {
        return Message::of('circuit.armature-stuck.does-not-move', part: $netlist->part($this->part->id)->label);
    }

    public function holdsOut(): array
    {
        return [$this->part->id];
    }
}
