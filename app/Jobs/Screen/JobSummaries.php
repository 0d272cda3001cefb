<?php

declare(strict_types=1);

namespace App\Jobs\Screen;

use App\Database\Spare;
use App\Database\WordIndex;
use App\Models\Job;
use App\Words\Speaker;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Facades\DB;
use Throwable;

/**
 * Summaries of jobs, kept in a table of their own until the job's mark changes, each in the language and the units of
 * whoever asks: the jobs screen, its search and counts, the day and the calendar read that table. What has changed
 * since is worked out anew when it is next asked for.
 */
final class JobSummaries
{
    private const MARK = "jobs.version || '.' || jobs.recorded || '.' || (jobs.handed_over_at is not null)";

    public static function of(Job $job): JobSummary
    {
        $row = DB::table('job_summaries')->where('job_id', $job->id)->where('said', self::said())->first();
        if ($row !== null && $row->mark === self::mark($job) && is_string($row->summary)) {
            return self::read($row->summary) ?? self::keep($job);
        }

        return self::keep($job);
    }

    /** The language and the units that are spoken now, as the table names them. */
    public static function said(): string
    {
        return app()->getLocale().'/'.app(Speaker::class)->units()->value;
    }

    /** Beside the jobs of a query, their summaries as they are said now. */
    public static function join(Builder $jobs, string $type = 'left'): Builder
    {
        return $jobs->join(
            'job_summaries',
            static function (JoinClause $on): void {
                $on->on('job_summaries.job_id', 'jobs.id')->where('job_summaries.said', self::said());
            },
            type: $type,
        );
    }

    public static function keep(Job $job): JobSummary
    {
        $mark = self::mark($job);
        try {
            $summary = JobSummary::compute($job);
        } catch (Throwable $problem) {
            report($problem);
            $summary = JobSummary::unreadable($job);
        }
        Spare::write(
            static fn () => DB::transaction(static function () use ($job, $mark, $summary): void {
                DB::table('job_summaries')->upsert(
                    [
                        [
                            'job_id' => $job->id,
                            'said' => self::said(),
                            'crew_id' => $job->crew_id,
                            'mark' => $mark,
                            'flagged' => $summary->isFlagged(),
                            'summary' => json_encode(
                                $summary,
                                JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR,
                            ),
                        ],
                    ],
                    ['job_id', 'said'],
                    ['mark', 'flagged', 'summary'],
                );
                WordIndex::keep($job->id, JobSummary::words($job));
            }),
        );

        return $summary;
    }

    /** A house got another name: what its jobs are found by has to be written anew. */
    public static function renamed(string $siteId): void
    {
        $jobs = DB::table('jobs')
            ->join('systems', 'systems.id', 'jobs.system_id')
            ->where('systems.site_id', $siteId)
            ->select('jobs.id');
        DB::table('job_summaries')
            ->whereIn('job_id', $jobs)
            ->update(['mark' => '']);
    }

    /**
     * Works out what has changed since it was last kept, the latest first, for so many seconds at most.
     *
     * @return int jobs that are still waiting
     */
    public static function catchUp(int $crewId, float $seconds): int
    {
        $until = microtime(true) + $seconds;
        $stale = self::stale($crewId)->pluck('jobs.id');
        foreach ($stale as $done => $id) {
            if (microtime(true) > $until) {
                return count($stale) - $done;
            }
            self::keep(Job::query()->withTrashed()->whereKey($id)->sole());
        }

        return 0;
    }

    /** Jobs of a crew, or of all, whose summary is not of their present mark. */
    public static function stale(?int $crewId = null): Builder
    {
        return self::join(DB::table('jobs'))
            ->whereNull('jobs.practice_of_id')
            ->when($crewId !== null, static fn (Builder $jobs): Builder => $jobs->where('jobs.crew_id', $crewId))
            ->where(
                static fn (Builder $jobs): Builder => $jobs
                    ->whereNull('job_summaries.mark')
                    ->orWhereRaw('job_summaries.mark <> '.self::MARK),
            )
            ->orderByDesc('jobs.updated_at')
            ->orderBy('jobs.id');
    }

    /** What a summary is true of: the job as it is. */
    private static function mark(Job $job): string
    {
        $row = DB::table('jobs')
            ->where('id', $job->id)
            ->selectRaw(self::MARK.' as mark')
            ->first();

        return is_string($row?->mark) ? $row->mark : '';
    }

    /** Null where it was written by an earlier version of the application. */
    public static function read(string $json): ?JobSummary
    {
        try {
            return JobSummary::kept($json);
        } catch (Throwable) {
            return null;
        }
    }
}
