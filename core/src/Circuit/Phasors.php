<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit;

/** The solved voltages of a network, and the currents that follow from them. */
final readonly class Phasors
{
    /** @param  array<string, array{float, float}>  $volts by point, against the reference */
    public function __construct(private Network $network, public array $volts)
    {
    }

    /**
     * Voltage of `a` against `b`.
     *
     * @return array{float, float} volts, real and imaginary
     */
    public function across(string $a, string $b): array
    {
        $x = $this->volts[$a] ?? throw new \OutOfBoundsException("Point {$a} is not in the circuit.");
        $y = $this->volts[$b] ?? throw new \OutOfBoundsException("Point {$b} is not in the circuit.");

        return [$x[0] - $y[0], $x[1] - $y[1]];
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
