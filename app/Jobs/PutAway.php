<?php

declare(strict_types=1);

namespace App\Jobs;

use App\House\Refused;
use App\Models\Crew\User;
use App\Models\Job;
use Illuminate\Support\Facades\DB;
use Unionbit\Core\Words\Message;

/**
 * The shelf: archived or deleted by a person who is named there, and taken back. A handed-over record is only
 * archived.
 */
final class PutAway
{
    /** @param  string  $to  archive, list, delete or restore */
    public static function to(Job $job, User $user, string $to): Job
    {
        return DB::transaction(static function () use ($job, $user, $to): Job {
            $job->refresh();
            if ($to === 'delete' && $job->handed_over_at !== null) {
                throw Refused::at('to', Message::of('jobs.put-away.was-handed-over-record-not', site: $job->site));
            }
            match ($to) {
                'archive' => $job
                    ->forceFill(['archived_at' => $job->archived_at ?? now(), 'away_by_id' => $user->id])
                    ->save(),
                'delete' => $job->forceFill(['away_by_id' => $user->id])->save() && $job->delete(),
                'restore' => $job->forceFill(['archived_at' => null, 'away_by_id' => null])->save() &&
                    $job->restore(),
                default => $job->forceFill(['archived_at' => null, 'away_by_id' => null])->save(),
            };

            return $job;
        });
    }
}
