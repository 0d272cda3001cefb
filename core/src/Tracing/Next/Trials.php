<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Next;

use Unionbit\Core\Fault\Repair;
use Unionbit\Core\Tracing\Record\Event;
use Unionbit\Core\Tracing\Record\EventKind;
use Unionbit\Core\Tracing\Record\State;

/**
 * Repairs that are cheap are tests too: a delay waited out, a screw tightened, a setting put right, and the call run
 * again. Asked for where no look tells the same for less; never where something has to be brought or a fuse blown.
 */
final readonly class Trials
{
    /** Minutes of a repair that is tried to see what it does. */
    private const CHEAP = 5;

    /** Minutes of a soak under call, and of running a call again. */
    public const SOAK = 10.0;

    private const RERUN = 2.0;

    /** Share from which on it is worth a try. */
    private const LIKELY = 0.25;

    /** @param  array<string, Repair>  $repairs */
    public function __construct(private array $repairs, private Cost $cost, private Scoring $scoring)
    {
    }

    /**
     * @param  array<string, float>  $shares  by repair
     * @return list<Proposal> the most telling by the minute first
     */
    public function of(array $shares, State $state): array
    {
        $trials = [];
        foreach ($shares as $id => $share) {
            $repair = $this->repairs[$id] ?? null;
            if ($repair === null || $share < self::LIKELY || ! $this->isTried($repair, $state)) {
                continue;
            }
            $bits = Hypotheses::bits([$share, 1.0 - $share]);
            $event = self::event($repair);
            $minutes = self::RERUN + ($event->minutes ?? (float) $repair->minutes());
            $handling = $this->cost->at($state, $this->cost->placeOf($repair->id), $minutes);
            $worth = $this->scoring->worth($bits, $handling->minutes);
            $trials[] = new Proposal(null, null, $event, $handling, $bits, [], $worth);
        }
        usort($trials, static fn (Proposal $a, Proposal $b): int => $b->worth <=> $a->worth);

        return $trials;
    }

    /** What is done to end it: a delay is waited out, everything else repaired. */
    public static function event(Repair $repair): Event
    {
        return $repair->isWait()
            ? new Event(EventKind::Soaked, minutes: self::SOAK)
            : new Event(EventKind::Repaired, what: $repair->id);
    }

    private function isTried(Repair $repair, State $state): bool
    {
        $isDone = in_array($repair->id, $state->repaired, true);
        $looks = $repair->look !== null && ! $state->cannot->look($repair->id);

        return ! $isDone &&
            ! $looks &&
            $repair->parts === [] &&
            ($repair->isWait() || $repair->minutes() <= self::CHEAP);
    }
}
