<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Job;

/** A mark of everything recorded and edited on a job: two devices that have the same mark show the same. */
final class Pulse
{
    /** Whose rows count: each only ever grows. */
    private const RELATIONS = ['readings', 'observations', 'stepEvents', 'powerEvents', 'settingEntries', 'moveTicks', 'photos', 'waivers', 'signatures', 'measurements', 'readingMarks'];

    public static function of(Job $job): string
    {
        $counts = Job::query()->withTrashed()->without('system.site')->whereKey($job->id)->select('id')->withCount(self::RELATIONS)->toBase()->first();

        return implode('.', [$job->version, (int) ($job->handed_over_at !== null), (int) ($job->practice !== null), ...array_slice(array_values((array) $counts), 1)]);
    }
}
