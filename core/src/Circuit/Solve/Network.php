<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Solve;

use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Netlist\Netlist;
use Unionbit\Core\Circuit\Solve\Internal\LowRank;
use Unionbit\Core\Circuit\Solve\Internal\SparseFactor;

/**
 * The linear network of one netlist in one state: AC at the job's frequency, or DC with every source dead. Windings
 * enter as Norton equivalents, so nodal analysis is all there is; 1 nS from every point to the reference keeps
 * floating parts solvable. A network factors its own matrix once and is asked many times, or rests on another one's
 * factorisation and solves only for the elements in which the two differ.
 */
final class Network
{
    private const GMIN = 1.0e-9;

    /** More differences than this, and factoring anew is quicker. */
    private const FEW = 24;

    /** @var array<string, int> */
    private array $index = [];

    private ?SparseFactor $factor = null;

    /** @var ?list<array{int, int, float, float, array{array<int, float>, array<int, float>}}> kept for many pairs */
    private ?array $changed = null;

    /** @var array{array<int, float>, array<int, float>} injected currents of the sources */
    private array $sources = [[], []];

    /** @var ?array{array<int, float>, array<int, float>} */
    private ?array $solution = null;

    /**
     * @var array<string, array{array<int, float>, array<int, float>}> volts per ampere between two points, shared by
     *     the networks that rest on this one
     */
    private array $columns = [];

    private function __construct(
        public readonly Netlist $netlist,
        private readonly bool $dc,
        private readonly ?self $base = null,
    ) {
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

    /** The line side alone, which no control circuit meets, with the power on or off. */
    public static function lineSide(Netlist $netlist, bool $dc): self
    {
        return new self(new Netlist($netlist->lineSide, $netlist->points), $dc);
    }

    /** The AC network of a netlist that differs from this one's in a few elements. */
    public function updated(Netlist $netlist): self
    {
        return new self($netlist, $this->dc, $this);
    }

    /** Voltages with the sources as they are. */
    public function solve(): Phasors
    {
        $base = $this->base;
        $changes = $base === null ? null : $this->changes($base);

        return $base === null || $changes === null
            ? $this->phasors($this->own())
            : new Phasors($this, null, new LowRank($changes[0], $changes[1]), $base->index);
    }

    /** Voltages per ampere injected at `a` and taken out at `b`, all sources dead. */
    public function probe(string $a, string $b): Phasors
    {
        $factor = $this->factored();

        return $this->phasors($factor->solve([$this->index[$a] => 1.0, $this->index[$b] => -1.0], []));
    }

    /** Ohms, or volts per ampere, between two points, all sources dead; on the factors of the network it rests on. */
    public function between(string $a, string $b): float
    {
        $base = $this->base;
        if ($base !== null && $this->factor === null && $this->changed === null) {
            $this->changed = $this->changes($base, false)[1] ?? null;
        }
        if ($base === null || $this->changed === null || ! isset($base->index[$a], $base->index[$b])) {
            return $this->probe($a, $b)->magnitude($a, $b);
        }

        [$x, $y] = [$base->index[$a], $base->index[$b]];
        $column = $base->column($a, $b);
        if ($this->changed === []) {
            return hypot($column[0][$x] - $column[0][$y], $column[1][$x] - $column[1][$y]);
        }
        [$c, $d, $g, , $own] = $this->changed[0];
        if ($this->dc && count($this->changed) === 1) {
            $through = ($column[0][$c] - $column[0][$d]) / (1.0 / $g + $own[0][$c] - $own[0][$d]);

            return abs($column[0][$x] - $column[0][$y] - $through * ($own[0][$x] - $own[0][$y]));
        }

        return hypot(...(new LowRank($column, $this->changed))->across($x, $y));
    }

    public function knows(string $point): bool
    {
        if ($this->base !== null && $this->factor === null) {
            $this->base->factored();
            if (isset($this->base->index[$point]) || ! $this->joins($point)) {
                return isset($this->base->index[$point]);
            }
        }
        $this->factored();

        return isset($this->index[$point]);
    }

    /** Whether something of it ends at a point: what a change brings in, as the metal that a conductor now touches. */
    private function joins(string $point): bool
    {
        return array_any(
            $this->netlist->elements,
            static fn (Element $e): bool => $e->a === $point || $e->b === $point,
        );
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

    /** @return array{array<int, float>, array<int, float>} this network's own solution */
    private function own(): array
    {
        return $this->solution ??= $this->factored()->solve($this->sources[0], $this->sources[1]);
    }

    /**
     * What differs from the base, as changes of admittance with the base's columns, and the base's answer to the
     * changed sources; null where the points differ or too much does.
     *
     * @param  bool  $driven  with the base's answer to its sources
     * @return ?array{array{array<int, float>, array<int, float>}, list<array{int, int, float, float, array{array<int,
     *     float>, array<int, float>}}>}
     */
    private function changes(self $base, bool $driven = true): ?array
    {
        $start = $driven ? $base->own() : [[], []];
        $changes = [];
        foreach ($this->netlist->elements as $id => $element) {
            $old = $base->netlist->elements[$id] ?? null;
            if ($old === $element) {
                continue;
            }
            if (! isset($base->index[$element->a], $base->index[$element->b])) {
                return null;
            }
            [$g, $s] = $this->admittance($element);
            if ($old !== null && $old->a === $element->a && $old->b === $element->b) {
                [$g0, $s0] = $base->admittance($old);
                if ($driven) {
                    $start = $this->sourceChange($base, $start, $element, [
                        $element->emf * $g - $old->emf * $g0,
                        $element->emf * $s - $old->emf * $s0,
                    ]);
                }
                [$g, $s] = [$g - $g0, $s - $s0];
            } elseif ($old !== null) {
                $changes[] = $base->change($old, -1.0);
            }
            if ($g !== 0.0 || $s !== 0.0) {
                $changes[] = [
                    $base->index[$element->a],
                    $base->index[$element->b],
                    $g,
                    $s,
                    $base->column($element->a, $element->b),
                ];
            }
        }
        foreach ($base->netlist->elements as $id => $old) {
            if (! isset($this->netlist->elements[$id])) {
                $changes[] = $base->change($old, -1.0);
            }
        }

        return count($changes) > self::FEW ? null : [$start, $changes];
    }

    /**
     * @param  array{array<int, float>, array<int, float>}  $start
     * @param  array{float, float}  $amps  change of the injected current
     * @return array{array<int, float>, array<int, float>}
     */
    private function sourceChange(self $base, array $start, Element $element, array $amps): array
    {
        if ($amps[0] === 0.0 && $amps[1] === 0.0) {
            return $start;
        }
        [$zr, $zi] = $base->column($element->a, $element->b);
        foreach ($start[0] as $point => $_) {
            $start[0][$point] += $zr[$point] * $amps[0] - $zi[$point] * $amps[1];
            $start[1][$point] += $zr[$point] * $amps[1] + $zi[$point] * $amps[0];
        }

        return $start;
    }

    /** @return array{int, int, float, float, array{array<int, float>, array<int, float>}} */
    private function change(Element $element, float $sign): array
    {
        [$g, $s] = $this->admittance($element);

        return [
            $this->index[$element->a],
            $this->index[$element->b],
            $sign * $g,
            $sign * $s,
            $this->column($element->a, $element->b),
        ];
    }

    /** @return array{array<int, float>, array<int, float>} */
    private function column(string $a, string $b): array
    {
        return $this->columns["{$a}~{$b}"] ??= $this->factored()->solve(
            [$this->index[$a] => 1.0, $this->index[$b] => -1.0],
            [],
        );
    }

    private function factored(): SparseFactor
    {
        if ($this->factor !== null) {
            return $this->factor;
        }
        $diagonal = $rows = [];
        foreach ($this->netlist->elements as $element) {
            $a = $this->indexOf($element->a, $diagonal, $rows);
            $b = $this->indexOf($element->b, $diagonal, $rows);
            [$g, $s] = $this->admittance($element);
            $diagonal[$a] = [$diagonal[$a][0] + $g, $diagonal[$a][1] + $s];
            $diagonal[$b] = [$diagonal[$b][0] + $g, $diagonal[$b][1] + $s];
            $old = $rows[$a][$b] ?? [0.0, 0.0];
            $rows[$a][$b] = $rows[$b][$a] = [$old[0] - $g, $old[1] - $s];
            if ($element->emf !== 0.0 && ! $this->dc) {
                $this->inject($a, $b, $element->emf * $g, $element->emf * $s);
            }
        }

        return $this->factor = new SparseFactor($diagonal, $rows);
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
        return new Phasors($this, $solution, null, $this->index);
    }
}
