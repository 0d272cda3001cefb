<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit;

use Unionbit\Core\Circuit\Internal\SparseFactor;

/**
 * The linear network of one netlist in one state, factored once and asked many times: AC at the job's frequency,
 * or DC with every source dead. Windings enter as Norton equivalents, so nodal analysis is all there is; 1 nS
 * from every point to the reference keeps floating parts solvable.
 */
final class Network
{
    private const GMIN = 1.0e-9;

    /** @var array<string, int> */
    private array $index = [];

    private SparseFactor $factor;

    /** @var array{array<int, float>, array<int, float>} */
    private array $sources = [[], []];

    private function __construct(public readonly Netlist $netlist, private readonly bool $dc)
    {
        $diagonal = $rows = [];
        foreach ($netlist->elements as $element) {
            $a = $this->indexOf($element->a, $diagonal, $rows);
            $b = $this->indexOf($element->b, $diagonal, $rows);
            [$g, $s] = $this->admittance($element);
            $diagonal[$a] = [$diagonal[$a][0] + $g, $diagonal[$a][1] + $s];
            $diagonal[$b] = [$diagonal[$b][0] + $g, $diagonal[$b][1] + $s];
            $old = $rows[$a][$b] ?? [0.0, 0.0];
            $rows[$a][$b] = $rows[$b][$a] = [$old[0] - $g, $old[1] - $s];
            if ($element->emf !== 0.0 && ! $dc) {
                $this->inject($a, $b, $element->emf * $g, $element->emf * $s);
            }
        }
        $this->factor = new SparseFactor($diagonal, $rows);
    }

    /** Power on: phasors at the job's frequency. */
    public static function ac(Netlist $netlist): self
    {
        return new self($netlist, false);
    }

    /** Power off: sources dead, windings and coils at their DC resistance. */
    public static function dc(Netlist $netlist): self
    {
        return new self($netlist, true);
    }

    /** Voltages with the sources as they are. */
    public function solve(): Phasors
    {
        return $this->phasors($this->factor->solve($this->sources[0], $this->sources[1]));
    }

    /** Voltages per ampere injected at `a` and taken out at `b`, all sources dead. */
    public function probe(string $a, string $b): Phasors
    {
        return $this->phasors($this->factor->solve([$this->index[$a] => 1.0, $this->index[$b] => -1.0], []));
    }

    public function knows(string $point): bool
    {
        return isset($this->index[$point]);
    }

    /** @return array{float, float} siemens */
    public function admittance(Element $element): array
    {
        if ($this->dc) {
            return [1.0 / $element->dcOhms, 0.0];
        }
        $norm = $element->ohms * $element->ohms + $element->reactance * $element->reactance;

        return [$element->ohms / $norm, -$element->reactance / $norm];
    }

    /**
     * @param  array<int, array{float, float}>  $diagonal
     * @param  array<int, array<int, array{float, float}>>  $rows
     */
    private function indexOf(string $point, array &$diagonal, array &$rows): int
    {
        if (! isset($this->index[$point])) {
            $index = $this->index[$point] = count($this->index);
            $diagonal[$index] = [self::GMIN, 0.0];
            $rows[$index] = [];
        }

        return $this->index[$point];
    }

    private function inject(int $a, int $b, float $re, float $im): void
    {
        $this->sources[0][$a] = ($this->sources[0][$a] ?? 0.0) + $re;
        $this->sources[0][$b] = ($this->sources[0][$b] ?? 0.0) - $re;
        $this->sources[1][$a] = ($this->sources[1][$a] ?? 0.0) + $im;
        $this->sources[1][$b] = ($this->sources[1][$b] ?? 0.0) - $im;
    }

    /** @param  array{array<int, float>, array<int, float>}  $solution */
    private function phasors(array $solution): Phasors
    {
        $volts = [];
        foreach ($this->index as $point => $index) {
            $volts[$point] = [$solution[0][$index], $solution[1][$index]];
        }

        return new Phasors($this, $volts);
    }
}
