<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Document\EditDocument;
use App\Jobs\Screen\JobsPage;
use App\Models\Job;
use App\Web\Controller;
use App\Web\JsonResponse;
use App\Web\Page;
use App\Web\PersonsDay;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Inertia\Response;

/** The crew's jobs: the list and its day, new ones, copies, details, and the shelf they are put away on. */
final class JobsController extends Controller
{
    public function index(Request $request): Response
    {
        $request->validate([
            'find' => ['nullable', 'string', 'max:100'],
            'show' => ['nullable', Rule::in(JobsPage::SHOWS)],
            'day' => ['nullable', 'date_format:Y-m-d'],
            'rows' => ['nullable', 'integer', 'between:1,'.JobsPage::MOST_ROWS],
        ]);

        return Page::of(
            'Jobs',
            JobsPage::props(
                self::user($request),
                $request->string('find')->toString(),
                $request->string('show', 'all')->toString(),
                $request->filled('day') ? $request->string('day')->toString() : null,
                $request->integer('rows', JobsPage::ROWS),
                PersonsDay::of($request),
            ),
        );
    }

    public function store(NewJobRequest $request, CreateJob $create): JsonResponse
    {
        $this->authorize('create', Job::class);
        $site = $request->filled('site_id')
            ? SitePlace::sister(
                $request->string('site_id')->toString(),
                $request->string('system', 'System')->toString(),
            )
            : SitePlace::fresh(
                $request->string('site')->toString(),
                $request->string('address')->toString(),
                $request->filled('system') ? $request->string('system')->toString() : 'System',
            );
        $job = $create(
            self::user($request),
            $request->string('id')->toString(),
            $site,
            $request->string('kind')->toString(),
            $request->filled('archetype') ? $request->string('archetype')->toString() : null,
            $request->float('feet'),
            $request->boolean('example'),
        );

        return new JsonResponse(['id' => $job->id, 'url' => "/jobs/{$job->id}/survey"], 201);
    }

    public function copy(CopyJobRequest $request): JsonResponse
    {
        $job = CopyJob::make(
            $request->crewMember(),
            $request->id(),
            $request->job(),
            $request->string('as')->toString(),
            $request->string('kind')->toString(),
            trim($request->string('name')->toString()),
        );

        return new JsonResponse(['id' => $job->id, 'url' => "/jobs/{$job->id}/survey"], 201);
    }

    public function details(JobDetailsRequest $request, EditDocument $edit): JsonResponse
    {
        return $edit->answer($request);
    }

    /**
     * Puts a job away or takes it back, by name. Nothing recorded is lost: a deleted job stands in the archive's
     * list.
     */
    public function shelf(Request $request, Job $job): JsonResponse
    {
        $this->authorize('keep', $job);
        $this->authorize('decide', $job);
        $request->validate(['to' => ['required', Rule::in(['archive', 'list', 'delete', 'restore'])]]);
        $job = PutAway::to($job, self::user($request), $request->string('to')->toString());

        return new JsonResponse(['archived' => $job->archived_at !== null, 'deleted' => $job->trashed()]);
    }
}
