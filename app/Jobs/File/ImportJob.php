<?php

declare(strict_types=1);

namespace App\Jobs\File;

use App\Handover\HandOver;
use App\House\JobFiles;
use App\House\ProfileShelf;
use App\Jobs\OpenJob;
use App\Jobs\SitePlace;
use App\Models\Job;
use App\Models\User;
use App\Models\VisitKind;
use Illuminate\Support\Facades\DB;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Planning\File\PlanFile;
use Unionbit\Core\Words\Message;

/** A job out of a job file: the whole file or nothing of it. */
final readonly class ImportJob
{
    public function __construct(private JobFiles $files, private ProfileShelf $shelf)
    {
    }

    /** @throws InvalidData */
    public function __invoke(User $user, string $id, mixed $json): Job
    {
        $file = $this->files->parse($json);
        if (VisitKind::tryFrom($file->kind) === null) {
            throw InvalidData::notAllowed(
                '/kind',
                $file->kind,
                implode(', ', array_column(VisitKind::cases(), 'value')),
            );
        }
        $plan = $file->plan === null ? [] : ['plan' => PlanFile::write($file->plan)];
        $own = is_array($json) && is_array($json['thermostat'] ?? null) ? $json['thermostat'] : null;
        $records = JobRecords::read(is_array($json) ? $json['records'] ?? null : null);
        $demo = is_array($json) && ($json['demo'] ?? false) === true;

        return DB::transaction(function () use ($user, $id, $file, $plan, $own, $records, $demo): Job {
            if ($own !== null && isset($plan['plan'])) {
                $plan['plan']['profile'] = $this->shelf->keep($user->crew_id, $own)->id;
            }
            $known = Job::withTrashed()->find($id);
            $job = OpenJob::with(
                $user,
                $id,
                SitePlace::fresh($file->site, $file->address, $file->system),
                $file->kind,
                $file->installation,
                Message::of('jobs.history.imported'),
                [...$plan, 'demo' => $demo],
            );
            if ($known === null) {
                $records->writeTo($job, $user);
                if ($job->handed_over_at !== null) {
                    $job->forceFill(['handed_over_as' => HandOver::names($job)])->save();
                }
            }

            return $job->refresh();
        });
    }
}
