<?php

declare(strict_types=1);

namespace App\Jobs\Screen;

use App\Models\Crew\Crew;
use DateTimeImmutable;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Cache;
use Sabre\VObject\Component\VCalendar;
use stdClass;

/**
 * A crew's planned visits as an iCalendar file, from a month ago to a year ahead. Times float: they are the crew's own
 * clock. It is written once for what the jobs are at that moment.
 */
final class DayCalendar
{
    private const DAYS_BACK = 31;

    private const DAYS_AHEAD = 366;

    private const A_DAY = 86400;

    public static function of(Crew $crew): string
    {
        JobSummaries::catchUp($crew->id, 0.6);
        $visits = JobList::withPlace(JobList::real($crew))
            ->whereNull('jobs.deleted_at')
            ->whereBetween('jobs.day', [
                now()->subDays(self::DAYS_BACK)->format('Y-m-d'),
                now()->addDays(self::DAYS_AHEAD)->format('Y-m-d 23:59:59'),
            ]);
        $state = (clone $visits)
            ->selectRaw(
                'count(*) as visits, max(jobs.updated_at) as at, sum(jobs.version + jobs.recorded) as worked, '.
                    'max(sites.updated_at) as renamed',
            )
            ->first();

        return Cache::remember(
            "calendar/{$crew->id}/".md5(serialize($state).JobSummaries::said().now()->format('Y-m-d')),
            self::A_DAY,
            static fn (): string => self::write(
                $visits
                    ->orderBy('jobs.day')
                    ->orderByRaw('jobs.starts_at nulls first')
                    ->get([
                        'jobs.id',
                        'jobs.kind',
                        'jobs.day',
                        'jobs.starts_at',
                        'jobs.who',
                        'jobs.demo',
                        'jobs.updated_at',
                        'sites.name as site',
                        'sites.address',
                        'systems.name as system',
                        'job_summaries.summary',
                    ])
                    ->all(),
            ),
        );
    }

    /** @param  array<stdClass>  $visits */
    private static function write(array $visits): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Unionbit//Visits//EN']);
        foreach ($visits as $visit) {
            self::visit($calendar, $visit);
        }

        return $calendar->serialize();
    }

    private static function visit(VCalendar $calendar, stdClass $row): void
    {
        /**
         * @var object{
         *     id: string, kind: string, day: string, starts_at: int, who: string, demo: int, updated_at: string,
         *     site: string, address: string, system: string, summary: ?string,
         * }&stdClass $job
         */
        $job = $row;
        $work = $job->summary !== null ? JobSummaries::read($job->summary) : null;
        $minutes = $work->minutes ?? 0;
        $start = new DateTimeImmutable(
            substr($job->day, 0, 10).sprintf(' %02d:%02d', intdiv($job->starts_at, 60), $job->starts_at % 60),
        );
        // Floating local time: no zone, as it stands on the crew's clock.
        $calendar->add('VEVENT', [
            'UID' => "{$job->id}@unionbit",
            'SUMMARY' => ((bool) $job->demo ? 'Demo data: ' : '')."{$job->site}, {$job->kind}",
            'LOCATION' => $job->address,
            'DESCRIPTION' => "{$job->system}. ".
                ($work->title ?? '').
                ". {$job->who}. Expected {$minutes} min, of these ".
                ($work->waits ?? 0).
                ' min delays of the equipment.',
            'DTSTAMP' => Carbon::parse($job->updated_at)->utc()->format('Ymd\THis\Z'),
            'DTSTART' => $start->format('Ymd\THis'),
            'DTEND' => $start->modify("+{$minutes} minutes")->format('Ymd\THis'),
        ]);
    }
}
