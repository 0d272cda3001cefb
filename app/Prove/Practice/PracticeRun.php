<?php

declare(strict_types=1);

namespace App\Prove\Practice;

use App\Document\EditDocument;
use App\House\House;
use App\House\JobFiles;
use App\House\Refused;
use App\Models\Crew\User;
use App\Models\Job;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Words\Message;

/**
 * Practice on a house: a copy of the job, with a hidden fault or none, that belongs to the person who practises. It has
 * a power flag, records and progress of its own; the job that it was copied from is not touched, whatever is done
 * there.
 */
final readonly class PracticeRun
{
    private const ANY = 'any';

    public function __construct(private JobFiles $files)
    {
    }

    /**
     * A new copy; one that this person still has of the job ends.
     *
     * @param  string  $fault  id of a fault of the catalogue, "any", or empty for a house in order
     *
     * @throws ValidationException without a thermostat chosen, or for a fault that this house cannot have
     */
    public function begin(Job $job, User $user, string $fault): Job
    {
        $hidden = $this->fault($job, $fault);

        return DB::transaction(static function () use ($job, $user, $hidden): Job {
            Job::query()
                ->where('practice_of_id', $job->id)
                ->where('practice_user_id', $user->id)
                ->get()
                ->each(self::end(...));
            $copy = new Job();
            $copy
                ->forceFill([
                    'id' => (string) Str::ulid(),
                    'crew_id' => $job->crew_id,
                    'system_id' => $job->system_id,
                    'kind' => $job->kind,
                    'survey' => $job->survey,
                    'plan' => $job->plan,
                    'version' => 1,
                    'surveyed_at' => $job->surveyed_at,
                    'planned_at' => $job->planned_at,
                    'demo' => $job->demo,
                    'practice_of_id' => $job->id,
                    'practice_user_id' => $user->id,
                    'practice' => $hidden,
                ])
                ->save();
            EditDocument::revise(
                $copy->refresh(),
                $user,
                (string) Str::ulid(),
                Message::of('jobs.history.practice'),
            );

            return $copy;
        });
    }

    /** Ends it. What was recorded in practice stays with the copy, which is shown nowhere any more. */
    public static function end(Job $copy): void
    {
        if ($copy->isPractice()) {
            $copy->delete();
        }
    }

    private function fault(Job $job, string $wanted): string
    {
        $plan =
            House::of($job)->standing ??
            throw Refused::at('on', Message::of('prove.practice-run.choose-thermostat-first'));
        if ($wanted === '') {
            return '';
        }
        $ids = array_map(static fn (Fault $f): string => $f->id, $this->files->faults()->of($plan->circuit()));
        if ($wanted === self::ANY && $ids !== []) {
            return $ids[random_int(0, count($ids) - 1)];
        }

        return in_array($wanted, $ids, true)
            ? $wanted
            : throw Refused::at(
                'fault',
                Message::of('prove.practice-run.house-cannot-have-fault', wanted: $wanted),
            );
    }
}
