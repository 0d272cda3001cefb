<?php

declare(strict_types=1);

namespace App\Jobs\Archive;

use App\Crew\SecurityKind;
use App\Crew\SecurityLog;
use App\Errand\Runs;
use App\House\JobMark;
use App\Models\Job;
use App\Models\Work\Errand;
use Illuminate\Support\Facades\Storage;

/** A house with all of its records and photographs, in one file to be fetched. */
final class MakeArchive implements Runs
{
    public static function kind(): string
    {
        return 'archive';
    }

    public function run(Errand $errand): array
    {
        $job = Job::query()->withTrashed()->findOrFail($errand->job_id);
        Storage::disk('local')->makeDirectory($errand->folder());
        Archive::write($job, Storage::disk('local')->path($errand->folder().'/job.zip'), $errand->tell(...));
        SecurityLog::write(SecurityKind::Exported, "archive of job {$job->id}", $errand->user);

        return [
            'file' => 'job.zip',
            'fileName' => JobMark::fileName($job, '.zip'),
            'fileType' => 'application/zip',
        ];
    }
}
