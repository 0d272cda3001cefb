<?php

declare(strict_types=1);

namespace App\Jobs\Screen;

use App\Models\Crew\Crew;
use App\Models\Crew\Role;
use App\Models\Crew\User;
use App\Models\Job;
use Unionbit\Core\Visit\DayPlan;
use Unionbit\Core\Visit\DayVisit;

/** A day of the crew: who is where when, what will not fit, and what to load before leaving. */
final class DayView
{
    /**
     * @param  string  $date  2026-11-28, as `$today`
     * @return array<string, mixed>
     */
    public static function of(Crew $crew, string $date, string $today): array
    {
        $jobs = array_values(
            Job::query()
                ->whereBelongsTo($crew)
                ->whereNull('practice_of_id')
                ->whereDate('day', $date)
                ->orderByRaw('starts_at nulls first')
                ->get()
                ->all(),
        );
        $people = array_values(
            $crew
                ->users()
                ->whereNull('deactivated_at')
                ->whereIn('role', Role::deciding())
                ->orderBy('id')
                ->get()
                ->map(static fn (User $u): string => $u->name)
                ->all(),
        );
        $open = array_values(array_filter($jobs, static fn (Job $j): bool => $j->handed_over_at === null));
        $summaries = [];
        foreach ($open as $job) {
            $summaries[$job->id] = JobSummaries::of($job);
        }
        $visits = array_map(static fn (Job $j): DayVisit => self::visit($j, $summaries[$j->id] ?? null), $jobs);

        return [
            'date' => $date,
            'isToday' => $date === $today,
            'people' => array_values(
                array_unique([...$people, ...array_map(static fn (DayVisit $v): string => $v->who, $visits)]),
            ),
            'visits' => array_map(
                static fn (DayVisit $v, Job $j): array => [
                    'id' => $v->id,
                    'site' => $v->site,
                    'who' => $v->who,
                    'start' => $v->start,
                    'minutes' => $v->minutes,
                    'waits' => $v->waits,
                    'starts' => DayPlan::clock($v->start),
                    'ends' => DayPlan::clock($v->end()),
                    'done' => $j->handed_over_at !== null,
                ],
                $visits,
                $jobs,
            ),
            'warnings' => DayPlan::warnings(
                array_values(array_filter($visits, static fn (DayVisit $v): bool => $v->minutes > 0)),
                $people,
            ),
            'load' => self::load($open, $summaries),
        ];
    }

    /** @param  ?JobSummary  $summary  null where the job was handed over */
    private static function visit(Job $job, ?JobSummary $summary): DayVisit
    {
        if ($summary === null) {
            $start = (int) $job->starts_at;
            $ended =
                $job->day !== null && $job->handed_over_at?->isSameDay($job->day) === true
                    ? 60 * $job->handed_over_at->hour + $job->handed_over_at->minute
                    : $start + 60;

            return new DayVisit(
                $job->id,
                $job->site,
                (string) $job->who,
                $start,
                max(15, $ended - $start),
                0,
                null,
            );
        }

        return new DayVisit(
            $job->id,
            $job->site,
            (string) $job->who,
            (int) $job->starts_at,
            $summary->minutes,
            $summary->waits,
            $summary->two,
        );
    }

    /**
     * @param  list<Job>  $jobs
     * @param  array<string, JobSummary>  $summaries
     * @return list<array{count: int, item: string, for: list<string>, why: string}>
     */
    private static function load(array $jobs, array $summaries): array
    {
        $load = [];
        foreach ($jobs as $job) {
            foreach ($summaries[$job->id]->toLoad as $carry) {
                $have = $load[$carry['item']] ?? [
                    'count' => 0,
                    'item' => $carry['item'],
                    'for' => [],
                    'why' => $carry['why'],
                ];
                $have['count'] = $carry['shared']
                    ? max($have['count'], $carry['count'])
                    : $have['count'] + $carry['count'];
                $have['for'][] = $job->site;
                $load[$carry['item']] = $have;
            }
        }

        return array_values($load);
    }
}
