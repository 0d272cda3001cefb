<?php

declare(strict_types=1);

namespace App\Jobs\Screen;

use App\Database\WordIndex;
use App\Models\Crew\Crew;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use stdClass;
use Unionbit\Core\Visit\SearchWords;

/**
 * A crew's jobs as the database knows them, searched and sifted there: the screen gets no more than it shows. What is
 * sifted and sorted by stands in one index (jobs_screen), what is searched in one of words (job_words), so that the
 * documents of the jobs are read for none of it.
 */
final readonly class JobList
{
    /** Sites whose names are held against what was asked. */
    private const MOST_NAMES = 2000;

    public function __construct(private Crew $crew, private string $find, private string $show)
    {
    }

    /** @return list<stdClass> with names, marks and summary, as many as are shown */
    public function rows(int $most): array
    {
        $ids = $this->ordered($this->sifted())->limit($most)->pluck('jobs.id')->all();
        $rows = self::withPlace(DB::table('jobs')->whereIn('jobs.id', $ids))->leftJoin(
            'users as away',
            'away.id',
            'jobs.away_by_id',
        );

        return array_values(
            $this->ordered($rows)
                ->get([
                    'jobs.id',
                    'jobs.kind',
                    'jobs.version',
                    'jobs.day',
                    'jobs.starts_at',
                    'jobs.who',
                    'jobs.archived_at',
                    'jobs.deleted_at',
                    'jobs.demo',
                    'jobs.handed_over_at',
                    'jobs.handed_over_as',
                    'jobs.updated_at',
                    'sites.name as site',
                    'sites.address',
                    'systems.name as system',
                    'job_summaries.summary',
                    'away.name as away_by',
                ])
                ->all(),
        );
    }

    /** @return array{all: int, open: int, flagged: int, archived: int} of what is searched for */
    public function counts(): array
    {
        $here = 'jobs.archived_at is null and jobs.deleted_at is null';
        $sum = static fn (string $of, string $as): string => "sum(case when {$of} then 1 else 0 end) as {$as}";
        $counts = JobSummaries::join($this->searched())
            ->selectRaw(
                implode(', ', [
                    $sum($here, 'every'),
                    $sum("{$here} and jobs.handed_over_at is null", 'open'),
                    $sum("{$here} and jobs.handed_over_at is null and job_summaries.flagged", 'flagged'),
                    $sum("not ({$here})", 'away'),
                ]),
            )
            ->first();
        /** @var ?object{every: ?int, open: ?int, flagged: ?int, away: ?int} $counts */

        return [
            'all' => (int) ($counts->every ?? 0),
            'open' => (int) ($counts->open ?? 0),
            'flagged' => (int) ($counts->flagged ?? 0),
            'archived' => (int) ($counts->away ?? 0),
        ];
    }

    private function ordered(Builder $jobs): Builder
    {
        return $jobs
            ->orderByRaw('jobs.handed_over_at is not null')
            ->orderByRaw('jobs.day is null')
            ->orderBy('jobs.day')
            ->orderByRaw('jobs.starts_at nulls first')
            ->orderByDesc('jobs.updated_at')
            ->orderBy('jobs.id');
    }

    private function sifted(): Builder
    {
        $jobs = $this->searched();
        if ($this->show === 'archived') {
            // Archived, or deleted: both stand in one list and can be taken back.
            return $jobs->where(
                static fn (Builder $away): Builder => $away
                    ->whereNotNull('jobs.archived_at')
                    ->orWhereNotNull('jobs.deleted_at'),
            );
        }
        $jobs->whereNull('jobs.archived_at')->whereNull('jobs.deleted_at');

        return match ($this->show) {
            'open' => $jobs->whereNull('jobs.handed_over_at'),
            'flagged' => JobSummaries::join($jobs->whereNull('jobs.handed_over_at'), 'inner')->where(
                'job_summaries.flagged',
                true,
            ),
            default => $jobs,
        };
    }

    /** What may have been meant, where nothing fits; null where nothing comes near. */
    public function meant(): ?string
    {
        $names = self::withPlace(self::real($this->crew))->distinct()->limit(self::MOST_NAMES)->pluck('sites.name');

        return SearchWords::meant($this->find, array_values(array_filter($names->all(), is_string(...))));
    }

    private function searched(): Builder
    {
        $jobs = self::real($this->crew);
        $terms = SearchWords::narrowing($this->find);

        return $terms === [] ? $jobs : $jobs->whereIn('jobs.id', WordIndex::find($terms));
    }

    /** Every real job of a crew. */
    public static function real(Crew $crew): Builder
    {
        return DB::table('jobs')->where('jobs.crew_id', $crew->id)->whereNull('jobs.practice_of_id');
    }

    /** The same with site, system and summary. */
    public static function withPlace(Builder $jobs): Builder
    {
        return JobSummaries::join(
            $jobs->join('systems', 'systems.id', 'jobs.system_id')->join('sites', 'sites.id', 'systems.site_id'),
        );
    }
}
