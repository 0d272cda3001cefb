<?php

declare(strict_types=1);

namespace App\Crew\People;

use App\Models\Crew\User;
use App\Models\Job;
use App\Models\Share\ShareLink;
use App\Models\Share\SharePart;
use Illuminate\Database\Eloquent\Builder;

/** Links to houses that still open, as lists: to one house, and to all of a crew for whoever leads it. */
final class ShareRows
{
    /** @return list<array<string, mixed>> the newest first */
    public static function ofJob(Job $job): array
    {
        return array_map(static fn (ShareLink $l): array => self::row($l, null), self::open([$job->id]));
    }

    /** @return list<array<string, mixed>> with the house that each is to */
    public static function ofCrew(User $lead): array
    {
        $jobs = Job::query()->where('crew_id', $lead->crew_id);
        $links = self::open((clone $jobs)->select('id'));
        $sites = $jobs
            ->findMany(array_column($links, 'job_id'))
            ->mapWithKeys(static fn (Job $job): array => [$job->id => $job->site]);

        return array_map(static fn (ShareLink $l): array => self::row($l, $sites[$l->job_id] ?? null), $links);
    }

    /**
     * @param  list<string>|Builder<Job>  $jobs
     * @return list<ShareLink>
     */
    private static function open(array|Builder $jobs): array
    {
        return array_values(
            ShareLink::query()->open()->whereIn('job_id', $jobs)->with('user')->orderByDesc('id')->get()->all(),
        );
    }

    /** @return array<string, mixed> */
    private static function row(ShareLink $link, ?string $house): array
    {
        return [
            'id' => $link->id,
            'label' => $link->label,
            'house' => $house,
            'parts' => array_map(static fn (SharePart $p): mixed => $p->label(), $link->shown()),
            'by' => $link->user->name,
            'endsAt' => $link->ends_at->toIso8601String(),
            'opened' => $link->opened,
            'openedAt' => $link->opened_at?->toIso8601String(),
        ];
    }
}
