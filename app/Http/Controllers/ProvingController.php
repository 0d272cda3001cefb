<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\ReadingRequest;
use App\Models\Job;
use App\Support\JobFiles;
use App\Support\Practice;
use App\Support\Progress;
use App\Support\Pulse;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Proving\Pattern;

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
        $plan = $job->house()->plan;
        $seen = Progress::of($job)->seen();
        $fits = $plan === null || $seen === [] ? [] : (new Pattern($plan->circuit(), $files->faults()))->explain($seen);

        return new JsonResponse(['calls' => count($seen), 'fits' => array_slice($fits, 0, self::MOST_NAMED), 'of' => count($fits)]);
    }

    public function practice(Request $request, Job $job): JsonResponse
    {
        $this->authorize('work', $job);
        $request->validate(['on' => ['required', 'boolean'], 'fault' => ['nullable', 'string', 'max:80']]);
        $plan = $job->house()->plan ?? throw ValidationException::withMessages(['on' => 'Choose a thermostat first.']);
        $wanted = $request->string('fault')->toString();
        $ids = array_map(static fn (Fault $f): string => $f->id, app(JobFiles::class)->faults()->of($plan->circuit()));
        if ($wanted === 'any') {
            $wanted = $ids[random_int(0, count($ids) - 1)];
        }
        if ($wanted !== '' && ! in_array($wanted, $ids, true)) {
            throw ValidationException::withMessages(['fault' => "This house cannot have the fault {$wanted}."]);
        }
        Job::query()->whereKey($job->id)->update(['practice' => $request->boolean('on') ? $wanted : null]);

        return new JsonResponse(['practice' => $request->boolean('on')]);
    }

    public function reading(ReadingRequest $request): JsonResponse
    {
        return new JsonResponse(['value' => Practice::reading($request->job(), $request->place())]);
    }

    public function signs(Request $request, Job $job): JsonResponse
    {
        $this->authorize('work', $job);

        return new JsonResponse(['signs' => Practice::signs($job, $request->string('step')->toString())]);
    }
}
