<?php

declare(strict_types=1);

namespace App\Records\Reading;

use App\Models\Job;
use App\Models\Stage;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Proving\Judge\Outcome;

/** Whether ohms before power found a short that is gone now: what it has done to coils shows in the current. */
final class ShortRepaired
{
    public static function in(Job $job): bool
    {
        $short = [];
        $ohms = $job
            ->counting($job->readings())
            ->whereIn('stage', [Stage::Plan, Stage::Prove])
            ->where('mode', MeterMode::Ohms)
            ->get();
        foreach ($ohms as $reading) {
            $pair = "{$reading->a}~{$reading->b}";
            $low = $reading->expected['low'] ?? null;
            if ($reading->outcome === Outcome::Pass && isset($short[$pair])) {
                return true;
            }
            if ($reading->outcome === Outcome::Fail && is_numeric($low) && ($reading->value ?? INF) < $low) {
                $short[$pair] = true;
            }
        }

        return false;
    }
}
