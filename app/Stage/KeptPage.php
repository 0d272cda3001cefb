<?php

declare(strict_types=1);

namespace App\Stage;

use App\House\Pulse;
use App\Models\Crew\User;
use App\Models\Job;
use App\Records\Power\PowerFlag;
use App\Words\Speaker;
use App\Words\Words;
use Closure;
use Illuminate\Contracts\Cache\LockTimeoutException;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/**
 * What a stage shows of a job, kept as it was worked out until something that it shows changes: anything recorded or
 * edited on the job, another job of its house, a name or a thermostat of the crew, the power flag as it stands by now,
 * the language, the units and the role of whoever looks. Pages hold times, not seconds that are left; all the same
 * nothing is kept of a house that is being worked on.
 */
final class KeptPage
{
    private const HOURS = 12;

    /** Seconds. */
    private const LONGEST_WORK = 10;

    /** Minutes after the last moment of a step or of the power in which a house counts as being worked on. */
    private const WORKED_ON = 60;

    /**
     * @param  Closure(): ?array{string, array<string, mixed>}  $work  the page's name and what it shows; null where
     *     there is no such stage of this job yet
     * @return ?array{string, array<string, mixed>} with every message said
     */
    public static function of(Job $job, string $stage, Closure $work): ?array
    {
        $said = static function () use ($work): array {
            $page = $work();

            return ['page' => $page === null ? null : [$page[0], Words::spoken($page[1])]];
        };
        $kept = self::isWorkedOn($job)
            ? $said()
            : self::once('page/'.hash('sha256', serialize([$stage, ...self::mark($job)])), $said);

        return $kept['page'];
    }

    /**
     * Several who ask for the same at once wait for the one who works it out.
     *
     * @param  Closure(): array{page: ?array{string, array<string, mixed>}}  $work
     * @return array{page: ?array{string, array<string, mixed>}}
     */
    private static function once(string $key, Closure $work): array
    {
        $lock = Cache::has($key) ? null : Cache::lock("{$key}/work", self::LONGEST_WORK);
        try {
            $lock?->block(self::LONGEST_WORK);
        } catch (LockTimeoutException) {
            // Whoever works it out takes too long: it is worked out here too.
            $lock = null;
        }
        try {
            return Cache::remember($key, now()->addHours(self::HOURS), $work);
        } finally {
            $lock?->release();
        }
    }

    /** A step began or ended, or the power came or went, so lately that something counts from it. */
    private static function isWorkedOn(Job $job): bool
    {
        $lately = static fn (string $table): bool => DB::table($table)
            ->where('job_id', $job->id)
            ->where('at', '>', now()->subMinutes(self::WORKED_ON))
            ->exists();

        return $lately('step_events') || $lately('power_events');
    }

    /** @return list<mixed> */
    private static function mark(Job $job): array
    {
        $user = Auth::user();

        return [
            $job->id,
            Pulse::of($job),
            $job->updated_at->toIso8601String(),
            PowerFlag::of($job)->toArray(),
            $user instanceof User ? [$user->id, $user->role->value, $user->name] : null,
            app()->getLocale(),
            app(Speaker::class)->units()->value,
            DB::table('users')->where('crew_id', $job->crew_id)->orderBy('id')->pluck('name')->all(),
            (array) DB::table('jobs')
                ->join('systems', 'systems.id', 'jobs.system_id')
                ->join('sites', 'sites.id', 'systems.site_id')
                ->where('sites.id', $job->system->site_id)
                ->selectRaw(
                    'count(*) as jobs, sum(jobs.version + jobs.recorded) as worked, max(jobs.updated_at) as at',
                )
                ->selectRaw(
                    'count(archived_at) as away, count(deleted_at) as gone, count(handed_over_at) as closed',
                )
                ->selectRaw('max(sites.updated_at) as site, max(systems.updated_at) as "system"')
                ->first(),
            $job->crew?->name,
            // Thermostats of the crew's own are offered in Plan.
            (array) DB::table('own_profiles')
                ->where('crew_id', $job->crew_id)
                ->selectRaw('count(*) as made, count(deleted_at) as away, max(updated_at) as at')
                ->first(),
        ];
    }
}
