<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Belief;

use Unionbit\Core\Tracing\Suspect\Suspect;

/**
 * Two faults that do not cause each other, taken into the arithmetic where no single one explains what was seen: the
 * best few, each with whatever explains the rows that it leaves.
 */
final class Pairs
{
    /** A row that fits worse than this is not explained. */
    public const EXPLAINED = 0.12;

    /** Two at once are met so much more seldom than one; our working figure. */
    private const BOTH = 0.03;

    private const FIRST = 5;

    private const SECOND = 14;

    /** Rows that a first leaves odd before two are asked together, which costs a solution each. */
    private const STUBBORN = 2;

    /** @var array<string, true> */
    private array $tried = [];

    public function __construct(private readonly Belief $belief)
    {
    }

    /**
     * @param  list<Standing>  $standings  most first
     * @return bool whether any were added
     */
    public function add(array $standings): bool
    {
        $added = false;
        $total = array_sum(array_map(static fn (Suspect $s): float => $s->prior, $this->belief->suspects()));
        foreach ($this->leaders($standings) as $first) {
            $odd = $this->unexplained($first);
            $key = $first->id.'/'.implode(',', $odd).'/'.count($this->belief->rows());
            if ($odd === [] || isset($this->tried[$key])) {
                continue;
            }
            $this->tried[$key] = true;
            foreach ($this->seconds($first, $odd) as $second) {
                $this->belief->enter(self::both($first, $second, $total));
                $added = true;
            }
        }

        return $added || $this->together($standings, $total);
    }

    private static function both(Suspect $first, Suspect $second, float $total): Suspect
    {
        $one = $first->prior <= $second->prior ? $first : $second;
        $other = $one === $first ? $second : $first;

        return Suspect::both($one, $other, (self::BOTH * $one->prior * $other->prior) / $total);
    }

    /**
     * Where no second explains by itself what a first leaves: what the two together read in the last odd row. One may
     * hide the other, as a short beyond an open screw does.
     *
     * @param  list<Standing>  $standings  most first
     */
    private function together(array $standings, float $total): bool
    {
        $first = $this->leaders($standings)[0] ?? null;
        $odd = $first === null ? [] : $this->unexplained($first);
        $key = ($first->id ?? '').'+'.implode(',', $odd);
        if ($first === null || count($odd) < self::STUBBORN || isset($this->tried[$key])) {
            return false;
        }
        $this->tried[$key] = true;
        $last = array_slice($odd, -2);
        $scores = [];
        foreach ($this->singles($first) as $id => $second) {
            $pair = self::both($first, $second, $total);
            $fits = array_product(array_map(fn (int $n): float => $this->belief->alone($pair, $n), $last));
            if ($fits > self::EXPLAINED ** count($last)) {
                $scores[$id] = $fits * $second->prior;
            }
        }
        arsort($scores);
        foreach (array_slice(array_keys($scores), 0, self::SECOND) as $id) {
            $this->belief->enter(self::both($first, $this->belief->suspects()[$id], $total));
        }

        return $scores !== [];
    }

    /**
     * @param  list<Standing>  $standings
     * @return list<Suspect>
     */
    private function leaders(array $standings): array
    {
        $leaders = [];
        foreach ($standings as $standing) {
            $suspect = $standing->suspect;
            if (count($suspect->faults) === 1) {
                $leaders[$suspect->id] = $suspect;
            }
            if (count($leaders) === self::FIRST) {
                break;
            }
        }

        return array_values($leaders);
    }

    /** @return list<int> positions of rows that a suspect leaves unexplained */
    public function unexplained(Suspect $suspect): array
    {
        $odd = [];
        foreach ($this->belief->rows() as $index => $row) {
            $fit = $this->belief->fit($suspect->id, $index);
            if ($row->kind->isEvidence() && ! $row->withdrawn && $fit !== null && $fit < self::EXPLAINED) {
                $odd[] = $index;
            }
        }

        return $odd;
    }

    /** @return array<string, Suspect> single faults in their usual form that could stand beside a first */
    private function singles(Suspect $first): array
    {
        return array_filter(
            $this->belief->suspects(),
            static fn (Suspect $s): bool => count($s->faults) === 1 &&
                $s->id !== $first->id &&
                $s->faults[0]->base === $s->id,
        );
    }

    /**
     * @param  list<int>  $odd
     * @return list<Suspect> those that explain what the first leaves, best first
     */
    private function seconds(Suspect $first, array $odd): array
    {
        $scores = [];
        $last = array_slice($odd, -2);
        foreach ($this->singles($first) as $id => $suspect) {
            $score = $suspect->prior;
            foreach ($last as $index) {
                $score *= $this->belief->alone($suspect, $index);
                if ($score < 1.0e-4 * $suspect->prior) {
                    break;
                }
            }
            if ($score > self::EXPLAINED ** count($last) * $suspect->prior) {
                $scores[$id] = $score;
            }
        }
        arsort($scores);

        return array_map(
            fn (string $id): Suspect => $this->belief->suspects()[$id],
            array_slice(array_keys($scores), 0, self::SECOND),
        );
    }
}
