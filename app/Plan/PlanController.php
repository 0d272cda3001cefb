<?php

declare(strict_types=1);

namespace App\Plan;

use App\House\Download;
use App\House\House;
use App\House\JobMark;
use App\House\ProfileShelf;
use App\Models\Job;
use App\Models\Record\SettingEntry;
use App\Plan\Paper\DoorPaper;
use App\Plan\Paper\DrawingPaper;
use App\Plan\Paper\LabelsPaper;
use App\Records\Progress\Progress;
use App\Web\Controller;
use App\Web\JsonResponse;
use App\Web\PersonsDay;
use App\Words\Dates;
use App\Words\Words;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Symfony\Component\Serializer\Encoder\CsvEncoder;
use Unionbit\Core\Job\Interview\Interview;
use Unionbit\Core\Planning\Offer\Planner;
use Unionbit\Core\Planning\Offer\PlanOffer;
use Unionbit\Core\Planning\Offer\ThermostatChoice;
use Unionbit\Core\Planning\Offer\Weights;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Work\WiringTable;
use Unionbit\Core\Words\Message;

/** What is computed about plans on demand: the offers, the kinds of thermostat, table, drawing and labels. */
final class PlanController extends Controller
{
    private const MOST_REFUSED = 8;

    public function __construct(private readonly ProfileShelf $shelf)
    {
    }

    /** The plans for a thermostat on this house, by the weights given. */
    public function offers(Request $request, Job $job): JsonResponse
    {
        $this->authorize('view', $job);
        $profile =
            $this->shelf->find($job->crew_id, $request->string('profile')->toString()) ??
            House::of($job)->plan?->profile;
        if ($profile === null) {
            return new JsonResponse([
                'offered' => [],
                'refused' => [],
                'tried' => 0,
                'ruledOut' => [],
                'weights' => (new Weights())->toArray(),
            ]);
        }
        $weights = Weights::from($request->only(['capability', 'parts', 'time', 'risk']));
        $list = Planner::of(House::of($job)->installation, $profile, $weights);
        $view = static fn (PlanOffer $c): array => OfferView::of($c, $weights);

        return new JsonResponse([
            'offered' => array_map($view, $list->offered),
            'refused' => array_map($view, array_slice($list->refused, 0, self::MOST_REFUSED)),
            'tried' => $list->tried,
            'ruledOut' => $list->ruledOut,
            'weights' => $weights->toArray(),
        ]);
    }

    /** Which kinds of thermostat suit this house and what was wished, and two side by side. */
    public function thermostats(Job $job): JsonResponse
    {
        $this->authorize('view', $job);
        $house = House::of($job)->installation;
        $profiles = $this->shelf->of($job->crew_id);
        $facts = [];
        foreach ($profiles as $profile) {
            $facts[$profile->id] = ThermostatFacts::of($profile);
        }

        return new JsonResponse([
            'rows' => array_map(
                static fn (array $row): array => [...$row, 'facts' => $facts[$row['profile']]],
                ThermostatChoice::rank($house, $profiles),
            ),
            'questions' => array_values(
                array_filter(
                    Interview::of($house),
                    static fn (array $q): bool => in_array($q['key'], ThermostatChoice::ASKS, true),
                ),
            ),
        ]);
    }

    public function table(Request $request, Job $job): Response
    {
        return $this->file(
            $request,
            $job,
            'wiring.csv',
            'text/csv; charset=utf-8',
            static fn (Plan $plan): string => (new CsvEncoder([
                CsvEncoder::ESCAPE_FORMULAS_KEY => true,
            ]))->encode(JobMark::rows($job, array_map(Words::spoken(...), WiringTable::rows($plan))), 'csv'),
        );
    }

    public function drawing(Request $request, Job $job): Response
    {
        return $this->file(
            $request,
            $job,
            'wiring.svg',
            'image/svg+xml',
            static fn (Plan $plan): string => DrawingPaper::svg($plan, self::head($job)),
        );
    }

    public function labels(Request $request, Job $job): Response
    {
        return $this->file(
            $request,
            $job,
            'labels.svg',
            'image/svg+xml',
            static fn (Plan $plan): string => LabelsPaper::svg($plan, self::head($job)),
        );
    }

    /** What stays inside the equipment door. */
    public function door(Request $request, Job $job): Response
    {
        $dates = new Dates(app()->getLocale(), PersonsDay::zone($request));

        return $this->file(
            $request,
            $job,
            'door.svg',
            'image/svg+xml',
            static fn (Plan $plan): string => DoorPaper::svg(
                $plan,
                self::head($job),
                Progress::entered($job),
                array_map(static fn (SettingEntry $e): string => $dates->day($e->at), Progress::entries($job)),
                implode(' · ', [$job->crew->name ?? '', $dates->day($job->updated_at)]),
            ),
        );
    }

    private static function head(Job $job): string
    {
        return implode(' · ', array_filter([$job->site, Words::say(JobMark::says($job) ?? Message::none())]));
    }

    /** @param  callable(Plan): string  $content */
    private function file(Request $request, Job $job, string $name, string $type, callable $content): Response
    {
        $this->authorize('view', $job);
        $plan = House::of($job)->plan;
        abort_if($plan === null, 404, Words::of('plan.plan-controller.no-plan-yet'));

        return Download::of($request, $job, $name, $type, $content($plan));
    }
}
