<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing;

use Unionbit\Core\Tracing\Belief\Belief;
use Unionbit\Core\Tracing\Belief\Standing;
use Unionbit\Core\Tracing\Suspect\Suspect;

/** Which rows moved a suspect: those that it fits much better or worse than the others do on the whole. */
final readonly class Reasons
{
    /** A row moved a suspect where it fits it so much better or worse than the others, times. */
    private const MOVED = 3.0;

    private const BECAUSE = 4;

    public function __construct(private Belief $belief)
    {
    }

    /**
     * @param  list<Standing>  $standings
     * @return array<int, float> how well each row fits on the whole
     */
    public function means(array $standings): array
    {
        $means = [];
        $few = array_slice($standings, 0, 40);
        foreach ($this->belief->rows() as $index => $row) {
            if (! $row->kind->isEvidence() || $row->withdrawn) {
                continue;
            }
            $sum = $weight = 0.0;
            foreach ($few as $standing) {
                $fit = $this->belief->fit($standing->suspect->id, $index);
                if ($fit !== null) {
                    $sum += $standing->share * $fit;
                    $weight += $standing->share;
                }
            }
            $means[$index] = $weight > 0.0 ? $sum / $weight : 1.0;
        }

        return $means;
    }

    /**
     * @param  array<int, float>  $means
     * @return list<int>
     */
    public function of(Suspect $suspect, array $means): array
    {
        $moved = [];
        foreach ($means as $index => $mean) {
            $fit = $this->belief->fit($suspect->id, $index);
            $times = $fit === null ? 1.0 : max(1.0e-9, $fit) / max(1.0e-9, $mean);
            $by = max($times, 1.0 / $times);
            if ($by >= self::MOVED) {
                $number = $this->belief->rows()[$index]->number;
                $moved[$number] = max($moved[$number] ?? 0.0, $by);
            }
        }
        arsort($moved);

        return array_slice(array_keys($moved), 0, self::BECAUSE);
    }
}
