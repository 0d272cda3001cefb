<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Next;

use Unionbit\Core\Tracing\World\Prediction;

/** What a probe would tell apart: worlds whose bands or answers could be the same stand in one class. */
final readonly class Partition
{
    /** A band wider than this is a needle that will not stand still. */
    private const WAVERS = 12.0;

    /** Part of what a test could tell that slips and misreadings leave. */
    private const HONEST = 0.9;

    /**
     * @param  list<list<int>>  $classes  numbers of worlds
     */
    private function __construct(public array $classes, public float $bits)
    {
    }

    /** @param  list<Prediction>  $predictions  one for each world */
    public static function of(array $predictions, Hypotheses $hypotheses): self
    {
        $tokens = $bands = [];
        foreach ($predictions as $n => $p) {
            if ($p->low === null || $p->high === null) {
                $tokens[$p->token()][] = $n;
            } elseif ($p->ghost) {
                $bands[] = [0.0, 3.0, $n];
            } elseif ($p->high - $p->low > self::WAVERS && $p->low < 1.0) {
                $tokens['wavers'][] = $n;
            } else {
                $bands[] = [$p->low, $p->high, $n];
            }
        }
        usort($bands, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        $classes = array_values($tokens);
        $end = -INF;
        foreach ($bands as [$low, $high, $n]) {
            if ($low > $end) {
                $classes[] = [];
            }
            $classes[count($classes) - 1][] = $n;
            $end = max($end, $high);
        }

        return new self($classes, self::HONEST * self::gain($classes, $hypotheses));
    }

    /** @param  list<list<int>>  $classes */
    private static function gain(array $classes, Hypotheses $hypotheses): float
    {
        if (count($classes) < 2) {
            return 0.0;
        }
        $left = 0.0;
        foreach ($classes as $class) {
            $by = [];
            foreach ($class as $n) {
                $by[$hypotheses->groups[$n]] = ($by[$hypotheses->groups[$n]] ?? 0.0) + $hypotheses->weights[$n];
            }
            $left += array_sum($by) * Hypotheses::bits($by);
        }

        return max(0.0, $hypotheses->entropy() - $left);
    }

    /** @param  list<int>  $class */
    public static function share(array $class, Hypotheses $hypotheses): float
    {
        return array_sum(array_map(static fn (int $n): float => $hypotheses->weights[$n], $class));
    }

    /** The same for two probes that tell the same apart. */
    public function signature(): string
    {
        $classes = array_map(static fn (array $c): string => implode(',', $c), $this->classes);
        sort($classes);

        return implode('|', $classes);
    }
}
