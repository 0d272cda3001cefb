<?php

declare(strict_types=1);

namespace App\House;

use App\Models\Job;

/** A mark of everything recorded and edited on a job: two devices that have the same mark show the same. */
final class Pulse
{
    public static function of(Job $job): string
    {
        $now = Job::query()
            ->withTrashed()
            ->setEagerLoads([])
            ->select('version', 'recorded', 'handed_over_at')
            ->find($job->id);

        return sprintf('%d.%d.%d', $now->version ?? 0, $now->recorded ?? 0, (int) isset($now->handed_over_at));
    }
}
