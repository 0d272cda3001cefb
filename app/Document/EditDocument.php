<?php

declare(strict_types=1);

namespace App\Document;

use App\House\Refused;
use App\Models\Crew\User;
use App\Models\Job;
use App\Models\JobRevision;
use App\Records\Append;
use App\Web\JsonResponse;
use App\Words\Words;
use Illuminate\Support\Facades\DB;
use Unionbit\Core\Words\Message;

/**
 * Changes a job's shared document: one transaction, one revision. Sending the same edit again changes nothing;
 * an edit made on an older version is kept beside those since where they do not touch, else both sides are told.
 */
final class EditDocument
{
    /**
     * @param  string  $id  client-made ULID of the edit
     * @param  int  $version  the version that the edit was made on
     *
     * @throws StaleEdit where somebody else changed the same since that version
     * @throws Refused where the house does not take it
     */
    public function __invoke(Job $job, User $user, string $id, int $version, Edit $edit): Job
    {
        return DB::transaction(static function () use ($job, $user, $id, $version, $edit): Job {
            $made = JobRevision::query()->find($id);
            if ($made !== null && $made->job_id !== $job->id) {
                throw Refused::at('id', Message::of('document.edit-document.id-belongs-edit-another-job'));
            }
            if ($made !== null) {
                return $job->refresh();
            }
            Append::open($job);
            $what =
                $job->version === $version
                    ? $edit->apply($job, $user)
                    : Beside::apply($job, $user, $version, $edit);
            $job->version++;
            $job->save();
            self::revise($job, $user, $id, $what);

            return $job;
        });
    }

    /** The edit that a request asks for, and the version that it made. */
    public function answer(EditRequest $request): JsonResponse
    {
        $job = $this(
            $request->job(),
            $request->crewMember(),
            $request->id(),
            $request->integer('version'),
            $request->edit(),
        );

        return new JsonResponse(['version' => $job->version]);
    }

    public static function revise(Job $job, User $user, string $id, Message $what): void
    {
        $revision = new JobRevision();
        $revision
            ->forceFill([
                'id' => $id,
                'job_id' => $job->id,
                'user_id' => $user->id,
                'version' => $job->version,
                'what' => Words::say($what),
                'survey' => $job->survey,
                'plan' => $job->plan,
            ])
            ->save();
    }
}
