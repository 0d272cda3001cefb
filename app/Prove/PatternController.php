<?php

declare(strict_types=1);

namespace App\Prove;

use App\House\House;
use App\House\JobFiles;
use App\Models\Job;
use App\Records\Progress;
use App\Records\Step\StepRecord;
use App\Web\Controller;
use App\Web\JsonResponse;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Proving\Judge\Parting;
use Unionbit\Core\Proving\Judge\Pattern;

/** What a pattern of passes and fails points to. */
final class PatternController extends Controller
{
    /** With more fits than these the step that parts them is not asked for: any failing proof narrows them first. */
    private const MOST_PARTED = 40;

    /** Single faults of the catalogue that give exactly what the proofs have shown so far, and what would part them. */
    public function __invoke(Job $job, JobFiles $files): JsonResponse
    {
        $this->authorize('view', $job);
        $plan = House::of($job)->standing;
        $progress = Progress::of($job);
        $seen = $progress->seen();
        $fits =
            $plan === null || $seen === [] ? [] : (new Pattern($plan->circuit(), $files->faults()))->explain($seen);

        return new JsonResponse([
            'calls' => count($seen),
            'fits' => array_map(
                static fn (Fault $f): array => [
                    'id' => $f->id,
                    'title' => $f->title,
                    'where' => $f->where,
                    'fix' => $f->fix,
                    'prior' => $f->prior,
                ],
                $fits,
            ),
            'of' => count($fits),
            'parts' => $plan === null ? null : self::parting($plan, $fits, $progress),
        ]);
    }

    /**
     * @param  list<Fault>  $fits
     * @return ?array<string, mixed>
     */
    private static function parting(Plan $plan, array $fits, Progress $progress): ?array
    {
        $open = array_filter($progress->steps(), static fn (StepRecord $r): bool => $r->startedAt === null);
        $parting =
            count($fits) > self::MOST_PARTED
                ? null
                : Parting::of($plan, $fits, array_values(array_map(static fn (StepRecord $r) => $r->step, $open)));

        return $parting === null
            ? null
            : [
                'step' => $parting->step->key(),
                'call' => $parting->step->call->label(),
                'method' => $parting->step->method->label(),
                'groups' => $parting->groups,
                'minutes' => $parting->minutes,
            ];
    }
}
