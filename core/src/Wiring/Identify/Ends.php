<?php

declare(strict_types=1);

namespace Unionbit\Core\Wiring\Identify;

/**
 * Every way to join near ends to far ends that gives what was read, with as few broken conductors as possible: what all
 * of them agree on is known.
 */
final class Ends
{
    private const MOST = 400;

    /** @var list<array<string, ?string>> far end by near end, null where it is broken */
    private array $ways = [];

    /** @var list<list<string>> near ends twisted for the second reading */
    private readonly array $nearTwists;

    /**
     * @param  list<list<string>>  $nearFound
     * @param  list<list<string>>  $farFound
     */
    public function __construct(
        private readonly Routine $routine,
        private readonly array $nearFound,
        private readonly array $farFound,
    ) {
        $this->nearTwists = $routine->near($nearFound);
    }

    public function solve(): Identified
    {
        $near = $this->routine->near;
        $fixed = array_combine($this->routine->known, $this->routine->known);
        for ($broken = 0; $broken <= count($near) && $this->ways === []; $broken++) {
            $this->place($fixed, $near, $this->routine->ends, $broken);
        }
        if ($this->ways === []) {
            return new Identified([], [], [], [], $near, true);
        }
        $pairs = $whole = $silent = $dead = $open = [];
        foreach ($near as $end) {
            $to = array_values(array_unique(array_column($this->ways, $end), SORT_REGULAR));
            if (count($to) > 1) {
                $open[] = $end;
            } elseif ($to[0] === null) {
                $dead[] = $end;
            } else {
                $pairs[$end] = $to[0];
                $answers = self::of($this->nearFound, $end) !== null || self::of($this->farFound, $to[0]) !== null;
                $answers ? ($whole[] = $end) : ($silent[] = $end);
            }
        }

        return new Identified($pairs, $whole, $silent, $dead, $open);
    }

    /**
     * @param  array<string, ?string>  $placed
     * @param  list<string>  $left  near ends
     * @param  list<string>  $free  far ends
     */
    private function place(array $placed, array $left, array $free, int $broken): void
    {
        if (count($this->ways) >= self::MOST) {
            return;
        }
        $end = array_shift($left);
        if ($end === null) {
            // The far end of a broken conductor answers nobody.
            $answering = array_filter($free, fn (string $far): bool => self::of($this->farFound, $far) !== null);
            if ($broken === 0 && $answering === []) {
                $this->ways[] = $placed;
            }

            return;
        }
        foreach ($free as $far) {
            if ($this->fits($end, $far, $placed)) {
                $this->place([...$placed, $end => $far], $left, array_values(array_diff($free, [$far])), $broken);
            }
        }
        if ($broken > 0 && self::of($this->nearFound, $end) === null) {
            $this->place([...$placed, $end => null], $left, $free, $broken - 1);
        }
    }

    /**
     * Both readings agree with every conductor placed before.
     *
     * @param  array<string, ?string>  $placed
     */
    private function fits(string $near, string $far, array $placed): bool
    {
        foreach ($placed as $other => $otherFar) {
            $other = (string) $other;
            $twisted = $otherFar !== null && self::joined($this->routine->far, $far, $otherFar);
            if (
                $twisted !== self::joined($this->nearFound, $near, $other) ||
                ($otherFar !== null &&
                    self::joined($this->farFound, $far, $otherFar) !==
                        self::joined($this->nearTwists, $near, $other))
            ) {
                return false;
            }
        }

        return true;
    }

    /** @param  list<list<string>>  $groups */
    private static function joined(array $groups, string $a, string $b): bool
    {
        return in_array($b, self::of($groups, $a) ?? [], true);
    }

    /**
     * @param  list<list<string>>  $groups
     * @return ?list<string>
     */
    private static function of(array $groups, string $end): ?array
    {
        foreach ($groups as $group) {
            if (count($group) > 1 && in_array($end, $group, true)) {
                return $group;
            }
        }

        return null;
    }
}
