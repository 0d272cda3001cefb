<?php

declare(strict_types=1);

namespace App\House;

use App\Models\Job;
use App\Web\Controller;
use App\Web\JsonResponse;

/** A mark that changes with every record and edit: another device asks for it every second or two. */
final class PulseController extends Controller
{
    public function __invoke(Job $job): JsonResponse
    {
        $this->authorize('view', $job);

        return new JsonResponse(['mark' => Pulse::of($job)]);
    }
}
