<?php

declare(strict_types=1);

namespace App\Prove;

use App\House\House;
use App\House\JobFiles;
use App\Models\Job;
use App\Records\Progress;
use App\Web\Controller;
use App\Web\JsonResponse;
use Unionbit\Core\Proving\Judge\Pattern;

/** What a pattern of passes and fails points to. */
final class PatternController extends Controller
{
    private const MOST_NAMED = 6;

    /** Single faults of the catalogue that give exactly what the voltage proofs have shown so far. */
    public function __invoke(Job $job, JobFiles $files): JsonResponse
    {
        $this->authorize('view', $job);
        $plan = House::of($job)->plan;
        $seen = Progress::of($job)->seen();
        $fits =
            $plan === null || $seen === [] ? [] : (new Pattern($plan->circuit(), $files->faults()))->explain($seen);

        return new JsonResponse([
            'calls' => count($seen),
            'fits' => array_slice($fits, 0, self::MOST_NAMED),
            'of' => count($fits),
        ]);
    }
}
