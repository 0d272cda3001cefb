<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Job;
use App\Models\Reading;
use Unionbit\Core\Planning\Move;
use Unionbit\Core\Planning\MoveList;

/** What is still open while the power is about to come on: ohms that fail, what a running step has taken apart, a landing half done. */
final class BeforeLive
{
    /** @return list<string> in words; empty where nothing speaks against it */
    public static function of(Job $job): array
    {
        $steps = StepRecord::all($job);

        return [...self::ohms($job), ...self::apart($steps), ...self::landing($job)];
    }

    /** @return list<string> the last ohms of every pair that were not as expected */
    private static function ohms(Job $job): array
    {
        $last = [];
        foreach ($job->counting($job->readings())->whereIn('stage', ['plan', 'prove'])->where('mode', 'O')->get() as $reading) {
            $last["{$reading->a}~{$reading->b}"] = $reading;
        }
        $failing = array_filter($last, static fn (Reading $r): bool => $r->outcome === 'fail');

        return array_values(array_map(static fn (Reading $r): string => sprintf(
            'Ohms %s to %s failed: %s. %s', $r->a, $r->b, $r->value === null ? 'over limit' : round($r->value, 2).' Ω', $r->reason,
        ), $failing));
    }

    /**
     * @param  array<string, StepRecord>  $steps
     * @return list<string>
     */
    private static function apart(array $steps): array
    {
        $open = [];
        foreach ($steps as $record) {
            foreach ($record->isRunning() ? $record->step->restore : [] as $item) {
                $open[] = "Not put back yet: {$item}.";
            }
        }

        return $open;
    }

    /** @return list<string> */
    private static function landing(Job $job): array
    {
        $plan = $job->house()->plan;
        $ticks = $job->counting($job->moveTicks())->get()->mapWithKeys(static fn ($t): array => [$t->move => $t->done]);
        $moves = $plan === null ? [] : MoveList::of($plan);
        $done = count(array_filter($moves, static fn (Move $m): bool => $ticks[$m->key] ?? false));

        return $done === 0 || $done === count($moves) ? [] : ["Landing half done: {$done} of ".count($moves).' moves.'];
    }
}
