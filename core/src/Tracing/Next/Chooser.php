<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Next;

use Unionbit\Core\Tracing\Record\State;

/**
 * The next test by information per minute: one step ahead for every test that could still be the best, two steps ahead
 * for the best few. A test that would open a fuse is put behind one that tells the same by ohms or a breaker.
 */
final readonly class Chooser
{
    /** No test tells more than so many bits; what bounds a search. */
    private const MOST_BITS = 2.6;

    /** Less than this is not worth a test. */
    public const TELLS = 0.02;

    /** Suspects of a rough look, and set-ups that are looked at with all of them. */
    private const ROUGH = 10;

    private const SETUPS = 8;

    /** Tests that are kept to look two steps ahead, and those that are looked at so. */
    private const KEPT = 10;

    private const AHEAD = 4;

    /** How much the first of two tests counts beside both: of two that could be done in either order the better one. */
    private const FIRST = 0.5;

    public function __construct(private Scoring $scoring)
    {
    }

    /** For measuring: the most informative test, whatever it costs. */
    public function byBitsAlone(bool $bits): void
    {
        $this->scoring->bitsAlone = $bits;
    }

    /**
     * @param  array<string, true>  $done  keys of tests done already
     * @return list<Proposal> the best first
     */
    public function best(Hypotheses $hypotheses, State $state, array $done, int $most = 3): array
    {
        $this->scoring->done = $done;
        $scored = [];
        foreach ($this->promising($hypotheses, $state) as $candidate) {
            array_push($scored, ...$this->scoring->of($candidate, $hypotheses, $state, self::TELLS));
        }
        usort($scored, static fn (Scored $a, Scored $b): int => $b->worth <=> $a->worth);

        return $this->ahead(self::apart($scored), $hypotheses, $most);
    }

    /** @return list<Candidate> the set-ups that are worth most by a rough look with the first few suspects */
    private function promising(Hypotheses $hypotheses, State $state): array
    {
        $rough = $hypotheses->first(self::ROUGH);
        $entropy = $rough->entropy();
        $worths = $candidates = [];
        foreach ($this->scoring->inOrder($state) as [$least, $candidate]) {
            rsort($worths);
            $most = $this->scoring->worth(min($entropy, self::MOST_BITS), $least);
            if ($most < ($worths[self::SETUPS - 1] ?? 0.0)) {
                break;
            }
            $best = 0.0;
            foreach ($this->scoring->of($candidate, $rough, $state, self::TELLS) as $one) {
                $best = max($best, $one->worth);
            }
            if ($best > 0.0) {
                $worths[] = $best;
                $candidates[] = [$best, $candidate];
            }
        }
        usort($candidates, static fn (array $a, array $b): int => $b[0] <=> $a[0]);

        return array_map(static fn (array $c): Candidate => $c[1], array_slice($candidates, 0, self::SETUPS));
    }

    /**
     * Those that tell the same apart are one: the first of them.
     *
     * @param  list<Scored>  $scored
     * @return list<Scored>
     */
    private static function apart(array $scored): array
    {
        $kept = [];
        foreach ($scored as $one) {
            $kept[$one->partition->signature()] ??= $one;
            if (count($kept) === self::KEPT) {
                break;
            }
        }

        return array_values($kept);
    }

    /**
     * Two steps ahead among the best few: what each of its outcomes could still be told by the others.
     *
     * @param  list<Scored>  $scored
     * @return list<Proposal>
     */
    private function ahead(array $scored, Hypotheses $hypotheses, int $most): array
    {
        $few = [];
        foreach (array_slice($scored, 0, self::AHEAD) as $first) {
            $bits = $first->partition->bits;
            $minutes = $first->minutes;
            foreach ($first->partition->classes as $class) {
                [$gain, $takes] = $this->then($class, $first, $scored, $hypotheses);
                $share = Partition::share($class, $hypotheses);
                $bits += $share * $gain;
                $minutes += $share * $takes;
            }
            $both = $this->scoring->worth($bits, $minutes);
            $few[] = [self::FIRST * $first->worth + (1.0 - self::FIRST) * $both, $first];
        }
        usort($few, static fn (array $a, array $b): int => $b[0] <=> $a[0]);

        return array_map(
            static fn (array $one): Proposal => $one[1]->proposal($hypotheses, $one[0]),
            array_slice($few, 0, $most),
        );
    }

    /**
     * The best second test within one outcome of the first.
     *
     * @param  list<int>  $class
     * @param  list<Scored>  $scored
     * @return array{float, float} bits and minutes
     */
    private function then(array $class, Scored $first, array $scored, Hypotheses $hypotheses): array
    {
        $best = [0.0, 0.0];
        $most = 0.0;
        foreach ($scored as $second) {
            if ($second->probe === $first->probe) {
                continue;
            }
            $gain = $second->partition->within($class, $hypotheses);
            $worth = $this->scoring->worth($gain, $second->minutes);
            if ($worth > $most) {
                $most = $worth;
                $best = [$gain, $second->minutes];
            }
        }

        return $best;
    }
}
