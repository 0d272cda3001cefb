<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Edit;

use Unionbit\Core\Circuit\Netlist\Netlist;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/** A secondary that gives more or less than it should: a wrong tap, a high or low line; 0 is no line at all. */
final readonly class SourceScaled implements CircuitEdit
{
    public function __construct(public Part $source, private float $factor)
    {
    }

    public function apply(Netlist $netlist): Netlist
    {
        $e = $netlist->element($this->source->id);

        return $netlist->with($e->withEmf($e->emf * $this->factor));
    }

    public function describe(Netlist $netlist): Message
    {
        return $this->factor === 0.0
            ? Message::of('circuit.source-scaled.transformer-gets-no-line-voltage')
            : Message::of(
                'circuit.source-scaled.transformer-gives-volts',
                value: Quantity::of(100.0 * $this->factor, Unit::Percent, 0),
            );
    }

    public function holdsOut(): array
    {
        return [];
    }
}
