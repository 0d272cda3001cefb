<?php

declare(strict_types=1);

namespace App\Handover;

use App\House\Refused;
use App\Models\Job;
use App\Models\Record\Signature;
use App\Records\Append;
use App\Records\Progress\Progress;
use Illuminate\Support\Facades\DB;
use Unionbit\Core\Words\Message;

/**
 * Closes a job: only with every line done, and signed, or expressly without. The names under which it is handed over
 * stay with it, whatever a later visit calls the house. Asked and written in one transaction, which holds the write
 * lock: no record slips in between.
 */
final class HandOver
{
    /** @param  bool  $unsigned  handed over without the signatures that are missing; the record says so */
    public static function of(Job $job, bool $unsigned): Job
    {
        return DB::transaction(static function () use ($job, $unsigned): Job {
            $job->refresh();
            if ($job->handed_over_at !== null) {
                return $job;
            }
            Append::open($job);
            self::ready($job);
            $missing = self::missing($job);
            if ($missing !== [] && ! $unsigned) {
                throw Refused::at(
                    'signatures',
                    Message::of('handover.hand-over.not-signed-yet-by-ask', who: $missing),
                );
            }
            $job->forceFill(['handed_over_at' => now(), 'handed_over_as' => self::names($job)])->save();

            return $job;
        });
    }

    /**
     * What a closed record keeps of its time, also one that comes closed out of a file.
     *
     * @return array{site: string, address: string, system: string, crew: string, unsigned: list<string>}
     */
    public static function names(Job $job): array
    {
        return [
            'site' => $job->site,
            'address' => $job->address,
            'system' => $job->system_name,
            'crew' => (string) $job->crew?->name,
            'unsigned' => self::missing($job),
        ];
    }

    /** @return list<string> who has not signed yet */
    public static function missing(Job $job): array
    {
        $signed = $job->counting($job->signatures())->pluck('role');

        return array_values(
            array_filter(Signature::ROLES, static fn (string $role): bool => ! $signed->contains($role)),
        );
    }

    private static function ready(Job $job): void
    {
        if ($job->isPractice()) {
            throw Refused::at('handover', Message::of('handover.hand-over.practice-not-handed-over-nothing'));
        }
        $open = array_filter(Progress::of($job)->handover(), static fn (array $l): bool => ! $l['done']);
        if ($open !== []) {
            throw Refused::at(
                'handover',
                Message::of('handover.hand-over.not-yet', open: array_column($open, 'label')),
            );
        }
    }
}
