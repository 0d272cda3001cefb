<?php

declare(strict_types=1);

namespace App\Prove\Practice;

use App\Models\Job;
use App\Records\Reading\ReadingRequest;
use App\Web\Controller;
use App\Web\JsonResponse;
use Illuminate\Http\Request;

/** Practice on a simulated house: a copy of a job, begun and ended, its meter and its loads. */
final class PracticeController extends Controller
{
    /** Begins to practise on a copy of this job, or ends the copy; answers with where to go on. */
    public function toggle(Request $request, Job $job, PracticeRun $practice): JsonResponse
    {
        $this->authorize('practise', $job);
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
