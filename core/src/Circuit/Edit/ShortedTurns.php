<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Edit;

use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Netlist\Netlist;

/** Turns shorted inside a coil: 0.3 of its rest impedance at 85 % of its ohms; it draws much and does not pull. */
final readonly class ShortedTurns implements CircuitEdit
{
    public function __construct(private string $loadId, private float $ac = 0.3, private float $dc = 0.85)
    {
    }

    public function apply(Netlist $netlist): Netlist
    {
        return $netlist->changing(
            $this->loadId,
            fn (Element $coil): Element => $coil->withImpedance(
                $this->ac * $coil->ohms,
                $this->ac * $coil->reactance,
                $this->dc * $coil->dcOhms,
            ),
        );
    }

    public function describe(Netlist $netlist): string
    {
        return 'the '.$netlist->part($this->loadId)->label.' coil has shorted turns';
    }

    public function holdsOut(): array
    {
        return [$this->loadId];
    }
}
