<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Coverage;

use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Proving\Steps\LookSteps;

/**
 * What the proofs done so far are worth: of everything single that can be wrong in this house, each fault weighed by
 * how often it is met and shared among the places that it can befall, the share that would have shown.
 *
 * What nothing here shows at all, and what comes and goes, is told apart and counts neither way; what changes nothing
 * in this house, as a bad switch that nothing lands on, is no fault of it.
 */
final readonly class Coverage
{
    /**
     * @param  float  $share  0 to 1, of what can be shown here
     * @param  float  $atEnd  the same once every planned item is done
     * @param  list<Gap>  $gaps  not shown by anything done, the heaviest first
     * @param  list<Gap>  $ahead  those of them that what is planned will not show either
     * @param  list<Fault>  $never  no safe test here shows it
     * @param  list<Fault>  $passing  it comes and goes: shown while it is there
     */
    private function __construct(
        public float $share,
        public float $atEnd,
        public int $counted,
        public array $gaps,
        public array $ahead,
        public array $never,
        public array $passing,
    ) {
    }

    /**
     * @param  list<Fault>  $faults  of the house
     * @param  array<string, list<string>>  $shown  fault ids by item
     * @param  list<Item>  $items  everything that can be done
     * @param  list<string>  $done  keys of items
     * @param  list<string>  $planned  keys of the items that are still to be done anyway
     * @param  callable(Fault): bool  $isNothing  whether a fault that nothing shows changes anything
     */
    public static function of(
        array $faults,
        array $shown,
        array $items,
        array $done,
        array $planned,
        callable $isNothing,
    ): self {
        $by = self::byFault($faults, $shown);
        $real = $never = $passing = [];
        foreach ($faults as $fault) {
            match (true) {
                $fault->intermittent => ($passing[] = $fault),
                ($by[$fault->id] ?? []) !== [] => ($real[] = $fault),
                $isNothing($fault) => null,
                default => ($never[] = $fault),
            };
        }
        $places = array_count_values(array_map(static fn (Fault $f): string => $f->entry, $real));
        $weights = [];
        foreach ($real as $fault) {
            $weights[$fault->id] = $fault->weight() / $places[$fault->entry];
        }
        $all = array_sum($weights);
        $parts = array_map(static fn (float $w): float => $w / $all, $weights);
        $shows = static fn (Fault $f, array $keys): bool => array_any(
            $by[$f->id],
            static fn (string $item): bool => isset($keys[$item]),
        );
        $left = static fn (string ...$keys): array => array_values(
            array_filter($real, static fn (Fault $f): bool => ! $shows($f, array_flip($keys))),
        );
        $open = $left(...$done);
        $ahead = $left(...$done, ...$planned);
        $share = static fn (Fault ...$of): float => $parts === []
            ? 0.0
            : 1.0 - array_sum(array_map(static fn (Fault $f): float => $parts[$f->id], $of));

        return new self(
            $share(...$open),
            $share(...$ahead),
            count($real),
            Gap::all($open, $by, $items, $parts),
            Gap::all($ahead, $by, $items, $parts),
            $never,
            $passing,
        );
    }

    /**
     * @param  list<Fault>  $faults
     * @param  array<string, list<string>>  $shown
     * @return array<string, list<string>> keys of items by fault
     */
    private static function byFault(array $faults, array $shown): array
    {
        $by = [];
        foreach ($shown as $item => $ids) {
            foreach ($ids as $id) {
                $by[$id][] = (string) $item;
            }
        }
        foreach ($faults as $fault) {
            foreach ($fault->looks as $look) {
                $by[$fault->id][] = LookSteps::item($look);
            }
        }

        return $by;
    }
}
