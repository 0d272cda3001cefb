<?php

declare(strict_types=1);

namespace App\Jobs\Screen;

use App\House\Catalog;
use App\Models\Crew\Crew;
use App\Models\Crew\User;
use App\Models\Kind\PowerState;
use App\Models\Kind\Stage;
use App\Models\Kind\VisitKind;
use App\Models\Site;
use App\Models\System;
use App\Records\Power\PowerFlag;
use App\Words\Words;
use Illuminate\Support\Carbon;
use stdClass;
use Unionbit\Core\Visit\DayPlan;
use Unionbit\Core\Words\Message;

/** The crew's jobs: the list, searched and sifted, and the day. */
final class JobsPage
{
    public const SHOWS = ['all', 'open', 'flagged', 'archived'];

    /** Rows at first, and at most after asking for more. */
    public const ROWS = 60;

    public const MOST_ROWS = 600;

    private const MOST_SITES = 200;

    /** Seconds in which summaries that have changed are worked out before the screen is answered. */
    private const CATCH_UP = 0.6;

    /**
     * @param  ?string  $day  shown on the rail; null is today
     * @param  ?string  $today  where the person stands; null is UTC's
     * @return array<string, mixed>
     */
    public static function props(
        User $user,
        string $find,
        string $show,
        ?string $day,
        int $rows = self::ROWS,
        ?string $today = null,
    ): array {
        $waiting = JobSummaries::catchUp($user->crew_id, self::CATCH_UP);
        $list = new JobList($user->crew, $find, $show);
        $counts = $list->counts();
        $today ??= now()->format('Y-m-d');

        return [
            'jobs' => array_map(self::row(...), $list->rows($rows)),
            'total' => $counts[$show] ?? $counts['all'],
            'waiting' => $waiting,
            'find' => $find,
            'meant' => $find !== '' && ($counts[$show] ?? $counts['all']) === 0 ? $list->meant() : null,
            'show' => $show,
            'counts' => $counts,
            'day' => DayView::of($user->crew, $day ?? $today, $today),
            'kinds' => array_map(
                static fn (VisitKind $k): array => ['value' => $k->value, 'word' => Words::say(Message::term($k))],
                VisitKind::cases(),
            ),
            'archetypes' => app(Catalog::class)->equipment(),
            'sites' => self::sites($user->crew),
        ];
    }

    /** @return list<array{id: string, name: string, address: string, systems: list<string>}> */
    private static function sites(Crew $crew): array
    {
        $sites = Site::query()
            ->with('systems')
            ->where('crew_id', $crew->id)
            ->orderBy('name')
            ->limit(self::MOST_SITES)
            ->get();

        return array_values(
            $sites
                ->map(
                    static fn (Site $s): array => [
                        'id' => $s->id,
                        'name' => $s->name,
                        'address' => $s->address,
                        'systems' => array_values(
                            $s->systems->map(static fn (System $y): string => $y->name)->all(),
                        ),
                    ],
                )
                ->all(),
        );
    }

    /** @return array{key: string, name: string, word: string} where a job is whose summary is not worked out yet */
    private static function unread(): array
    {
        return [
            'key' => Stage::Survey->value,
            'name' => Words::say(Stage::Survey->label()),
            'word' => Words::of('jobs.row.being-read'),
        ];
    }

    /** @return array<string, mixed> */
    private static function row(stdClass $row): array
    {
        /** @var object{summary: ?string, day: ?string, starts_at: ?int}&stdClass $job */
        $job = $row;
        $summary = $job->summary !== null ? JobSummaries::read($job->summary) : null;
        $tape = $summary->tape ?? [];
        $closed = $job->handed_over_at !== null;
        $now =
            array_values(array_filter($tape, static fn (array $s): bool => $s['state'] !== 'done'))[0] ?? end($tape);
        $now = $closed || $now === false ? (end($tape) ?: self::unread()) : $now;
        $names = is_string($job->handed_over_as) ? (array) json_decode($job->handed_over_as, true) : [];

        return [
            'id' => $job->id,
            'site' => $names['site'] ?? $job->site,
            'address' => $names['address'] ?? $job->address,
            'system' => $names['system'] ?? $job->system,
            'kind' => $job->kind,
            'version' => $job->version,
            'mark' => (bool) $job->demo ? Words::of('house.job-mark.demo-data') : null,
            'equipment' => $summary->equipment ?? '',
            'cable' => $summary->cable ?? '',
            'strands' => $summary->strands ?? [],
            'tape' => array_map(static fn (array $s): array => array_diff_key($s, ['word' => 1]), $tape),
            'now' => ['key' => $now['key'], 'name' => $now['name'], 'word' => $now['word']],
            'power' => PowerFlag::aged($summary->power ?? PowerFlag::as(PowerState::NotProved)->toArray()),
            'restore' => $summary->restore ?? [],
            'fails' => $summary?->fails() ?? false,
            'flagged' => ! $closed && ($summary?->isFlagged() ?? false),
            'day' => $job->day === null ? null : substr($job->day, 0, 10),
            'starts' => $job->starts_at === null ? null : DayPlan::clock($job->starts_at),
            'who' => $job->who,
            'minutes' => $closed ? null : $summary->minutes ?? null,
            'archived' => $job->archived_at !== null,
            'deleted' => $job->deleted_at !== null,
            'awayBy' => $job->away_by,
            'awayAt' => self::time($job->deleted_at ?? $job->archived_at),
            'handedOverAt' => self::time($job->handed_over_at),
            'updatedAt' => self::time($job->updated_at),
        ];
    }

    private static function time(mixed $at): ?string
    {
        return is_string($at) ? Carbon::parse($at)->toIso8601String() : null;
    }
}
