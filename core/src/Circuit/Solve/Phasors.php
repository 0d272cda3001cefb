<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Solve;

use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Netlist\Point;
use Unionbit\Core\Circuit\Solve\Internal\LowRank;

/** The solved voltages of a network, and the currents that follow from them. */
final readonly class Phasors
{
    /**
     * @param  ?array{array<int, float>, array<int, float>}  $volts  by point's index, against the reference
     * @param  ?LowRank  $update  in place of the volts, where they rest on another network's solution
     * @param  array<string, int>  $index
     */
    public function __construct(
        private Network $network,
        private ?array $volts,
        private ?LowRank $update,
        private array $index,
    ) {
    }

    /**
     * Voltage of `a` against `b`.
     *
     * @return array{float, float} volts, real and imaginary
     */
    public function across(string $a, string $b): array
    {
        $x = $this->index[$a] ?? throw new \OutOfBoundsException("Point {$a} is not in the circuit.");
        $y = $this->index[$b] ?? throw new \OutOfBoundsException("Point {$b} is not in the circuit.");
        if ($this->volts === null) {
            return $this->update?->across($x, $y) ?? [0.0, 0.0];
        }

        return [$this->volts[0][$x] - $this->volts[0][$y], $this->volts[1][$x] - $this->volts[1][$y]];
    }

    /** Magnitude of the voltage between two points, volts. */
    public function magnitude(string $a, string $b): float
    {
        return hypot(...$this->across($a, $b));
    }

    /**
     * Current through an element from its `a` to its `b`.
     *
     * @param  bool  $driven  count the winding's electromotive force (false for a probe's answer)
     * @return array{float, float} amperes
     */
    public function current(Element $element, bool $driven = true): array
    {
        [$vr, $vi] = $this->across($element->a, $element->b);
        if ($driven) {
            $vr -= $element->emf;
        }
        [$g, $s] = $this->network->admittance($element);

        return [$vr * $g - $vi * $s, $vr * $s + $vi * $g];
    }

    /** Magnitude of the current through an element, amperes. */
    public function amps(Element $element): float
    {
        return hypot(...$this->current($element));
    }
}
