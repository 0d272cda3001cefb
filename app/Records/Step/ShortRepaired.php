<?php

declare(strict_types=1);

namespace App\Records\Step;

use App\Models\Job;
use App\Models\Kind\Stage;
use App\Models\Record\Reading;
use Illuminate\Support\Collection;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Proving\Step\Outcome;

/** Whether ohms before power found a short that is gone now: what it has done to coils shows in the current. */
final class ShortRepaired
{
    /** @return Collection<int, Reading> before power, in their order */
    public static function ohms(Job $job): Collection
    {
        return $job
            ->counting($job->readings())
            ->whereIn('stage', [Stage::Plan, Stage::Prove])
            ->where('mode', MeterMode::Ohms)
            ->get();
    }

    public static function in(Job $job): bool
    {
        $short = [];
        foreach (self::ohms($job) as $reading) {
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
