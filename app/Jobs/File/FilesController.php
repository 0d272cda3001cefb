<?php

declare(strict_types=1);

namespace App\Jobs\File;

use App\Crew\SecurityKind;
use App\Crew\SecurityLog;
use App\House\Download;
use App\House\House;
use App\House\JobMark;
use App\House\Refused;
use App\Jobs\Screen\DayCalendar;
use App\Models\Job;
use App\Models\OwnProfile;
use App\Models\User;
use App\Survey\Schedule;
use App\Web\Controller;
use App\Web\JsonResponse;
use App\Words\Words;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Str;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Data\Json;
use Unionbit\Core\Planning\File\JobFile;
use Unionbit\Core\Words\Message;

/** Job files, conductor schedules and the calendar: open formats, both ways. */
final class FilesController extends Controller
{
    private const MOST_BYTES = 2_000_000;

    public function job(Request $request, Job $job): Response
    {
        $this->authorize('view', $job);
        $house = House::of($job);
        $own = OwnProfile::withTrashed()->find($house->plan->profile->id ?? '')?->profile;
        $records = JobRecords::of($job);
        $file = [
            ...JobFile::write(
                $job->site,
                $job->address,
                $job->kind->value,
                $house->installation,
                $house->plan,
                $job->system_name,
                $own,
            ),
            ...$job->demo ? ['demo' => true] : [],
            ...$job->isPractice() ? ['practice' => true] : [],
            ...$records === [] ? [] : ['records' => $records],
        ];
        $flags =
            JSON_PRETTY_PRINT |
            JSON_UNESCAPED_UNICODE |
            JSON_UNESCAPED_SLASHES |
            JSON_PRESERVE_ZERO_FRACTION |
            JSON_THROW_ON_ERROR;

        return Download::of($request, $job, '.json', 'application/json', json_encode($file, $flags)."\n");
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
    public function import(Request $request, ImportJob $import): JsonResponse
    {
        $this->authorize('create', Job::class);
        $request->validate(
            [
                'files' => ['required', 'array', 'max:20'],
                'ids' => ['required', 'array', 'max:20'],
                'ids.*' => ['ulid', 'distinct'],
            ],
            [
                'files.required' => Words::of('jobs.files-controller.choose'),
                'files.max' => Words::of('jobs.files-controller.most'),
            ],
        );
        $ids = array_values((array) $request->input('ids'));
        $report = [];
        foreach (array_values((array) $request->file('files')) as $index => $file) {
            $id = $ids[$index] ?? null;
            if ($file instanceof UploadedFile && is_string($id)) {
                $report[] = [
                    'name' => $file->getClientOriginalName(),
                    ...self::one($import, self::user($request), $id, $file),
                ];
            }
        }

        return new JsonResponse(['files' => $report]);
    }

    /**
     * @return array{job: ?array{id: string, site: string, url: string}, problem: ?array{pointer: string,
     *     message: string}}
     */
    private static function one(ImportJob $import, User $user, string $id, UploadedFile $file): array
    {
        try {
            if (! $file->isValid() || $file->getSize() > self::MOST_BYTES) {
                throw InvalidData::unreadable(
                    '',
                    $file->isValid()
                        ? Message::of('jobs.files-controller.larger-than-2-mb-job')
                        : Message::of('jobs.files-controller.did-not-arrive-whole-send'),
                );
            }
            $job = $import($user, $id, Json::decode((string) file_get_contents($file->getPathname())));

            return [
                'job' => ['id' => $job->id, 'site' => $job->site, 'url' => "/jobs/{$job->id}/survey"],
                'problem' => null,
            ];
        } catch (InvalidData $problem) {
            return [
                'job' => null,
                'problem' => [
                    'pointer' => $problem->pointer,
                    'message' => Str::limit(Words::say($problem->problem), 600),
                ],
            ];
        } catch (Refused $problem) {
            return [
                'job' => null,
                'problem' => [
                    'pointer' => '',
                    'message' => implode(' ', Words::each(array_merge(...array_values($problem->problems)))),
                ],
            ];
        }
    }
}
