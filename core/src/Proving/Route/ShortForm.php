<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Route;

use Unionbit\Core\Proving\Step\Method;
use Unionbit\Core\Proving\Step\Step;
use Unionbit\Core\Proving\Step\Waits;

/**
 * The order that closes every call by voltage with the fewest readings, walks, power changes and waits: at rest first,
 * stages joined to the call that runs, what needs no compressor put where a compressor has to rest.
 */
final readonly class ShortForm
{
    public function __construct(private Waits $waits)
    {
    }

    /**
     * @param  list<Step>  $steps  in the order of the calls
     * @return list<Step>
     */
    public function order(array $steps): array
    {
        $first = array_values(array_filter($steps, self::comesFirst(...)));
        $chains = $this->chains(
            array_values(array_filter($steps, static fn (Step $s): bool => ! self::comesFirst($s))),
        );
        $ordered = $first;
        while ($chains !== []) {
            $next = $this->next($ordered, $chains);
            array_push($ordered, ...$chains[$next]);
            array_splice($chains, $next, 1);
        }

        return $ordered;
    }

    private static function comesFirst(Step $step): bool
    {
        return in_array($step->method, [Method::PreCheck, Method::AtRest, Method::Looks], true);
    }

    /**
     * The chain that can begin with the least waiting; the earlier one where two are alike.
     *
     * @param  list<Step>  $done
     * @param  non-empty-list<list<Step>>  $chains
     */
    private function next(array $done, array $chains): int
    {
        $best = 0;
        $least = PHP_INT_MAX;
        foreach ($chains as $n => $chain) {
            $waited = (new Walk($this->waits))->through([...$done, $chain[0]])->waitMinutes();
            if ($waited < $least) {
                [$best, $least] = [$n, $waited];
            }
        }

        return $best;
    }

    /**
     * @param  list<Step>  $steps
     * @return list<list<Step>> each stage behind the one that it joins
     */
    private function chains(array $steps): array
    {
        $chains = [];
        foreach ($steps as $step) {
            $at = array_find_key(
                $chains,
                static fn (array $c): bool => $step->follows !== null && end($c)->key() === $step->follows,
            );
            $at === null ? ($chains[] = [$step]) : ($chains[$at][] = $step);
        }

        return $chains;
    }
}
