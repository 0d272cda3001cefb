<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Crew;
use App\Models\Job;
use DateTimeImmutable;
use Sabre\VObject\Component\VCalendar;

/** A crew's planned visits as an iCalendar file. Times float: they are the crew's own clock. */
final class DayCalendar
{
    public static function of(Crew $crew): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Unionbit//Visits//EN']);
        foreach ($crew->jobs()->whereNotNull('day')->orderBy('day')->orderBy('starts_at')->get() as $job) {
            self::visit($calendar, $job);
        }

        return $calendar->serialize();
    }

    private static function visit(VCalendar $calendar, Job $job): void
    {
        $work = JobSummary::of($job);
        $start = new DateTimeImmutable($job->day?->format('Y-m-d').' '.sprintf('%02d:%02d', intdiv((int) $job->starts_at, 60), (int) $job->starts_at % 60));
        // Floating local time: no zone, as it stands on the crew's clock.
        $calendar->add('VEVENT', [
            'UID' => "{$job->id}@unionbit", 'SUMMARY' => "{$job->site}, {$job->kind}", 'LOCATION' => $job->address,
            'DESCRIPTION' => "{$job->system->name}. {$job->house()->installation->archetype->title}. {$job->who}. Expected {$work->minutes} min, of these {$work->waits} min delays of the equipment.",
            'DTSTAMP' => $job->updated_at->utc()->format('Ymd\THis\Z'), 'DTSTART' => $start->format('Ymd\THis'), 'DTEND' => $start->modify("+{$work->minutes} minutes")->format('Ymd\THis'),
        ]);
    }
}
