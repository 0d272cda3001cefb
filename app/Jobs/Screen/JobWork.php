<?php

declare(strict_types=1);

namespace App\Jobs\Screen;

use App\House\House;
use App\Models\Job;
use App\Records\Progress\Progress;
use App\Records\Step\StepRecord;
use Unionbit\Core\Planning\Work\Move;
use Unionbit\Core\Planning\Work\MoveList;
use Unionbit\Core\Visit\Workload;

/** The work that a job still holds. */
final class JobWork
{
    public static function of(Job $job, ?Progress $progress = null): Workload
    {
        $progress ??= Progress::of($job);
        $house = House::of($job);
        $facts = count(
            array_filter(
                $progress->survey(),
                static fn (array $i): bool => ! $i['done'] &&
                    ! in_array($i['key'], ['conductors', 'pairings', 'outdoor'], true),
            ),
        );
        $moves =
            $house->plan === null
                ? 0
                : count(
                    array_filter(
                        MoveList::of($house->plan),
                        static fn (Move $m): bool => ! $progress->isMoved($m->key),
                    ),
                );
        $settings = count(array_filter($progress->settings(), static fn (array $s): bool => ! $s['done']));
        $proved = array_keys(
            array_filter($progress->steps(), static fn (StepRecord $s): bool => $s->state() === 'passed'),
        );

        $plan = $job->isService() ? $house->standing : $house->plan;

        return Workload::of(
            $house->installation,
            $plan,
            $job->surveyed_at === null ? $facts : 0,
            $moves,
            $settings,
            array_map(strval(...), $proved),
            $job->counting($job->readings())->exists(),
            $plan === null ? null : House::stepsOf($plan),
        );
    }
}
