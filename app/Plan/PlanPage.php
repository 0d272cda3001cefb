<?php

declare(strict_types=1);

namespace App\Plan;

use App\House\BoardView;
use App\House\Catalog;
use App\House\FindingView;
use App\House\House;
use App\House\ProfileShelf;
use App\House\SurveyReadings;
use App\Models\Job;
use App\Models\Kind\Stage;
use App\Records\Photo\Photographs;
use App\Records\Progress\Progress;
use App\Records\Reading\ReadingView;
use App\Stage\JobFrame;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\Interview\Assumptions;
use Unionbit\Core\Job\Interview\Interview;
use Unionbit\Core\Planning\MappingRules;
use Unionbit\Core\Planning\Offer\ThermostatChoice;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Proof\CallProof;
use Unionbit\Core\Planning\Proof\PreCheck;
use Unionbit\Core\Planning\Proof\ShortPath;
use Unionbit\Core\Planning\Proof\Simulation;
use Unionbit\Core\Planning\Work\Move;
use Unionbit\Core\Planning\Work\MoveList;
use Unionbit\Core\Planning\Work\PullList;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Thermostat\Profile;
use Unionbit\Core\Visit\Carry;
use Unionbit\Core\Wiring\Jumper;
use Unionbit\Core\Words\Message;

final class PlanPage
{
    /** @return array<string, mixed> */
    public static function props(Job $job): array
    {
        $house = House::of($job);
        $progress = Progress::of($job);

        $shipped = app(Catalog::class)->ids('thermostats');

        return [
            ...JobFrame::props($job, $house->circuit(), $progress),
            'profiles' => array_map(
                static fn (Profile $p): array => [
                    'id' => $p->id,
                    'title' => $p->title,
                    'power' => $p->power->label(),
                    'remote' => $p->remoteControl,
                    'screws' => array_map(static fn ($t): string => $t->printed, $p->terminals),
                    'own' => ! in_array($p->id, $shipped, true),
                ],
                app(ProfileShelf::class)->of($job->crew_id),
            ),
            'chosen' => $house->plan?->profile->id,
            'used' => $job->planned_at !== null,
            'wished' => self::wished($house->installation),
            'conductors' => count($house->installation->wallConductors()),
            'stops' => FindingView::all(SurveyReadings::stops($job)),
            'assumes' => Assumptions::of($house->installation, SurveyReadings::supplyMeasured($job)),
            'photosMissing' => Photographs::missing($job),
            'plan' => $house->plan === null
                    ? null
                    : self::plan($progress, $house->plan, $house->installation, $job->planned_at !== null),
            'readings' => ReadingView::log($job, Stage::Plan),
        ];
    }

    /** @return list<?Message> what is wanted of the new thermostat, as answered: offers change with it */
    private static function wished(Installation $house): array
    {
        $wished = [];
        foreach (Interview::of($house) as $question) {
            if ($question['said'] !== null && in_array($question['key'], ThermostatChoice::ASKS, true)) {
                $wished[] = $question['said'];
            }
        }

        return $wished;
    }

    /** @return array<string, mixed> */
    private static function plan(Progress $progress, Plan $plan, Installation $found, bool $used): array
    {
        return [
            'choice' => $plan->choice?->toArray(),
            'short' => ShortPath::of($plan)?->toArray(),
            'ties' => array_map(
                static fn (Jumper $j): array => [
                    'place' => $j->place->value,
                    'label' => $j->label,
                    'a' => $j->a,
                    'b' => $j->b,
                ],
                $plan->landing->jumpers,
            ),
            'boards' => array_map(
                static fn (Place $p): array => [
                    'place' => $p->value,
                    'name' => $plan->installation->placeName($p),
                    'screws' => $plan->installation->archetype->printedAt($p),
                ],
                $plan->installation->archetype->boards,
            ),
            'checks' => $used ? PreCheck::of($plan) : [],
            'carry' => Carry::of($plan->installation, $plan),
            'board' => BoardView::of($plan),
            'simulations' => BoardView::simulations($plan),
            'proofs' => array_map(static fn (CallProof $p): array => $p->toArray(), Simulation::prove($plan)),
            'findings' => FindingView::all(MappingRules::check($plan)),
            'pull' => PullList::of($plan, $found),
            'moves' => array_map(
                static fn (Move $m): array => [...$m->toArray(), 'done' => $progress->isMoved($m->key)],
                MoveList::of($plan),
            ),
        ];
    }
}
