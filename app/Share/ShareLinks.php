<?php

declare(strict_types=1);

namespace App\Share;

use App\Crew\Door\LinkToken;
use App\Crew\SecurityKind;
use App\Crew\SecurityLog;
use App\Database\Spare;
use App\Models\Crew\User;
use App\Models\Job;
use App\Models\Share\ShareLink;
use App\Models\Share\SharePart;

/** Links to a house for somebody outside the crew: made, opened, taken back; each of these stands in the log. */
final class ShareLinks
{
    /**
     * @param  list<SharePart>  $parts
     * @return array{link: ShareLink, url: string} the address is said this once
     */
    public static function make(Job $job, string $label, array $parts, int $days, User $by): array
    {
        $token = LinkToken::make();
        $link = ShareLink::query()->create([
            'job_id' => $job->id,
            'token' => LinkToken::sum($token),
            'label' => $label,
            'parts' => array_map(static fn (SharePart $p): string => $p->value, $parts),
            'user_id' => $by->id,
            'ends_at' => now()->addDays($days),
        ]);
        $shows = implode(' ', $link->parts);
        SecurityLog::write(SecurityKind::ShareMade, "of job {$job->id} for {$days} days: {$shows}", $by);

        return ['link' => $link, 'url' => url("/shared/{$token}")];
    }

    /** The link that this address opens, while it does and its house is there. */
    public static function find(#[\SensitiveParameter] string $token): ?ShareLink
    {
        $link = ShareLink::query()
            ->open()
            ->with(['job.crew', 'job.system'])
            ->where('token', LinkToken::sum($token))
            ->first();

        return $link?->job === null ? null : $link;
    }

    /** Somebody looked: counted, and written down with their address, unless the database takes no writes now. */
    public static function opened(ShareLink $link): void
    {
        Spare::write(static function () use ($link): void {
            ShareLink::query()
                ->whereKey($link->id)
                ->increment('opened', 1, ['opened_at' => now()]);
            SecurityLog::ofCrew(
                SecurityKind::ShareOpened,
                "link {$link->id} to job {$link->job_id}",
                $link->job?->crew_id,
            );
        });
    }

    public static function revoke(ShareLink $link, ?User $by): void
    {
        $link->forceFill(['revoked_at' => now()])->save();
        SecurityLog::write(SecurityKind::ShareRevoked, "link {$link->id} to job {$link->job_id}", $by);
    }
}
