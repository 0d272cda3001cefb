<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Edit;

use Unionbit\Core\Circuit\Netlist\ElementKind;
use Unionbit\Core\Circuit\Netlist\Netlist;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Words\Message;

/** Copper or far too large a fuse in the fuse's place: it conducts as a good fuse does, and never opens. */
final readonly class FuseBridged implements CircuitEdit
{
    public function __construct(private Part $fuse)
    {
    }

    public function isOf(string $transformerId): bool
    {
        return $this->fuse->id === Part::fuse($transformerId)->id;
    }

    public function apply(Netlist $netlist): Netlist
    {
        assert($netlist->element($this->fuse->id)->kind === ElementKind::Fuse);

        return $netlist;
    }

    public function describe(Netlist $netlist): Message
    {
        return Message::of('circuit.fuse-bridged.cannot-open', element: $netlist->element($this->fuse->id)->label);
    }

    public function holdsOut(): array
    {
        return [];
    }
}
