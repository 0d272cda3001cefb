<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Job;
use App\Support\Progress;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;

/** Closes a job: only with every line done. */
final class HandoverController extends Controller
{
    public function __invoke(Job $job): JsonResponse
    {
        $this->authorize('view', $job);
        if ($job->handed_over_at === null) {
            $missing = array_values(array_filter(Progress::of($job)->handover(), static fn (array $l): bool => ! $l['done']));
            if ($missing !== []) {
                throw ValidationException::withMessages(['handover' => 'Not yet: '.implode(', ', array_column($missing, 'label')).'.']);
            }
            $job->handed_over_at = now();
            $job->save();
        }

        return new JsonResponse(['handedOverAt' => $job->handed_over_at->toIso8601String()]);
    }
}
