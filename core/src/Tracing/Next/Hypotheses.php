<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Next;

use Unionbit\Core\Tracing\Belief\Standing;

/** The worlds that still matter for the choice of a test, by the repair that would end each. */
final readonly class Hypotheses
{
    /** More repairs than this, or with less than this share, are not asked for the next test. */
    private const MOST = 30;

    private const LEAST = 0.002;

    private const WORLDS_EACH = 2;

    /**
     * @param  list<Standing>  $worlds  one for each world and state of the fuses
     * @param  list<float>  $weights  sum to 1
     * @param  list<string>  $groups  repair of each
     */
    private function __construct(public array $worlds, public array $weights, public array $groups)
    {
    }

    /**
     * @param  list<Standing>  $standings  most first
     * @param  float  $least  share of the last repair that is asked
     */
    public static function among(array $standings, float $least = self::LEAST): self
    {
        $shares = [];
        $kept = [];
        foreach ($standings as $standing) {
            if ($standing->suspect->isUnknown()) {
                continue;
            }
            $shares[$standing->repair] = ($shares[$standing->repair] ?? 0.0) + $standing->share;
            $world = $standing->world.'/'.$standing->open->key();
            $kept[$standing->repair][$world]['share'] =
                ($kept[$standing->repair][$world]['share'] ?? 0.0) + $standing->share;
            $kept[$standing->repair][$world]['standing'] ??= $standing;
        }
        arsort($shares);
        $worlds = $weights = $groups = [];
        foreach (array_slice($shares, 0, self::MOST, true) as $repair => $share) {
            if ($share < $least && $worlds !== []) {
                break;
            }
            $of = $kept[$repair];
            uasort($of, static fn (array $a, array $b): int => $b['share'] <=> $a['share']);
            $of = array_slice($of, 0, self::WORLDS_EACH);
            $total = array_sum(array_column($of, 'share'));
            foreach ($of as $one) {
                if ($one['share'] > 0.02 * $total) {
                    $worlds[] = $one['standing'];
                    $weights[] = ($share * $one['share']) / $total;
                    $groups[] = (string) $repair;
                }
            }
        }
        $all = array_sum($weights);

        return new self(
            $worlds,
            array_map(static fn (float $w): float => $w / max($all, 1.0e-300), $weights),
            $groups,
        );
    }

    /** The first few of them: for a rough look at every test. */
    public function first(int $most): self
    {
        $weights = array_slice($this->weights, 0, $most);
        $all = max(array_sum($weights), 1.0e-300);

        return new self(
            array_slice($this->worlds, 0, $most),
            array_map(static fn (float $w): float => $w / $all, $weights),
            array_slice($this->groups, 0, $most),
        );
    }

    /**
     * Weights of some of the worlds, by repair.
     *
     * @param  list<int>  $few
     * @return array<string, float>
     */
    public function byGroup(array $few): array
    {
        $by = [];
        foreach ($few as $n) {
            $by[$this->groups[$n]] = ($by[$this->groups[$n]] ?? 0.0) + $this->weights[$n];
        }

        return $by;
    }

    /**
     * Weight of one repair among some of the worlds.
     *
     * @param  list<int>  $few
     */
    public function of(string $group, array $few): float
    {
        return $this->byGroup($few)[$group] ?? 0.0;
    }

    /** Bits that are still missing. */
    public function entropy(): float
    {
        return self::bits($this->byGroup(array_keys($this->groups)));
    }

    /** @param  array<array-key, float>  $weights */
    public static function bits(array $weights): float
    {
        $total = max(array_sum($weights), 1.0e-300);
        $bits = 0.0;
        foreach ($weights as $weight) {
            if ($weight > 0.0) {
                $bits -= ($weight / $total) * log($weight / $total, 2);
            }
        }

        return $bits;
    }
}
