<?php

declare(strict_types=1);

namespace App\Errand;

use App\Database\Spare;
use App\Models\Work\Errand;
use App\Models\Work\ErrandState;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * Work whose worker ended in the middle of it: a power cut, a kill, memory that ran out. It is begun anew by whoever
 * comes by first: the worker between two pieces, the scheduler each minute, whoever asks for it or sends it again.
 */
final class CutOff
{
    /** Seconds after which work that waits for nobody was never begun: without a queue it is begun at once. */
    private const BEGUN_WITHIN = 5;

    /** Seconds after which work that waits for a worker is said to hang. */
    private const HANGS_AFTER = 120;

    public static function is(Errand $errand): bool
    {
        return match ($errand->state) {
            ErrandState::Running => Hold::isFree($errand),
            ErrandState::Waiting => config('queue.default') === 'sync' &&
                self::isOlder($errand, self::BEGUN_WITHIN) &&
                Hold::isFree($errand),
            default => false,
        };
    }

    /** Of a moment that has not come, since the clock was set back, nothing is known: it counts as long ago. */
    private static function isOlder(Errand $errand, int $seconds): bool
    {
        return ! $errand->updated_at->between(now()->subSeconds($seconds), now()->addSecond());
    }

    /** @return int how many were begun anew */
    public static function takeUp(): int
    {
        // Nothing of ours is put off: what waits for a later hour was queued before the clock was set back.
        DB::table('queue_work')
            ->where('available_at', '>', now()->addMinute()->getTimestamp())
            ->update(['available_at' => now()->getTimestamp()]);
        $open = Errand::query()->open()->orderBy('created_at')->get();

        return count(array_filter($open->all(), self::again(...)));
    }

    /** Begins it anew where it was cut off: once, however many come by. */
    public static function again(Errand $errand): bool
    {
        if (! self::is($errand)) {
            return false;
        }
        $won = RunErrand::after($errand->id, static fn (): bool => self::claimed($errand));
        $errand->refresh();

        return $won;
    }

    /** Of several who come by at once one has it. Whoever only asks how far it is needs no write. */
    private static function claimed(Errand $errand): bool
    {
        $mine = false;
        Spare::write(static function () use ($errand, &$mine): void {
            $mine =
                Errand::query()
                    ->whereKey($errand->id)
                    ->where('state', $errand->state)
                    ->where('updated_at', $errand->updated_at)
                    ->update(['state' => ErrandState::Waiting, 'updated_at' => now()]) === 1;
        });

        return $mine;
    }

    /** @return array{kind: string, since: Carbon, count: int}|null what hangs, the longest first */
    public static function hanging(): ?array
    {
        $open = Errand::query()
            ->open()
            ->orderBy('updated_at')
            ->get()
            ->filter(
                static fn (Errand $e): bool => self::is($e) ||
                    ($e->state === ErrandState::Waiting && self::isOlder($e, self::HANGS_AFTER)),
            );
        $first = $open->first();

        return $first === null
            ? null
            : ['kind' => $first->kind, 'since' => $first->updated_at, 'count' => count($open)];
    }
}
