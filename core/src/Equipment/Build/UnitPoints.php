<?php

declare(strict_types=1);

namespace Unionbit\Core\Equipment\Build;

use Unionbit\Core\Data\Field;
use Unionbit\Core\Point\At;
use Unionbit\Core\Terminal\Place;

/**
 * How the points and parts of one unit are called in the circuit. Two units in one cabinet (a packaged unit) share the
 * screws that mean the same, and what is inside each stays its own.
 */
final readonly class UnitPoints
{
    /**
     * @param  array<string, string>  $screws  point by the letter that this unit prints
     * @param  list<string>  $ids  of its parts, as the circuit calls them
     * @param  list<array{place: string, printed: string, name: string, wires: int, side: string}>  $terminals
     * @param  bool  $shares  the cabinet of a unit before it, of which it is a part
     * @param  bool  $again  a unit before it has parts of these names
     */
    private function __construct(
        public string $place,
        private string $unit,
        private array $screws,
        private array $ids,
        public array $terminals,
        private bool $shares,
        private bool $again,
    ) {
    }

    /**
     * @param  array{string, Field, string, bool}  $part  place, parts, unit, whether it shares a cabinet
     * @param  list<self>  $before  the units before it
     */
    public static function of(array $part, array $before): self
    {
        [$place, $parts, $unit, $shares] = $part;
        $here = array_values(array_filter($before, static fn (self $p): bool => $shares && $p->place === $place));
        $there = array_merge([], ...array_map(static fn (self $p): array => $p->terminals, $here));
        $screws = $terminals = [];
        foreach ($parts->each('terminals') as $screw) {
            [$printed, $name] = [$screw->string('printed'), $screw->string('name')];
            $same = array_values(array_filter($there, static fn (array $t): bool => $t['name'] === $name));
            $screws[$printed] = At::screw(Place::from($place), $same[0]['printed'] ?? $printed)->id;
            if ($same === []) {
                $terminals[] = [
                    'place' => $place,
                    'printed' => $printed,
                    'name' => $name,
                    'wires' => $screw->int('wires', 1),
                    'side' => $screw->string('side', ''),
                ];
            }
        }
        $ids = [];
        foreach (['loads', 'switches'] as $kind) {
            foreach ($parts->each($kind) as $one) {
                $ids[] = $one->string('id');
            }
        }
        $taken = array_merge([], ...array_map(static fn (self $p): array => $p->ids, $before));

        return new self($place, $unit, $screws, $ids, $terminals, $shares, array_intersect($ids, $taken) !== []);
    }

    /** "indoor.G"; a point inside a unit that shares its cabinet, "indoor.heat-pump-valve". */
    public function point(string $own): string
    {
        return $this->screws[$own] ??
            At::screw(Place::from($this->place), $this->shares ? "{$this->unit}-{$own}" : $own)->id;
    }

    /** "blower-relay"; in the second unit of its kind "blower-relay-indoor-2". */
    public function id(string $own): string
    {
        return $this->again ? "{$own}-{$this->place}" : $own;
    }
}
