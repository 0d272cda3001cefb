<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Guide;

use Unionbit\Core\Point\At;
use Unionbit\Core\Tracing\Next\Handling;
use Unionbit\Core\Tracing\Next\Hypotheses;
use Unionbit\Core\Tracing\Next\Proposal;
use Unionbit\Core\Tracing\Next\Scoring;
use Unionbit\Core\Tracing\Record\Event;
use Unionbit\Core\Tracing\Record\EventKind;
use Unionbit\Core\Tracing\Record\Routine;
use Unionbit\Core\Tracing\Record\Row;

/**
 * The next step of a routine: the first of its plan that still tells something of those who are left. Steps are tests
 * of the same engine, their answers evidence like any other; the shares alone decide which of them are left out.
 */
final readonly class Guided
{
    /** Worlds that a step is asked of. */
    private const ROUGH = 16;

    /** Bits under which a step is left out: the rhythm of a routine is worth more than the last bit. */
    private const TELLS = 0.005;

    public function __construct(private Scoring $scoring)
    {
    }

    /**
     * Null where nothing of it tells anything more.
     *
     * @param  array<string, true>  $done  keys of tests done
     */
    public function next(Routine $routine, Ground $ground, array $done): ?Proposal
    {
        $this->scoring->done = $done;
        $hypotheses = Hypotheses::among($ground->standings)->first(self::ROUGH);
        $steps = self::steps($routine, $ground);
        $left = self::left($steps, $ground, $done);
        foreach ($steps as $n => $step) {
            $proposal = match (true) {
                isset($left[$n]) => null,
                $step->event === null => $this->test($step, $ground, $hypotheses),
                default => $this->event($step->event, $ground),
            };
            if ($proposal !== null) {
                return $proposal;
            }
        }

        return null;
    }

    /**
     * One big step at a time: a step is left when it has had its tests, or when a later one was begun after it.
     *
     * @param  list<Step>  $steps
     * @param  array<string, true>  $done
     * @return array<int, true>
     */
    private static function left(array $steps, Ground $ground, array $done): array
    {
        $taken = array_map(static fn (Step $s): int => self::taken($s, $ground, $done), $steps);
        $last = -1;
        foreach ($taken as $n => $count) {
            $last = $count > 0 ? $n : $last;
        }
        $left = [];
        foreach ($steps as $n => $step) {
            if ($taken[$n] >= $step->most || ($taken[$n] > 0 && $n < $last)) {
                $left[$n] = true;
            }
        }

        return $left;
    }

    /** @param  array<string, true>  $done */
    private static function taken(Step $step, Ground $ground, array $done): int
    {
        if ($step->event !== null) {
            return self::happened($step->event, $ground) ? 1 : 0;
        }
        $taken = 0;
        foreach ($step->candidates as $candidate) {
            foreach ($candidate->probes as $probe) {
                $taken += isset($done[$ground->house->contacts->key($candidate->setup, $probe)]) ? 1 : 0;
            }
        }

        return $taken;
    }

    private static function happened(Event $event, Ground $ground): bool
    {
        return array_any(
            $ground->rows,
            static fn (Row $r): bool => ! $r->withdrawn &&
                $r->event?->kind === $event->kind &&
                $r->event->of === $event->of,
        );
    }

    /** @return list<Step> */
    public static function steps(Routine $routine, Ground $ground): array
    {
        return match ($routine) {
            Routine::CheapLooks => CheapLooks::steps($ground),
            Routine::HotAtPlaces => HotAtPlaces::steps($ground),
            Routine::LostCommon => LostCommon::steps($ground),
            Routine::OutdoorChain => OutdoorChain::steps($ground),
            Routine::ShortHunt => ShortHunt::steps($ground),
            Routine::BlowerRuns => BlowerRuns::steps($ground),
            Routine::Intermittent => Intermittent::steps($ground),
        };
    }

    private function test(Step $step, Ground $ground, Hypotheses $hypotheses): ?Proposal
    {
        $best = null;
        foreach ($step->candidates as $candidate) {
            foreach (
                $this->scoring->of($candidate, $hypotheses, $ground->state, $step->always ? 0.0 : self::TELLS) as $one
            ) {
                $best = $best === null || $one->worth > $best->worth ? $one : $best;
            }
        }

        return $best?->proposal($hypotheses, $best->worth);
    }

    private function event(Event $event, Ground $ground): ?Proposal
    {
        if ($event->kind !== EventKind::Touched) {
            return Proposal::event($event, new Handling([], [], $event->minutes ?? 0.0, $ground->state->at));
        }
        $share = 0.0;
        foreach ($ground->standings as $standing) {
            $share +=
                $standing->suspect->comesAndGoes() && $standing->suspect->isAt($event->of) ? $standing->share : 0.0;
        }
        $place = $ground->house->contacts->placeOf(At::read($event->of));
        $bits = Hypotheses::bits([$share, 1.0 - $share]);

        return $bits < self::TELLS
            ? null
            : Proposal::event($event, $ground->cost->at($ground->state, $place, Intermittent::WIGGLE), $bits);
    }
}
