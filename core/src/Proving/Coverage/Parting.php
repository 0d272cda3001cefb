<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Coverage;

use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Proving\Route\Walk;
use Unionbit\Core\Proving\Step\Step;
use Unionbit\Core\Proving\Step\Waits;

/** The step that parts faults which all give what was seen: most groups for its minutes. */
final readonly class Parting
{
    /** @param  int  $groups  into how many kinds of outcome they fall there */
    private function __construct(public Step $step, public int $groups, public int $minutes)
    {
    }

    /**
     * @param  list<Fault>  $fits
     * @param  list<Step>  $steps  that have not been done
     */
    public static function of(Plan $plan, array $fits, array $steps): ?self
    {
        $witness = new Witness($plan);
        $best = null;
        foreach (count($fits) > 1 ? $steps : [] as $step) {
            $outcomes = [];
            foreach ($fits as $fault) {
                $outcomes[$fault->id] = '';
            }
            foreach ($witness->of($step, $fits) as $item => $ids) {
                foreach ($ids as $id) {
                    $outcomes[$id] .= " {$item}";
                }
            }
            $minutes = max(1, (new Walk(new Waits($plan->installation)))->through([$step])->minutes());
            $groups = count(array_unique($outcomes));
            if ($groups > 1 && ($best === null || $best->worth() < ($groups - 1) / $minutes)) {
                $best = new self($step, $groups, $minutes);
            }
        }

        return $best;
    }

    private function worth(): float
    {
        return ($this->groups - 1) / $this->minutes;
    }
}
