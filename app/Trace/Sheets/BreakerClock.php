<?php

declare(strict_types=1);

namespace App\Trace\Sheets;

use App\Models\Job;
use App\Models\Kind\PowerState;
use App\Records\Power\PowerFlag;
use App\Trace\Book\TraceBook;
use Unionbit\Core\Tracing\Guide\BreakerWatch;
use Unionbit\Core\Tracing\Next\Proposal;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/** The clock of the test breaker: since when it has held, and after how long the transformer has to rest. */
final class BreakerClock
{
    /**
     * @param  ?Proposal  $next  whose call is about to be made
     * @return ?array{since: ?string, seconds: ?int, says: Message}
     */
    public static function of(Job $job, TraceBook $book, ?Proposal $next): ?array
    {
        $flag = PowerFlag::of($job);
        $now = $book->now($book->trace->state()->setup->call, $flag->isIsolated());
        $then = $next?->setup !== null && $next->setup->breakers() === $now->breakers() ? $next->setup : $now;
        $watches = array_filter(
            array_map($book->trace->watch(...), $then->key() === $now->key() ? [$now] : [$now, $then]),
        );
        usort($watches, static fn (BreakerWatch $a, BreakerWatch $b): int => $b->va <=> $a->va);
        $watch = $watches[0] ?? null;
        $since = $flag->isLive() ? PowerFlag::since($job, PowerState::Live) : null;

        return $watch === null
            ? null
            : [
                'since' => $since?->toIso8601String(),
                'seconds' => $watch->seconds,
                'says' => Message::of(
                    'trace.page.breaker-watch',
                    supply: $watch->supply,
                    va: Quantity::of($watch->va, Unit::VoltAmps, 0),
                    amps: Quantity::of($watch->amps, Unit::Amps, 1),
                    rating: Quantity::of($watch->rating, Unit::VoltAmps, 0),
                    holds: Quantity::of($watch->holds, Unit::VoltAmps, 0),
                    over: $watch->seconds === null ? 'no' : 'yes',
                ),
            ];
    }
}
