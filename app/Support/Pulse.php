<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Job;

/** A mark of everything recorded and edited on a job: two devices that have the same mark show the same. */
final class Pulse
{
    public static function of(Job $job): string
    {
        $counts = [$job->version, $job->handed_over_at !== null, $job->practice !== null, $job->readings()->count(), $job->observations()->count(), $job->stepEvents()->count(), $job->powerEvents()->count(), $job->settingEntries()->count(), $job->moveTicks()->count(), $job->photos()->count(), $job->waivers()->count(), $job->signatures()->count(), $job->measurements()->count(), $job->readingMarks()->count()];

        return implode('.', array_map(intval(...), $counts));
    }
}
