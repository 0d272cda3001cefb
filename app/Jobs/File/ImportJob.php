<?php

declare(strict_types=1);

namespace App\Jobs\File;

use App\Handover\HandOver;
use App\House\JobFiles;
use App\House\ProfileShelf;
use App\House\Refused;
use App\Jobs\OpenJob;
use App\Jobs\SitePlace;
use App\Models\Crew\User;
use App\Models\Job;
use App\Models\Kind\VisitKind;
use App\Records\Append;
use App\Records\AppendMany;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Planning\File\PlanFile;
use Unionbit\Core\Words\Message;

/** A job out of a job file: the whole file or nothing of it. */
final readonly class ImportJob
{
    public function __construct(private JobFiles $files, private ProfileShelf $shelf)
    {
    }

    /**
     * @throws InvalidData
     * @throws HereAlready where the crew has this job, and nobody has said what then
     */
    public function __invoke(User $user, string $id, mixed $json, AsWhat $as = AsWhat::Ask): Job
    {
        return $this->write($user, $id, $this->read($user, $id, $json, $as));
    }

    /**
     * Looks at all of it and writes nothing.
     *
     * @throws InvalidData
     * @throws HereAlready where the crew has this job, and nobody has said what then
     */
    public function read(User $user, string $id, mixed $json, AsWhat $as): ReadJob
    {
        $file = $this->files->parse($json);
        $json = is_array($json) ? $json : [];
        if (VisitKind::tryFrom($file->kind) === null) {
            throw InvalidData::notAllowed(
                '/kind',
                $file->kind,
                implode(', ', array_column(VisitKind::cases(), 'value')),
            );
        }
        $origin = self::origin($json);
        $records = JobRecords::read($json['records'] ?? null);
        $known = Job::withTrashed()->whereKey($id)->exists();
        $here = ! $known && $as !== AsWhat::Copy ? self::here($user, $origin) : null;
        if ($here !== null && $as !== AsWhat::Difference) {
            throw new HereAlready($here, $records->missing($here));
        }

        return new ReadJob($file, $json, $records, $as === AsWhat::Copy ? null : $origin, $here);
    }

    /** @param  ?AppendMany  $beside  rows that came with the file, as photographs in an archive */
    public function write(User $user, string $id, ReadJob $read, ?AppendMany $beside = null): Job
    {
        return $read->here === null
            ? $this->anew($user, $id, $read, $beside)
            : self::difference($read->here, $read->records, $user, $beside);
    }

    private function anew(User $user, string $id, ReadJob $read, ?AppendMany $beside): Job
    {
        $file = $read->file;
        $plan = $file->plan === null ? [] : ['plan' => PlanFile::write($file->plan)];
        $own = is_array($read->json['thermostat'] ?? null) ? $read->json['thermostat'] : null;
        $rows = $read->records->prepared($read->records->all(), $id, $user);

        return DB::transaction(function () use ($user, $id, $file, $read, $plan, $own, $rows, $beside): Job {
            if ($own !== null && isset($plan['plan'])) {
                $plan['plan']['profile'] = $this->shelf->keep($user->crew_id, $own)->id;
            }
            $known = Job::withTrashed()->find($id);
            $job = OpenJob::with(
                $user,
                $id,
                SitePlace::fresh($file->site, $file->address, $file->system),
                $file->kind,
                $file->installation,
                Message::of('jobs.history.imported'),
                [...$plan, 'demo' => ($read->json['demo'] ?? false) === true, 'origin_id' => $read->origin],
            );
            if ($known === null) {
                $rows->write($job);
                $beside?->write($job);
                $read->records->closeStages($job);
                if ($job->handed_over_at !== null) {
                    $job->forceFill(['handed_over_as' => HandOver::names($job)])->save();
                }
            }

            return $job->refresh();
        });
    }

    /**
     * The id that the job had where its file was written; none in a file of before.
     *
     * @param  array<mixed>  $json
     */
    private static function origin(array $json): ?string
    {
        $id = $json['id'] ?? null;

        return match (true) {
            $id === null => null,
            is_string($id) && Str::isUlid($id) => $id,
            default => throw InvalidData::notAllowed(
                '/id',
                is_string($id) ? mb_substr($id, 0, 40) : '…',
                'a ULID',
            ),
        };
    }

    private static function here(User $user, ?string $origin): ?Job
    {
        return $origin === null
            ? null
            : Job::query()
                ->where('crew_id', $user->crew_id)
                ->where(static fn (Builder $job) => $job->whereKey($origin)->orWhere('origin_id', $origin))
                ->oldest()
                ->first();
    }

    private static function difference(Job $here, JobRecords $records, User $user, ?AppendMany $beside): Job
    {
        $rows = $records->prepared($records->notIn($here), $here->id, $user);

        return DB::transaction(static function () use ($here, $rows, $beside): Job {
            try {
                Append::open($here);
            } catch (AuthorizationException) {
                throw Refused::at('files', Message::of('jobs.import.handed-over', site: $here->site));
            }
            $rows->write($here);
            $beside?->write($here);

            return $here->refresh();
        });
    }
}
