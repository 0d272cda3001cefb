<?php

declare(strict_types=1);

namespace App\Prove;

use App\House\House;
use App\House\JobFiles;
use App\Models\Job;
use App\Records\Progress\Progress;
use App\Records\Step\StepRecord;
use App\Web\Controller;
use App\Web\JsonResponse;
use Unionbit\Core\Asked\AskedHouse;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Proving\Coverage\Parting;
use Unionbit\Core\Proving\Judge\Pattern;
use Unionbit\Core\Proving\Judge\StepEvidence;
use Unionbit\Core\Proving\Step\Method;
use Unionbit\Core\Words\Message;

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
            $plan === null || $seen === []
                ? []
                : (new Pattern(AskedHouse::of($plan->circuit()), $files->faults()))->explain($seen);

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
            'brackets' => $plan === null ? [] : self::brackets($plan, $progress, $files),
            'parts' => $plan === null ? null : self::parting($plan, $fits, $progress),
        ]);
    }

    /**
     * The same jumper at the wall and at the board: what single faults give both answers, by the place where they are.
     *
     * @return list<array{call: Message, wall: string, board: string, places: array<string, int>}>
     */
    private static function brackets(Plan $plan, Progress $progress, JobFiles $files): array
    {
        $brackets = [];
        $seen = $progress->seen();
        $states = array_map(static fn (StepRecord $r): string => $r->state(), $progress->steps());
        foreach ($progress->steps() as $key => $record) {
            $board = "{$record->step->call->value}.".Method::BoardJumper->value;
            $both = [$states[$key], $states[$board] ?? ''];
            if (
                $record->step->method !== Method::Jumper ||
                array_diff($both, ['passed', 'failed']) !== [] ||
                ! in_array('failed', $both, true)
            ) {
                continue;
            }
            $two = array_filter(
                $seen,
                static fn (StepEvidence $s): bool => in_array($s->step->key(), [$key, $board], true),
            );
            $fits = (new Pattern(AskedHouse::of($plan->circuit()), $files->faults()))->explain(array_values($two));
            $brackets[] = [
                'call' => $record->step->call->label(),
                'wall' => $both[0],
                'board' => $both[1],
                'places' => array_count_values(array_map(static fn (Fault $f): string => $f->where, $fits)),
            ];
        }

        return $brackets;
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
