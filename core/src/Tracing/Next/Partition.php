<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Next;

use Unionbit\Core\Asked\Show\Showing;
use Unionbit\Core\Tracing\Test\Result;

/** What a probe would tell apart: worlds whose bands or answers could be the same stand in one class. */
final readonly class Partition
{
    /** Part of what a test could tell that slips and misreadings leave. */
    private const HONEST = 0.9;

    /**
     * @param  list<list<int>>  $classes  numbers of worlds
     */
    private function __construct(public array $classes, public float $bits)
    {
    }

    /** @param  list<Showing>  $predictions  one for each world */
    public static function of(array $predictions, Hypotheses $hypotheses): self
    {
        $tokens = $bands = $anything = [];
        foreach ($predictions as $n => $p) {
            if ($p->low === null || $p->high === null) {
                $tokens[$p->token()][] = $n;
            } elseif ($p->ghost) {
                $bands[] = [0.0, 3.0, $n];
            } elseif ($p->wavers) {
                $anything[] = $n;
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

        $classes = self::joined($classes, $anything, $hypotheses);

        return new self($classes, self::HONEST * self::gain($classes, $hypotheses));
    }

    /**
     * Those that may read anything are told apart from nobody: they go with the likeliest.
     *
     * @param  list<list<int>>  $classes
     * @param  list<int>  $anything
     * @return list<list<int>>
     */
    private static function joined(array $classes, array $anything, Hypotheses $hypotheses): array
    {
        if ($anything === [] || $classes === []) {
            return $anything === [] ? $classes : [$anything];
        }
        $shares = array_map(static fn (array $c): float => self::share($c, $hypotheses), $classes);
        $most = (int) array_search(max($shares), $shares, true);
        $classes[$most] = [...$classes[$most], ...$anything];

        return $classes;
    }

    /** @param  list<list<int>>  $classes */
    private static function gain(array $classes, Hypotheses $hypotheses): float
    {
        if (count($classes) < 2) {
            return 0.0;
        }
        $left = 0.0;
        foreach ($classes as $class) {
            $by = $hypotheses->byGroup($class);
            $left += array_sum($by) * Hypotheses::bits($by);
        }

        return max(0.0, $hypotheses->entropy() - $left);
    }

    /** @param  list<int>  $class */
    public static function share(array $class, Hypotheses $hypotheses): float
    {
        return array_sum(array_map(static fn (int $n): float => $hypotheses->weights[$n], $class));
    }

    /**
     * Bits that it still tells among some of the worlds.
     *
     * @param  list<int>  $few  numbers of worlds
     */
    public function within(array $few, Hypotheses $hypotheses): float
    {
        $in = array_fill_keys($few, true);
        $before = $hypotheses->byGroup($few);
        $total = array_sum($before);
        if ($total <= 0.0) {
            return 0.0;
        }
        $left = 0.0;
        foreach ($this->classes as $class) {
            $by = $hypotheses->byGroup(
                array_values(array_filter($class, static fn (int $n): bool => isset($in[$n]))),
            );
            $left += (array_sum($by) / $total) * Hypotheses::bits($by);
        }

        return max(0.0, Hypotheses::bits($before) - $left);
    }

    /** Share of the others that fall, where a group gives what it would give. */
    public function fells(string $group, Hypotheses $hypotheses): float
    {
        $all = array_sum($hypotheses->weights) - $hypotheses->of($group, array_keys($hypotheses->groups));
        if ($all <= 0.0) {
            return 0.0;
        }
        $best = 0.0;
        foreach ($this->classes as $class) {
            $own = $hypotheses->of($group, $class);
            $others = self::share($class, $hypotheses) - $own;
            $best = max($best, $own > 0.5 ? 1.0 - $others / $all : 0.0);
        }

        return $best;
    }

    /**
     * @param  list<Showing>  $predictions
     * @return list<Outcome> the likeliest first
     */
    public function outcomes(array $predictions, Hypotheses $hypotheses): array
    {
        $outcomes = [];
        foreach ($this->classes as $class) {
            usort($class, static fn (int $a, int $b): int => $hypotheses->weights[$b] <=> $hypotheses->weights[$a]);
            $outcomes[] = new Outcome(
                Result::ofShowing($predictions[$class[0]]),
                round(self::share($class, $hypotheses), 4),
                array_values(
                    array_unique(array_map(static fn (int $n): string => $hypotheses->worlds[$n]->id, $class)),
                ),
            );
        }
        usort($outcomes, static fn (Outcome $a, Outcome $b): int => $b->share <=> $a->share);

        return $outcomes;
    }

    /** The same for two probes that tell the same apart. */
    public function signature(): string
    {
        $classes = array_map(static fn (array $c): string => implode(',', $c), $this->classes);
        sort($classes);

        return implode('|', $classes);
    }
}
