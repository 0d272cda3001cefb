<?php

declare(strict_types=1);

namespace App\Jobs\File;

use App\House\House;
use App\Models\Job;
use App\Models\OwnProfile;
use Unionbit\Core\Planning\File\JobFile;

/** A job as a job file: the house, its plan, a thermostat of the crew's own, and every record. */
final class WriteJob
{
    private const JSON =
        JSON_PRETTY_PRINT |
        JSON_UNESCAPED_UNICODE |
        JSON_UNESCAPED_SLASHES |
        JSON_PRESERVE_ZERO_FRACTION |
        JSON_THROW_ON_ERROR;

    public static function json(Job $job): string
    {
        $house = House::of($job);
        $own = OwnProfile::withTrashed()->find($house->plan->profile->id ?? '')?->profile;
        $records = JobRecords::of($job);
        $file = [
            ...JobFile::write(
                $job->site,
                $job->address,
                $job->kind->value,
                $house->installation,
                $house->plan,
                $job->system_name,
                $own,
            ),
            'id' => $job->origin_id ?? $job->id,
            ...$job->demo ? ['demo' => true] : [],
            ...$job->isPractice() ? ['practice' => true] : [],
            ...$records === [] ? [] : ['records' => $records],
        ];

        return json_encode($file, self::JSON)."\n";
    }
}
