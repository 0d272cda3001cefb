<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Solve\Internal;

/**
 * LDLᵀ factorisation of a complex symmetric nodal matrix, kept sparse by eliminating the point with the fewest
 * neighbours first. Control circuits are nearly trees, so hardly anything fills in. No pivoting for size is
 * needed: a passive network's admittances are diagonally dominant.
 *
 * @internal
 */
final class SparseFactor
{
    /** @var list<int> order of elimination */
    private array $order = [];

    /** @var array<int, array<int, array{float, float}>> multipliers of each eliminated point */
    private array $lower = [];

    /** @var array<int, array{float, float}> inverse pivots */
    private array $inverse = [];

    /**
     * @param  array<int, array{float, float}>  $diagonal  admittances, siemens
     * @param  array<int, array<int, array{float, float}>>  $rows  off-diagonal entries, both triangles
     */
    public function __construct(array $diagonal, array $rows)
    {
        while ($diagonal !== []) {
            $pivot = -1;
            $fewest = PHP_INT_MAX;
            foreach ($diagonal as $index => $_) {
                $degree = count($rows[$index]);
                if ($degree < $fewest) {
                    $fewest = $degree;
                    $pivot = $index;
                    if ($degree < 2) {
                        break;
                    }
                }
            }
            $this->eliminate($pivot, $diagonal, $rows);
        }
    }

    /**
     * Solves for the point voltages.
     *
     * @param  array<int, float>  $re  injected currents, real part, by point index
     * @param  array<int, float>  $im  imaginary part
     * @return array{array<int, float>, array<int, float>} volts, real and imaginary
     */
    public function solve(array $re, array $im): array
    {
        foreach ($this->order as $k) {
            $xr = $re[$k] ??= 0.0;
            $xi = $im[$k] ??= 0.0;
            if ($xr === 0.0 && $xi === 0.0) {
                continue;
            }
            foreach ($this->lower[$k] as $j => [$lr, $li]) {
                $re[$j] = ($re[$j] ?? 0.0) - ($lr * $xr - $li * $xi);
                $im[$j] = ($im[$j] ?? 0.0) - ($lr * $xi + $li * $xr);
            }
        }
        foreach (array_reverse($this->order) as $k) {
            [$dr, $di] = $this->inverse[$k];
            $xr = $re[$k] * $dr - $im[$k] * $di;
            $xi = $re[$k] * $di + $im[$k] * $dr;
            foreach ($this->lower[$k] as $j => [$lr, $li]) {
                $xr -= $lr * $re[$j] - $li * $im[$j];
                $xi -= $lr * $im[$j] + $li * $re[$j];
            }
            $re[$k] = $xr;
            $im[$k] = $xi;
        }

        return [$re, $im];
    }

    /**
     * @param  array<int, array{float, float}>  $diagonal
     * @param  array<int, array<int, array{float, float}>>  $rows
     */
    private function eliminate(int $k, array &$diagonal, array &$rows): void
    {
        [$dr, $di] = $diagonal[$k];
        $norm = $dr * $dr + $di * $di;
        $invR = $dr / $norm;
        $invI = -$di / $norm;

        $lower = [];
        foreach ($rows[$k] as $j => [$ar, $ai]) {
            $lower[$j] = [$ar * $invR - $ai * $invI, $ar * $invI + $ai * $invR];
            unset($rows[$j][$k]);
        }
        $neighbours = array_keys($lower);
        foreach ($neighbours as $position => $i) {
            [$ar, $ai] = $rows[$k][$i];
            [$lr, $li] = $lower[$i];
            [$br, $bi] = $diagonal[$i];
            $diagonal[$i] = [$br - ($lr * $ar - $li * $ai), $bi - ($lr * $ai + $li * $ar)];
            for ($n = $position + 1, $count = count($neighbours); $n < $count; $n++) {
                $j = $neighbours[$n];
                [$lr2, $li2] = $lower[$j];
                $old = $rows[$i][$j] ?? [0.0, 0.0];
                $new = [$old[0] - ($lr2 * $ar - $li2 * $ai), $old[1] - ($lr2 * $ai + $li2 * $ar)];
                $rows[$i][$j] = $new;
                $rows[$j][$i] = $new;
            }
        }

        $this->order[] = $k;
        $this->lower[$k] = $lower;
        $this->inverse[$k] = [$invR, $invI];
        unset($diagonal[$k], $rows[$k]);
    }
}
