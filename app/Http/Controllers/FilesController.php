<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ImportJob;
use App\Models\Job;
use App\Models\OwnProfile;
use App\Models\User;
use App\Support\DayCalendar;
use App\Support\JobRecords;
use App\Support\Schedule;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use JsonException;
use LogicException;
use Unionbit\Core\InvalidData;
use Unionbit\Core\Planning\JobFile;

/** Job files, conductor schedules and the calendar: open formats, both ways. */
final class FilesController extends Controller
{
    private const MOST_BYTES = 2_000_000;

    public function job(Job $job): Response
    {
        $this->authorize('view', $job);
        $house = $job->house();
        $file = JobFile::write($job->site, $job->address, $job->kind, $house->installation, $house->plan, $job->system->name, OwnProfile::withTrashed()->find($house->plan->profile->id ?? '')?->profile);
        $records = JobRecords::of($job);

        return self::download($records === [] ? $file : [...$file, 'records' => $records], Str::slug("{$job->site} {$job->system->name}").'.json');
    }

    public function conductors(Job $job): Response
    {
        $this->authorize('view', $job);

        return new Response(Schedule::csv($job->house()->installation), 200, ['Content-Type' => 'text/csv; charset=utf-8', 'Content-Disposition' => 'attachment; filename="'.Str::slug("{$job->site} {$job->system->name}").'-conductors.csv"']);
    }

    public function calendar(Request $request): Response
    {
        return new Response(DayCalendar::of(self::user($request)->crew), 200, ['Content-Type' => 'text/calendar; charset=utf-8', 'Content-Disposition' => 'attachment; filename="visits.ics"']);
    }

    /** Several files at once: each is read whole or not at all, and each is answered for itself. */
    public function import(Request $request, ImportJob $import): JsonResponse
    {
        $this->authorize('create', Job::class);
        $request->validate(['files' => ['required', 'array', 'max:20'], 'ids' => ['required', 'array', 'max:20'], 'ids.*' => ['ulid', 'distinct']], ['files.required' => 'Choose one or more job files.', 'files.max' => 'At most 20 files at a time.']);
        $ids = array_values((array) $request->input('ids'));
        $report = [];
        foreach (array_values((array) $request->file('files')) as $index => $file) {
            $id = $ids[$index] ?? null;
            if ($file instanceof UploadedFile && is_string($id)) {
                $report[] = ['name' => $file->getClientOriginalName(), ...self::one($import, self::user($request), $id, $file)];
            }
        }

        return new JsonResponse(['files' => $report]);
    }

    /** @return array{job: ?array{id: string, site: string, url: string}, problem: ?array{pointer: string, message: string}} */
    private static function one(ImportJob $import, User $user, string $id, UploadedFile $file): array
    {
        try {
            if (! $file->isValid() || $file->getSize() > self::MOST_BYTES) {
                throw InvalidData::unreadable('', $file->isValid() ? 'is larger than 2 MB; a job file is one house' : 'did not arrive whole; send it again');
            }
            $json = json_decode((string) file_get_contents($file->getPathname()), true, 64, JSON_THROW_ON_ERROR);
            $job = $import($user, $id, $json);

            return ['job' => ['id' => $job->id, 'site' => $job->site, 'url' => "/jobs/{$job->id}/survey"], 'problem' => null];
        } catch (JsonException $problem) {
            return ['job' => null, 'problem' => ['pointer' => '', 'message' => "is no JSON: {$problem->getMessage()}"]];
        } catch (InvalidData $problem) {
            return ['job' => null, 'problem' => ['pointer' => $problem->pointer, 'message' => Str::limit(Str::after($problem->getMessage(), ': '), 600)]];
        } catch (ValidationException $problem) {
            return ['job' => null, 'problem' => ['pointer' => '', 'message' => $problem->getMessage()]];
        }
    }

    /** @param  array<string, mixed>  $json */
    private static function download(array $json, string $name): Response
    {
        return new Response(json_encode($json, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR)."\n", 200, ['Content-Type' => 'application/json', 'Content-Disposition' => "attachment; filename=\"{$name}\""]);
    }

    private static function user(Request $request): User
    {
        $user = $request->user();

        return $user instanceof User ? $user : throw new LogicException('Nobody is signed in.');
    }
}
