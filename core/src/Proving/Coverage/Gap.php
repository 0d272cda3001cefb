<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Coverage;

use Unionbit\Core\Fault\Fault;

/** One kind of fault that nothing done would have shown, at one or more places, and the cheapest that would. */
final readonly class Gap
{
    /**
     * @param  list<Fault>  $faults  of one entry of the catalogue
     * @param  float  $share  of everything that can be wrong here
     * @param  ?Item  $cheapest  what shows most of it for its minutes
     */
    private function __construct(public array $faults, public float $share, public ?Item $cheapest)
    {
    }

    /**
     * @param  list<Fault>  $open
     * @param  array<string, list<string>>  $by  items by fault
     * @param  list<Item>  $items
     * @param  array<string, float>  $shares  by fault
     * @return list<self> the heaviest first
     */
    public static function all(array $open, array $by, array $items, array $shares): array
    {
        $named = [];
        foreach ($items as $item) {
            $named[$item->key] = $item;
        }
        $entries = [];
        foreach ($open as $fault) {
            $entries[$fault->entry][] = $fault;
        }
        $gaps = [];
        foreach ($entries as $faults) {
            $share = array_sum(array_map(static fn (Fault $f): float => $shares[$f->id], $faults));
            $gaps[] = new self($faults, $share, self::cheapest($faults, $by, $named, $shares));
        }
        usort($gaps, static fn (self $a, self $b): int => $b->share <=> $a->share);

        return $gaps;
    }

    /**
     * @param  list<Fault>  $faults
     * @param  array<string, list<string>>  $by
     * @param  array<string, Item>  $items
     * @param  array<string, float>  $shares
     */
    private static function cheapest(array $faults, array $by, array $items, array $shares): ?Item
    {
        $gain = [];
        foreach ($faults as $fault) {
            foreach ($by[$fault->id] as $key) {
                $gain[$key] = ($gain[$key] ?? 0.0) + $shares[$fault->id];
            }
        }
        $best = null;
        foreach ($gain as $key => $share) {
            $item = $items[$key] ?? null;
            if (
                $item !== null &&
                ($best === null || $share / $item->minutes > $gain[$best->key] / $best->minutes)
            ) {
                $best = $item;
            }
        }

        return $best;
    }
}
