<?php

declare(strict_types=1);

namespace App\Records\Power;

use App\Models\Job;
use App\Models\Record\Reading;
use App\Models\Stage;
use App\Records\Progress;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Proving\Judge\Outcome;

/** What is still open while the power is about to come on: ohms that fail, what a running step has taken apart, a landing half done. */
final class BeforeLive
{
    /** @return list<string> in words; empty where nothing speaks against it */
    public static function of(Job $job, ?Progress $progress = null): array
    {
        $progress ??= Progress::of($job);
        $apart = array_map(static fn (string $item): string => "Not put back yet: {$item}.", $progress->restore());

        return [...self::ohms($job), ...$apart, ...self::landing($progress)];
    }

    /** @return list<string> the last ohms of every pair that were not as expected */
    private static function ohms(Job $job): array
    {
        $last = [];
        foreach (
            $job
                ->counting($job->readings())
                ->whereIn('stage', [Stage::Plan, Stage::Prove])
                ->where('mode', MeterMode::Ohms)
                ->get() as $reading
        ) {
            $last["{$reading->a}~{$reading->b}"] = $reading;
        }
        $failing = array_filter($last, static fn (Reading $r): bool => $r->outcome === Outcome::Fail);

        return array_values(
            array_map(
                static fn (Reading $r): string => sprintf(
                    'Ohms %s to %s failed: %s. %s',
                    $r->a,
                    $r->b,
                    $r->value === null ? 'over limit' : round($r->value, 2).' Ω',
                    $r->reason,
                ),
                $failing,
            ),
        );
    }

    /** @return list<string> */
    private static function landing(Progress $progress): array
    {
        $moves = array_column($progress->moves(), 'done');
        $done = count(array_filter($moves));

        return $done === 0 || $done === count($moves)
            ? []
            : ["Landing half done: {$done} of ".count($moves).' moves.'];
    }
}
