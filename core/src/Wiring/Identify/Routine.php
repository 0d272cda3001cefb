<?php

declare(strict_types=1);

namespace Unionbit\Core\Wiring\Identify;

/**
 * Which end is which, in the fewest trips. The far end twists pairs, the near end finds them by ohms and twists a chain
 * through them, and the far end reads that: two trips for any number from three up (the electrician's identification
 * problem). With as many conductors known already as are not, each unknown one is twisted to a known one: one trip.
 * Somebody at the far end saves them all. Ends that answer each other with everything apart touch in the wall: they are
 * found at both sides and left out.
 */
final readonly class Routine
{
    /**
     * @param  list<string>  $near  near ends whose far ends are not proved, by the records that they are in, "A4"
     * @param  list<string>  $ends  far ends that they can have, by theirs
     * @param  list<string>  $known  of the same cable, proved; they serve as the other side of a pair
     * @param  'none'|'known'|'chain'  $kind  how it goes; none: nothing to find, or two with no third
     * @param  list<list<string>>  $far  what is twisted together at the far end first
     */
    private function __construct(
        public array $near,
        public array $ends,
        public array $known,
        public string $kind,
        public array $far,
    ) {
    }

    /**
     * @param  list<string>  $unknown  conductors whose ends are not proved to belong together
     * @param  list<string>  $known
     * @param  list<list<string>>  $touchingNear  near ends that answered each other with everything apart
     * @param  list<list<string>>  $touchingFar  far ends that did: as many
     */
    public static function of(array $unknown, array $known, array $touchingNear = [], array $touchingFar = []): self
    {
        $near = array_values(array_diff($unknown, ...$touchingNear));
        $far = array_values(array_diff($unknown, ...$touchingFar));
        $count = count($far);
        if ($count > 0 && $count <= count($known)) {
            $with = array_slice($known, 0, $count);
            $pairs = array_map(static fn (string $end, string $other): array => [$end, $other], $far, $with);

            return new self($near, $far, $with, 'known', $pairs);
        }
        // Two alone look the same whatever is twisted; a known one as the third tells them apart.
        $third = $count === 2 ? array_slice($known, 0, 1) : [];
        [$near, $far] = [[...$near, ...$third], [...$far, ...$third]];
        if (count($far) < 3) {
            return new self($near, $far, [], 'none', []);
        }
        $paired = array_slice($far, 0, 2 * intdiv(count($far) - 1, 2));

        return new self($near, $far, [], 'chain', array_chunk($paired, 2));
    }

    /** Trips from the thermostat to the far end and back. */
    public function trips(bool $helper): int
    {
        return $helper ? 0 : ['none' => 0, 'known' => 1, 'chain' => 2][$this->kind];
    }

    /**
     * What the near end twists next: a chain from one that answered nobody through every pair found.
     *
     * @param  list<list<string>>  $found  near ends that answered each other
     * @return list<list<string>>
     */
    public function near(array $found): array
    {
        if ($this->kind !== 'chain') {
            return [];
        }
        $alone = array_values(array_diff($this->near, ...$found));
        $chain = array_slice($alone, 0, 1);
        foreach ($found as $pair) {
            array_push($chain, ...array_slice($pair, 0, 2));
        }

        return array_chunk(array_slice($chain, 0, 2 * intdiv(count($chain), 2)), 2);
    }

    /**
     * What the two readings come to.
     *
     * @param  list<list<string>>  $found  at the near end, near ends that answered each other
     * @param  list<list<string>>  $answered  at the far end, far ends that answered each other
     */
    public function read(array $found, array $answered): Identified
    {
        return (new Ends($this, $found, $answered))->solve();
    }
}
