<?php

declare(strict_types=1);

namespace App\Pages;

use App\Models\Job;
use App\Support\Catalog;
use App\Support\Photographs;
use App\Support\Progress;
use App\Support\SurveyReadings;
use Unionbit\Core\Job\Assumptions;
use Unionbit\Core\Planning\CallProof;
use Unionbit\Core\Planning\MappingRules;
use Unionbit\Core\Planning\Move;
use Unionbit\Core\Planning\MoveList;
use Unionbit\Core\Planning\Plan;
use Unionbit\Core\Planning\Simulation;
use Unionbit\Core\Thermostat\Profile;

final class PlanPage
{
    /** @return array<string, mixed> */
    public static function props(Job $job): array
    {
        $house = $job->house();
        $progress = Progress::of($job);

        return [
            ...JobFrame::props($job, $house->circuit(), $progress),
            'profiles' => array_map(static fn (Profile $p): array => ['id' => $p->id, 'title' => $p->title, 'power' => $p->power->label(), 'remote' => $p->remoteControl, 'screws' => array_map(static fn ($t): string => $t->printed, $p->terminals)], app(Catalog::class)->profiles()),
            'chosen' => $house->plan?->profile->id,
            'used' => $job->planned_at !== null,
            'conductors' => count($house->installation->wallCable()->conductors ?? []),
            'stops' => FindingView::all(SurveyReadings::stops($job)),
            'assumes' => Assumptions::of($house->installation, SurveyReadings::supplyMeasured($job)),
            'photosMissing' => Photographs::missing($job),
            'plan' => $house->plan === null ? null : self::plan($progress, $house->plan),
            'readings' => ReadingView::log($job, 'plan'),
        ];
    }

    /** @return array<string, mixed> */
    private static function plan(Progress $progress, Plan $plan): array
    {
        return [
            'board' => BoardView::of($plan),
            'simulations' => BoardView::simulations($plan),
            'proofs' => array_map(static fn (CallProof $p): array => $p->toArray(), Simulation::prove($plan)),
            'findings' => FindingView::all(MappingRules::check($plan)),
            'moves' => array_map(static fn (Move $m): array => [...$m->toArray(), 'done' => $progress->isMoved($m->key)], MoveList::of($plan)),
        ];
    }
}
