<?php

declare(strict_types=1);

namespace App\Document;

use App\House\ConductorView;
use App\House\House;
use App\Models\Job;
use App\Plan\PlanEditRequest;
use App\Plan\PlanEdits;
use App\Survey\SurveyEditRequest;
use App\Survey\SurveyEdits;
use App\Web\Controller;
use App\Web\JobRequest;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Unionbit\Core\Planning\Offer\Weights;
use Unionbit\Core\Wiring\Condition;
use Unionbit\Core\Wiring\ConductorEntry;
use Unionbit\Core\Wiring\EntryProblem;

/** Edits of a job's shared document, and the preview of a conductor entry. */
final class DocumentController extends Controller
{
    public function __construct(private readonly EditDocument $edit)
    {
    }

    public function survey(SurveyEditRequest $request): JsonResponse
    {
        return $this->change(
            $request,
            fn (Job $job): string => match ($request->string('op')->toString()) {
                'add-conductor' => SurveyEdits::addConductor(
                    $job,
                    $request->string('cable')->toString(),
                    $request->string('line')->toString(),
                ),
                'change-conductor' => SurveyEdits::changeConductor(
                    $job,
                    $request->string('cable')->toString(),
                    $request->integer('number'),
                    $request->string('line')->toString(),
                ),
                'remove-conductor' => SurveyEdits::removeConductor(
                    $job,
                    $request->string('cable')->toString(),
                    $request->integer('number'),
                ),
                'add-conductors' => SurveyEdits::addConductors(
                    $job,
                    $request->string('cable')->toString(),
                    $request->strings('lines'),
                ),
                'read-schedule' => SurveyEdits::readSchedule($job, $request->string('csv')->toString()),
                'answer' => SurveyEdits::answer($job, $request->string('key')->toString(), $request->input('value')),
                'set-archetype' => SurveyEdits::setArchetype($job, $request->string('archetype')->toString()),
                'safety' => SurveyEdits::setSafety($job, $request->devices()),
                'jumpers' => SurveyEdits::setJumpers($job, $request->jumpers()),
                'override' => SurveyEdits::override(
                    $job,
                    $request->crewMember(),
                    $request->string('code')->toString(),
                    trim($request->string('reason')->toString()),
                ),
                'set-cable' => SurveyEdits::setCable(
                    $job,
                    $request->string('cable')->toString(),
                    $request->integer('gauge'),
                    $request->float('feet'),
                ),
                'set-facts' => SurveyEdits::setFacts($job, $this->facts($request)),
                'finish' => $this->finishSurvey($job),
                default => $this->restore($job, $request->integer('to_version')),
            },
        );
    }

    public function plan(PlanEditRequest $request): JsonResponse
    {
        return $this->change(
            $request,
            fn (Job $job): string => match ($request->string('op')->toString()) {
                'choose' => PlanEdits::choose($job, $request->string('profile')->toString()),
                'land' => PlanEdits::land($job, $request->integer('number'), $request->nullableString('screw')),
                'take' => PlanEdits::take(
                    $job,
                    $request->string('key')->toString(),
                    trim($request->string('note')->toString()),
                    Weights::from($request->array('weights')),
                ),
                'board' => PlanEdits::board($job, $request->integer('number'), $request->nullableString('screw')),
                'tie' => PlanEdits::tie(
                    $job,
                    $request->string('place')->toString(),
                    $request->string('a')->toString(),
                    $request->string('b')->toString(),
                ),
                'untie' => PlanEdits::untie($job, $request->string('label')->toString()),
                'link' => PlanEdits::link($job, $request->boolean('in')),
                'use' => PlanEdits::use($job),
                default => $this->restore($job, $request->integer('to_version')),
            },
        );
    }

    public function preview(Request $request, Job $job): JsonResponse
    {
        $this->authorize('view', $job);
        $request->validate([
            'cable' => ['required', 'string', 'max:2'],
            'line' => ['sometimes', 'nullable', 'string', 'max:120'],
            'lines' => ['sometimes', 'array', 'max:50'],
            'lines.*' => ['string', 'max:120'],
        ]);
        $understood = static fn (string $line): array => self::understood(
            SurveyEdits::parse(House::of($job)->installation, $request->string('cable')->toString(), $line),
        );
        $lines = $request->input('lines');

        return new JsonResponse(
            is_array($lines)
                ? array_map(
                    static fn (mixed $line): array => $understood(is_string($line) ? $line : ''),
                    array_values($lines),
                )
                : $understood($request->string('line')->toString()),
        );
    }

    /** @return array<string, mixed> */
    private static function understood(ConductorEntry $entry): array
    {
        return [
            'number' => $entry->number,
            'colour' => $entry->colour?->value,
            'stripe' => $entry->stripe?->value,
            'near' => $entry->near?->toArray(),
            'far' => $entry->far?->toArray(),
            'evidence' => ConductorView::evidence($entry->evidence),
            'complete' => $entry->isComplete(),
            'condition' => array_map(static fn (Condition $c): string => $c->label(), $entry->condition),
            'loopOhms' => $entry->loopOhms,
            'problems' => array_map(static fn (EntryProblem $p): array => $p->toArray(), $entry->problems),
        ];
    }

    /** @param  callable(Job): string  $change */
    private function change(JobRequest $request, callable $change): JsonResponse
    {
        $before = $request->integer('version');
        $job = ($this->edit)($request->job(), $request->crewMember(), $request->id(), $before, $change);

        return new JsonResponse(['version' => $job->version]);
    }

    /** @return array<string, mixed> */
    private function facts(SurveyEditRequest $request): array
    {
        $facts = [];
        foreach ((array) $request->input('facts') as $key => $value) {
            $facts[(string) $key] = match ($key) {
                'commonBonded' => $value === null ? null : $request->boolean("facts.{$key}"),
                'plateLink', 'oldPower' => $value,
                default => $value === null ? null : $request->float("facts.{$key}"),
            };
        }

        return $facts;
    }

    private function finishSurvey(Job $job): string
    {
        if ((House::of($job)->installation->wallCable()->conductors ?? []) === []) {
            throw ValidationException::withMessages([
                'survey' => 'Enter the conductors at the wall first: a plan needs them.',
            ]);
        }
        $job->surveyed_at = now();

        return 'finished the survey';
    }

    private function restore(Job $job, int $version): string
    {
        $revision =
            $job->revisions()->where('version', $version)->first() ??
            throw ValidationException::withMessages(['to_version' => "There is no version {$version} of this job."]);
        $job->survey = $revision->survey;
        $job->plan = $revision->plan;

        return "went back to version {$version}";
    }
}
