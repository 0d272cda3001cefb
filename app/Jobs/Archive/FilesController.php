<?php

declare(strict_types=1);

namespace App\Jobs\Archive;

use App\Crew\SecurityKind;
use App\Crew\SecurityLog;
use App\Errand\ErrandAnswer;
use App\Errand\Errands;
use App\House\Download;
use App\House\House;
use App\House\JobMark;
use App\House\Refused;
use App\Jobs\File\AsWhat;
use App\Jobs\File\WriteJob;
use App\Jobs\Screen\DayCalendar;
use App\Models\Job;
use App\Survey\Edit\Schedule;
use App\Web\Controller;
use App\Web\JsonResponse;
use App\Words\Words;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;
use Unionbit\Core\Words\Message;

/** Job files, conductor schedules and the calendar: open formats, both ways. */
final class FilesController extends Controller
{
    public function job(Request $request, Job $job): Response
    {
        $this->authorize('view', $job);

        return Download::of($request, $job, '.json', 'application/json', WriteJob::json($job));
    }

    public function conductors(Request $request, Job $job): Response
    {
        $this->authorize('view', $job);

        return Download::of(
            $request,
            $job,
            'conductors.csv',
            'text/csv; charset=utf-8',
            Schedule::csv(House::of($job)->installation, Words::say(JobMark::of($job) ?? Message::none()) ?: null),
        );
    }

    public function calendar(Request $request): Response
    {
        SecurityLog::write(SecurityKind::Exported, 'calendar of the crew', self::user($request));

        return new Response(DayCalendar::of(self::user($request)->crew), 200, [
            'Content-Type' => 'text/calendar; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="visits.ics"',
        ]);
    }

    /** Several files at once: each is read whole or not at all, and each is answered for itself. */
    public function import(Request $request): JsonResponse
    {
        $this->authorize('create', Job::class);
        $request->validate(
            [
                'files' => ['required', 'array', 'max:20'],
                'ids' => ['required', 'array', 'max:20'],
                'ids.*' => ['ulid', 'distinct'],
                'as' => ['array', 'max:20'],
                'as.*' => [Rule::enum(AsWhat::class)],
            ],
            [
                'files.required' => Words::of('jobs.files-controller.choose'),
                'files.max' => Words::of('jobs.files-controller.most'),
            ],
        );
        $files = array_values(
            array_filter((array) $request->file('files'), static fn (mixed $f): bool => $f instanceof UploadedFile),
        );
        foreach ($files as $file) {
            if (! $file->isValid()) {
                throw Refused::at('files', Message::of('jobs.files-controller.did-not-arrive-whole-send'));
            }
        }
        $ids = array_values((array) $request->input('ids'));
        $errand = Errands::begin(
            ReadFiles::kind(),
            (string) Str::ulid(),
            self::user($request),
            null,
            ['ids' => $ids, 'as' => array_values((array) $request->input('as'))],
            $files,
        );

        return ErrandAnswer::of($errand);
    }

    /** The house with all of its records and photographs, in one file. */
    public function archive(Request $request, Job $job): JsonResponse
    {
        $this->authorize('view', $job);
        $request->validate(['id' => ['required', 'ulid']]);
        $errand = Errands::begin(
            MakeArchive::kind(),
            $request->string('id')->toString(),
            self::user($request),
            $job->id,
            [],
        );

        return ErrandAnswer::of($errand);
    }
}
