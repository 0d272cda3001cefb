<?php

declare(strict_types=1);

namespace App\Pages;

use App\Actions\CreateJob;
use App\Models\Crew;
use App\Models\Job;
use App\Models\Site;
use App\Models\System;
use App\Models\User;
use App\Support\Catalog;
use App\Support\JobSummary;
use App\Support\PowerFlag;
use Illuminate\Support\Carbon;
use Unionbit\Core\Equipment\Archetype;
use Unionbit\Core\Terminal\TradeWords;
use Unionbit\Core\Visit\DayPlan;

/** The crew's jobs: the list, searched and sifted, and the day. */
final class JobsPage
{
    public const SHOWS = ['all', 'open', 'flagged', 'archived'];

    private const MOST = 200;

    /** @return array<string, mixed> */
    public static function props(User $user, string $find, string $show, ?string $day): array
    {
        $jobs = self::jobs($user->crew, $find, $show === 'archived');
        $rows = array_map(self::row(...), $jobs);
        $shown = match ($show) {
            'open' => array_values(array_filter($rows, static fn (array $r): bool => $r['handedOverAt'] === null)),
            'flagged' => array_values(array_filter($rows, static fn (array $r): bool => $r['flagged'] === true)),
            default => $rows,
        };
        $date = $day === null ? now() : Carbon::createFromFormat('Y-m-d', $day);

        return [
            'jobs' => $shown, 'find' => $find, 'show' => $show,
            'counts' => [
                'all' => $show === 'archived' ? $user->crew->jobs()->whereNull('archived_at')->count() : count($rows),
                'open' => count(array_filter($rows, static fn (array $r): bool => $r['handedOverAt'] === null)),
                'flagged' => count(array_filter($rows, static fn (array $r): bool => $r['flagged'] === true)),
                'archived' => $user->crew->jobs()->whereNotNull('archived_at')->count(),
            ],
            'day' => DayView::of($user->crew, $date ?? now()),
            'kinds' => CreateJob::KINDS,
            'archetypes' => array_map(static fn (Archetype $a): array => ['id' => $a->id, 'title' => $a->title], app(Catalog::class)->archetypes()),
            'sites' => self::sites($user->crew),
        ];
    }

    /** @return list<Job> */
    private static function jobs(Crew $crew, string $find, bool $archived): array
    {
        $query = $crew->jobs()->orderByRaw('handed_over_at is not null')->orderByRaw('day is null')->orderBy('day')->orderBy('starts_at')->orderByDesc('updated_at')->limit(self::MOST);
        $query = $archived ? $query->whereNotNull('archived_at') : $query->whereNull('archived_at');

        return array_values($query->get()->filter(static fn (Job $job): bool => trim($find) === '' || TradeWords::matches($find, self::text($job)))->all());
    }

    /** Everything a job can be found by. */
    private static function text(Job $job): string
    {
        return implode(' ', array_filter([$job->site, $job->address, $job->system->name, $job->kind, $job->who, JobSummary::of($job)->words]));
    }

    /** @return list<array{id: string, name: string, address: string, systems: list<string>}> */
    private static function sites(Crew $crew): array
    {
        $sites = Site::query()->with('systems')->where('crew_id', $crew->id)->orderBy('name')->limit(self::MOST)->get();

        return array_values($sites->map(static fn (Site $s): array => ['id' => $s->id, 'name' => $s->name, 'address' => $s->address, 'systems' => array_values($s->systems->map(static fn (System $y): string => $y->name)->all())])->all());
    }

    /** @return array<string, mixed> */
    private static function row(Job $job): array
    {
        $summary = JobSummary::of($job);
        $power = PowerFlag::of($job);
        $tape = $summary->tape;
        $now = $job->handed_over_at === null ? array_values(array_filter($tape, static fn (array $s): bool => $s['state'] !== 'done'))[0] ?? $tape[4] : $tape[4];
        $fails = in_array('stuck', array_column($tape, 'state'), true);

        return [
            'id' => $job->id, 'site' => $job->site, 'address' => $job->address, 'system' => $job->system->name, 'kind' => $job->kind, 'version' => $job->version,
            'equipment' => $summary->equipment, 'cable' => $summary->cable, 'strands' => $summary->strands,
            'tape' => array_map(static fn (array $s): array => ['key' => $s['key'], 'name' => $s['name'], 'state' => $s['state'], 'n' => $s['n'], 'done' => $s['done']], $tape),
            'now' => ['key' => $now['key'], 'name' => $now['name'], 'word' => $now['word']],
            'power' => $power->toArray(),
            'restore' => $summary->restore,
            'fails' => $fails,
            'flagged' => $job->handed_over_at === null && ($power->isLive() || $summary->restore !== [] || $fails),
            'day' => $job->day?->format('Y-m-d'), 'starts' => $job->starts_at === null ? null : DayPlan::clock($job->starts_at), 'who' => $job->who,
            'minutes' => $job->handed_over_at === null ? $summary->minutes : null,
            'archived' => $job->archived_at !== null,
            'handedOverAt' => $job->handed_over_at?->toIso8601String(), 'updatedAt' => $job->updated_at->toIso8601String(),
        ];
    }
}
