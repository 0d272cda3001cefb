<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Edit;

use Unionbit\Core\Circuit\Netlist\ElementKind;
use Unionbit\Core\Circuit\Netlist\Netlist;
use Unionbit\Core\Words\Message;

/** Copper or far too large a fuse in the fuse's place: it conducts as a good fuse does, and never opens. */
final readonly class FuseBridged implements CircuitEdit
{
    public function __construct(private string $elementId)
    {
    }

    public function isOf(string $transformerId): bool
    {
        return $this->elementId === "{$transformerId}.fuse";
    }

    public function apply(Netlist $netlist): Netlist
    {
        assert($netlist->element($this->elementId)->kind === ElementKind::Fuse);

        return $netlist;
    }

    public function describe(Netlist $netlist): Message
    {
        return Message::of('circuit.fuse-bridged.cannot-open', element: $netlist->element($this->elementId)->label);
    }

    public function holdsOut(): array
    {
        return [];
    }
}
