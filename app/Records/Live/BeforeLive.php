<?php

declare(strict_types=1);

namespace App\Records\Live;

use App\Models\Job;
use App\Models\Record\Reading;
use App\Records\Progress\Progress;
use App\Records\Step\ShortRepaired;
use Unionbit\Core\Proving\Step\Outcome;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/**
 * What is still open while the power is about to come on: ohms that fail, what a running step has taken apart, a
 * landing half done.
 */
final class BeforeLive
{
    /** @return list<Message> empty where nothing speaks against it */
    public static function of(Job $job, ?Progress $progress = null): array
    {
        $progress ??= Progress::of($job);
        $apart = array_map(
            static fn (Message $item): Message => Message::of('records.before-live.not-put-back-yet', item: $item),
            $progress->restore(),
        );

        return [...self::ohms($job), ...$apart, ...self::landing($progress)];
    }

    /** @return list<Message> the last ohms of every pair that were not as expected */
    private static function ohms(Job $job): array
    {
        $last = [];
        foreach (ShortRepaired::ohms($job) as $reading) {
            $last["{$reading->a}~{$reading->b}"] = $reading;
        }
        $failing = array_filter($last, static fn (Reading $r): bool => $r->outcome === Outcome::Fail);

        return array_values(
            array_map(
                static fn (Reading $r): Message => Message::of(
                    'records.before-live.ohms-failed',
                    a: $r->a,
                    b: $r->b,
                    ohms: $r->value === null
                        ? Message::of('records.before-live.over-limit')
                        : Quantity::of(round($r->value, 2), Unit::Ohms),
                    reason: $r->reason,
                ),
                $failing,
            ),
        );
    }

    /** @return list<Message> */
    private static function landing(Progress $progress): array
    {
        $moves = array_column($progress->moves(), 'done');
        $done = count(array_filter($moves));

        return $done === 0 || $done === count($moves)
            ? []
            : [Message::of('records.before-live.landing-half-done-moves', done: $done, count: count($moves))];
    }
}
