<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Edit;

use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Netlist\Netlist;

/** A secondary that gives more or less than it should: a wrong tap, a high or low line; 0 is no line at all. */
final readonly class SourceScaled implements CircuitEdit
{
    public function __construct(private string $transformerId, private float $factor)
    {
    }

    public function apply(Netlist $netlist): Netlist
    {
        $e = $netlist->element($this->transformerId);

        return $netlist->with(
            new Element(
                $e->id,
                $e->kind,
                $e->a,
                $e->b,
                $e->label,
                $e->subject,
                $e->ohms,
                $e->reactance,
                $e->dcOhms,
                $e->emf * $this->factor,
            ),
        );
    }

    public function describe(Netlist $netlist): string
    {
        return $this->factor === 0.0
            ? 'the transformer gets no line voltage'
            : sprintf('the transformer gives %.0f %% of its volts', 100.0 * $this->factor);
    }

    public function holdsOut(): array
    {
        return [];
    }
}
