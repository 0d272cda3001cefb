<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Edit;

use Unionbit\Core\Circuit\Netlist\Netlist;
use Unionbit\Core\Words\Message;

/** A fuse of a larger rating than the board calls for: it opens later, or not at all. */
final readonly class FuseScaled implements CircuitEdit
{
    public function __construct(private string $transformerId, private float $factor)
    {
    }

    /** Its rating over the right one; 1 for another transformer's. */
    public function of(string $transformerId): float
    {
        return $transformerId === $this->transformerId ? $this->factor : 1.0;
    }

    public function apply(Netlist $netlist): Netlist
    {
        return $netlist;
    }

    public function describe(Netlist $netlist): Message
    {
        return Message::of('circuit.fuse-scaled.larger', factor: (string) $this->factor);
    }

    public function holdsOut(): array
    {
        return [];
    }
}
