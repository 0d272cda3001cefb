<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Solve\Internal;

/**
 * The solution of a network that differs from a factored one in a few elements: A = A₀ + Σ uᵢ dᵢ uᵢᵀ, solved by the
 * Sherman–Morrison–Woodbury identity from columns A₀⁻¹uᵢ that are worked out once and shared. Nothing is factored
 * anew; voltages are worked out only where they are asked.
 *
 * @internal
 */
final class LowRank
{
    /** @var list<array{array<int, float>, array<int, float>}> columns A₀⁻¹uᵢ */
    private array $columns = [];

    /** @var list<array{float, float}> share of each column in the solution */
    private array $shares = [];

    /**
     * @param  array{array<int, float>, array<int, float>}  $start  solution of the unchanged matrix for the changed
     *     sources
     * @param  list<array{int, int, float, float, array{array<int, float>, array<int, float>}}>  $changes  points a
     *     and b,
     *                                                                                                     change of
     * admittance (siemens), column
     */
    public function __construct(private readonly array $start, array $changes)
    {
        $size = count($changes);
        $matrix = [];
        foreach ($changes as $i => [$a, $b, $g, $s]) {
            $norm = $g * $g + $s * $s;
            $row = [];
            foreach ($changes as $j => [, , , , $column]) {
                $row[$j] = [$column[0][$a] - $column[0][$b], $column[1][$a] - $column[1][$b]];
            }
            $row[$i] = [$row[$i][0] + $g / $norm, $row[$i][1] - $s / $norm];
            $row[$size] = [$start[0][$a] - $start[0][$b], $start[1][$a] - $start[1][$b]];
            $matrix[] = $row;
            $this->columns[] = $changes[$i][4];
        }
        $this->shares = self::eliminate($matrix, $size);
    }

    /** @return array{float, float} volts of point a against point b */
    public function across(int $a, int $b): array
    {
        $re = $this->start[0][$a] - $this->start[0][$b];
        $im = $this->start[1][$a] - $this->start[1][$b];
        foreach ($this->shares as $i => [$cr, $ci]) {
            [$zr, $zi] = $this->columns[$i];
            $dr = $zr[$a] - $zr[$b];
            $di = $zi[$a] - $zi[$b];
            $re -= $cr * $dr - $ci * $di;
            $im -= $cr * $di + $ci * $dr;
        }

        return [$re, $im];
    }

    /**
     * Gauss with row pivoting on a small complex system; the last column is the right-hand side.
     *
     * @param  list<array<int, array{float, float}>>  $m
     * @return list<array{float, float}>
     */
    private static function eliminate(array $m, int $n): array
    {
        for ($k = 0; $k < $n; $k++) {
            $best = $k;
            for ($i = $k + 1; $i < $n; $i++) {
                if (abs($m[$i][$k][0]) + abs($m[$i][$k][1]) > abs($m[$best][$k][0]) + abs($m[$best][$k][1])) {
                    $best = $i;
                }
            }
            [$m[$k], $m[$best]] = [$m[$best], $m[$k]];
            [$pr, $pi] = $m[$k][$k];
            $norm = $pr * $pr + $pi * $pi;
            for ($i = $k + 1; $i < $n; $i++) {
                [$er, $ei] = $m[$i][$k];
                if ($er === 0.0 && $ei === 0.0) {
                    continue;
                }
                $fr = ($er * $pr + $ei * $pi) / $norm;
                $fi = ($ei * $pr - $er * $pi) / $norm;
                for ($j = $k + 1; $j <= $n; $j++) {
                    [$xr, $xi] = $m[$k][$j];
                    $m[$i][$j] = [$m[$i][$j][0] - ($fr * $xr - $fi * $xi), $m[$i][$j][1] - ($fr * $xi + $fi * $xr)];
                }
            }
        }
        $x = array_fill(0, $n, [0.0, 0.0]);
        for ($k = $n - 1; $k >= 0; $k--) {
            [$re, $im] = $m[$k][$n];
            for ($j = $k + 1; $j < $n; $j++) {
                [$ar, $ai] = $m[$k][$j];
                $re -= $ar * $x[$j][0] - $ai * $x[$j][1];
                $im -= $ar * $x[$j][1] + $ai * $x[$j][0];
            }
            [$pr, $pi] = $m[$k][$k];
            $norm = $pr * $pr + $pi * $pi;
            $x[$k] = [($re * $pr + $im * $pi) / $norm, ($im * $pr - $re * $pi) / $norm];
        }

        return $x;
    }
}
