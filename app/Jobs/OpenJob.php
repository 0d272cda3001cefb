<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Document\EditDocument;
use App\House\Refused;
use App\Models\Crew\User;
use App\Models\Job;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Unionbit\Core\Job\File\SurveyFile;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Words\Message;

/** Writes a new job with its first revision, once however often it is sent. */
final class OpenJob
{
    /** @param  array<string, mixed>  $fields  further columns, as the plan or the earlier visit */
    public static function with(
        User $user,
        string $id,
        SitePlace $place,
        string $kind,
        Installation $house,
        Message $what,
        array $fields = [],
    ): Job {
        return DB::transaction(static function () use ($user, $id, $place, $kind, $house, $what, $fields): Job {
            $known = Job::withTrashed()->find($id);
            if ($known !== null) {
                return $known->crew_id === $user->crew_id
                    ? $known
                    : throw Refused::at('id', Message::of('jobs.open-job.id-belongs-another-crew'));
            }
            $job = new Job();
            $job->forceFill([
                'id' => $id,
                'crew_id' => $user->crew_id,
                'system_id' => $place->system($user)->id,
                'kind' => $kind,
                'survey' => SurveyFile::write($house),
                'plan' => null,
                'version' => 1,
                ...$fields,
            ])->save();
            $job->refresh();
            EditDocument::revise($job, $user, (string) Str::ulid(), $what);

            return $job;
        });
    }
}
