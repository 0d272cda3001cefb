<?php

declare(strict_types=1);

namespace App\Prove;

use App\House\House;
use App\House\JobFiles;
use App\House\Pulse;
use App\Models\Job;
use App\Prove\Practice\Practice;
use App\Prove\Practice\PracticeRun;
use App\Records\Progress;
use App\Records\Reading\ReadingRequest;
use App\Web\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Unionbit\Core\Proving\Judge\Pattern;

/** Around the proofs: what is new on this job, what a pattern of passes and fails points to, and practice on a simulated house. */
final class ProvingController extends Controller
{
    private const MOST_NAMED = 6;

    /** A mark that changes with every record and edit: another device asks for it every second or two. */
    public function pulse(Job $job): JsonResponse
    {
        $this->authorize('view', $job);

        return new JsonResponse(['mark' => Pulse::of($job)]);
    }

    /** Single faults of the catalogue that give exactly what the voltage proofs have shown so far. */
    public function pattern(Job $job, JobFiles $files): JsonResponse
    {
        $this->authorize('view', $job);
        $plan = House::of($job)->plan;
        $seen = Progress::of($job)->seen();
        $fits = $plan === null || $seen === [] ? [] : (new Pattern($plan->circuit(), $files->faults()))->explain($seen);

        return new JsonResponse([
            'calls' => count($seen),
            'fits' => array_slice($fits, 0, self::MOST_NAMED),
            'of' => count($fits),
        ]);
    }

    /** Begins to practise on a copy of this job, or ends the copy; answers with where to go on. */
    public function practice(Request $request, Job $job, PracticeRun $practice): JsonResponse
    {
        $this->authorize('view', $job);
        $request->validate(['on' => ['required', 'boolean'], 'fault' => ['nullable', 'string', 'max:80']]);
        $real = $job->isPractice() ? Job::query()->findOrFail($job->practice_of_id) : $job;
        if ($request->boolean('on')) {
            $copy = $practice->begin($real, self::user($request), $request->string('fault')->toString());

            return new JsonResponse(['id' => $copy->id, 'url' => "/jobs/{$copy->id}/prove"]);
        }
        PracticeRun::end($job);

        return new JsonResponse(['id' => $real->id, 'url' => "/jobs/{$real->id}/prove"]);
    }

    public function reading(ReadingRequest $request): JsonResponse
    {
        return new JsonResponse(['value' => Practice::reading($request->job(), $request->place())]);
    }

    public function signs(Request $request, Job $job): JsonResponse
    {
        $this->authorize('work', $job);
        $request->validate(['step' => ['required', 'string', 'max:40']]);

        return new JsonResponse(['signs' => Practice::signs($job, $request->string('step')->toString())]);
    }
}
