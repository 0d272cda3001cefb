<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing;

use Unionbit\Core\Asked\AskedHouse;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\Probe;
use Unionbit\Core\Asked\Show\Duties;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Fault\Doing;
use Unionbit\Core\Fault\Repair;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Tracing\Belief\Belief;
use Unionbit\Core\Tracing\Belief\Pairs;
use Unionbit\Core\Tracing\Belief\Standing;
use Unionbit\Core\Tracing\Next\Chooser;
use Unionbit\Core\Tracing\Next\Confirming;
use Unionbit\Core\Tracing\Next\Cost;
use Unionbit\Core\Tracing\Next\Hypotheses;
use Unionbit\Core\Tracing\Next\Outcome;
use Unionbit\Core\Tracing\Next\Proposal;
use Unionbit\Core\Tracing\Next\Trials;
use Unionbit\Core\Tracing\Record\Event;
use Unionbit\Core\Tracing\Record\EventKind;
use Unionbit\Core\Tracing\Record\State;
use Unionbit\Core\Tracing\Suspect\Suspect;
use Unionbit\Core\Tracing\Suspect\SuspectList;
use Unionbit\Core\Tracing\Test\Result;

/** What the shares of all suspects mean: who leads, whether that is enough, what comes next, what a repair reopens. */
final class Judgement
{
    /** Share of one repair from which on the fault is found. */
    public const FOUND = 0.9;

    /** Share from which on a test that tells next to nothing is not worth its minutes, and bits that are that. */
    private const NEARLY = 0.8;

    private const HARDLY = 0.06;

    /** Tests that are shown. */
    private const SHOWN = 3;

    /** Share of a suspect that, explaining every row, makes two faults at once not worth a thought. */
    private const CREDIBLE = 0.02;

    /** Rivals against which a test confirms. */
    private const RIVALS = 14;

    public function __construct(
        private readonly Belief $belief,
        private readonly SuspectList $list,
        private readonly Chooser $chooser,
        private readonly Confirming $confirming,
        public readonly Cost $cost,
        public readonly Duties $wanted,
        private readonly AskedHouse $house,
        private readonly Trials $trials,
        public readonly Reopened $reopened,
    ) {
    }

    public function byBitsAlone(bool $bits): void
    {
        $this->chooser->byBitsAlone($bits);
    }

    /**
     * Whether nobody with a share that counts explains every row.
     *
     * @param  list<Standing>  $standings  most first
     */
    public function isPoor(array $standings): bool
    {
        $pairs = new Pairs($this->belief);

        return ! array_any(
            $standings,
            static fn (Standing $s): bool => $s->share >= self::CREDIBLE &&
                ! $s->suspect->isUnknown() &&
                $pairs->unexplained($s->suspect) === [],
        );
    }

    /** @param  list<Standing>  $standings */
    public function answer(array $standings, State $state, Asked $asked): Answer
    {
        [$open, $tests] = [$asked->open, $asked->tests];
        $suspects = $this->suspects($standings);
        $groups = $this->groups($suspects);
        $leads = $groups[0] ?? null;
        $sound = $leads !== null && $leads->id === Suspect::SOUND;
        $finished = $open === [] && $sound;
        $done = null;
        $next = [];
        if ($open !== [] && ($leads?->id === Suspect::SOUND || $this->repair($leads)?->does === Doing::Fuse)) {
            $next = $this->reruns($open, $state, $standings);
        } elseif ($finished && $leads->share >= self::FOUND) {
            // Asked for the second fault: every call is run, not only those that were complained of or touched.
            $next = $this->reruns($asked->unseen, $state, $standings);
        } else {
            $hypotheses = Hypotheses::among($standings);
            $enough = $leads !== null && $leads->share >= self::FOUND && ! $sound;
            $best = $enough ? [] : $this->chooser->best($hypotheses, $state, $tests);
            $hardly =
                ($best[0]->bits ?? 0.0) < ($leads !== null && $leads->share >= self::NEARLY ? self::HARDLY : 0.0);
            $stuck = ! $enough && ($best === [] || $hardly) && $leads !== null && ! $sound;
            if ($enough || $stuck) {
                $done = $this->done($groups, $standings, $state, $tests, $asked->confirmed, $stuck);
                $next = $this->afterDone($done, $state);
            } else {
                $next =
                    $best !== []
                        ? $this->withTrials($best, $groups, $state)
                        : $this->reruns($this->wanted->calls(), $state, $standings);
                $step = $asked->guided === null ? null : ($asked->guided)();
                $next = $step === null ? $next : self::leadBy($step, $next);
            }
        }

        return new Answer(
            $asked->rows,
            $state,
            $suspects,
            $groups,
            $next,
            $this->unexplained($standings),
            $asked->notes,
            $this->list->landing,
            $done,
            $open,
            $finished,
            $asked->odd,
        );
    }

    /**
     * @param  list<Proposal>  $best
     * @param  list<Group>  $groups
     * @return list<Proposal> the best test first, which voids no proof, then repairs that tell more than the others
     */
    private function withTrials(array $best, array $groups, State $state): array
    {
        $others = [...array_slice($best, 1), ...$this->trials->of(array_column($groups, 'share', 'id'), $state)];
        usort($others, static fn (Proposal $a, Proposal $b): int => $b->worth <=> $a->worth);

        return [$best[0], ...array_slice($others, 0, self::SHOWN - 1)];
    }

    /**
     * @param  list<Proposal>  $others
     * @return list<Proposal> the step of a routine first, then what would be asked without it
     */
    private static function leadBy(Proposal $step, array $others): array
    {
        $rest = array_filter($others, static fn (Proposal $p): bool => $p->key() !== $step->key());

        return [$step, ...array_slice(array_values($rest), 0, 2)];
    }

    /**
     * @param  list<Standing>  $standings
     * @return list<Shares>
     */
    private function suspects(array $standings): array
    {
        $shares = $first = [];
        foreach ($standings as $standing) {
            $shares[$standing->id] = ($shares[$standing->id] ?? 0.0) + $standing->share;
            $first[$standing->id] ??= $standing;
        }
        arsort($shares);
        $reasons = new Reasons($this->belief);
        $mean = $reasons->means($standings);
        $lines = [];
        foreach ($shares as $id => $share) {
            $standing = $first[$id];
            $suspect = $standing->suspect;
            $lines[] = new Shares(
                (string) $id,
                $standing->left === [] && $suspect->faults !== [] ? Suspect::sound(0.0)->title : $suspect->title,
                $share,
                $standing->repair,
                $reasons->of($suspect, $mean),
                $suspect->factors,
                $standing,
            );
        }

        return $lines;
    }

    /**
     * @param  list<Shares>  $suspects
     * @return list<Group> most first
     */
    private function groups(array $suspects): array
    {
        $ids = $shares = [];
        foreach ($suspects as $line) {
            $ids[$line->group][] = $line->id;
            $shares[$line->group] = ($shares[$line->group] ?? 0.0) + $line->share;
        }
        arsort($shares);

        return array_map(
            static fn (int|string $id): Group => new Group((string) $id, $ids[$id], $shares[$id]),
            array_keys($shares),
        );
    }

    /**
     * @param  list<Group>  $groups  at least one
     * @param  list<Standing>  $standings
     * @param  array<string, true>  $tests
     */
    private function done(
        array $groups,
        array $standings,
        State $state,
        array $tests,
        string $confirmed,
        bool $stuck,
    ): Done {
        $ids = $groups[0]->ids;
        $share = $groups[0]->share;
        if ($stuck) {
            foreach (array_slice($groups, 1, 5) as $group) {
                if ($share >= self::FOUND || $group->share < 0.02) {
                    break;
                }
                array_push($ids, ...$group->ids);
                $share += $group->share;
            }
        }
        $id = $groups[0]->id;
        $confirm = $stuck || $confirmed === $id ? null : $this->confirm($id, $standings, $state, $tests);
        $leader = array_find($standings, static fn (Standing $s): bool => $s->repair === $id);

        return new Done(
            $id,
            $ids,
            $share,
            $this->list->repairs[$id] ?? null,
            $this->fuses($leader, $state),
            $confirm,
            $this->reopened->by($id),
            $stuck,
        );
    }

    /**
     * @param  list<Standing>  $standings
     * @param  array<string, true>  $tests
     */
    private function confirm(string $id, array $standings, State $state, array $tests): ?Proposal
    {
        $rivals = Hypotheses::among($standings, 0.0)->first(self::RIVALS);
        $isSeen = ($this->list->repairs[$id] ?? null)?->look !== null;

        return ($isSeen ? $this->confirming->look($rivals, $id, $state, $tests) : null) ??
            $this->confirming->of($rivals, $id, $state, $tests);
    }

    private function repair(?Group $group): ?Repair
    {
        return $group === null ? null : $this->list->repairs[$group->id] ?? null;
    }

    /** @return array<string, float> */
    private function fuses(?Standing $leader, State $state): array
    {
        $fuses = [];
        foreach ($this->house->circuit->installation->transformers() as $transformer) {
            $open = $state->isOpen($transformer->id) || $leader?->open->has($transformer->id) === true;
            if ($transformer->fuseAmps !== null && $open) {
                $fuses[$transformer->id] = $transformer->fuseAmps;
            }
        }

        return $fuses;
    }

    /** @return list<Proposal> */
    private function afterDone(Done $done, State $state): array
    {
        $repaired = $this->repairProposal($done, $state);

        return $done->confirm === null ? [$repaired] : [$done->confirm, $repaired];
    }

    private function repairProposal(Done $done, State $state): Proposal
    {
        $event =
            $done->repair === null
                ? new Event(EventKind::Repaired, what: $done->group)
                : Trials::event($done->repair);
        $place = $this->cost->placeOf($done->group);

        return Proposal::event($event, $this->cost->at($state, $place, (float) ($done->repair?->minutes() ?? 5)));
    }

    /** Minutes of an event. */
    public function minutesOf(Event $event, State $state): float
    {
        return match ($event->kind) {
            EventKind::Repaired => (float) (($this->list->repairs[$event->what] ?? null)?->minutes() ?? 5),
            EventKind::Soaked => $event->minutes ?? Trials::SOAK,
            EventKind::Setting => 2.0,
            EventKind::Moved => max(0.0, $this->cost->at($state, Place::from($event->of), 0.0)->minutes),
            default => 0.0,
        };
    }

    /**
     * @param  list<CallName>  $calls
     * @param  list<Standing>  $standings
     * @return list<Proposal> each call as the house makes it, with all that it should and should not run
     */
    private function reruns(array $calls, State $state, array $standings): array
    {
        $fuses = [];
        foreach ($this->house->circuit->installation->transformers() as $transformer) {
            $share = 0.0;
            foreach ($standings as $standing) {
                $share += $standing->open->has($transformer->id) ? $standing->share : 0.0;
            }
            if ($transformer->fuseAmps !== null && ($state->isOpen($transformer->id) || $share > 0.5)) {
                $fuses[] = $transformer->id;
            }
        }
        $next = [];
        foreach ($calls as $call) {
            $wanted = $this->wanted->of($call);
            $keys = array_values(
                array_filter(
                    array_map(strval(...), array_keys($wanted)),
                    static fn (string $k): bool => ! $state->cannot->sign($k),
                ),
            );
            if ($keys === [] || $state->cannot->call($call)) {
                continue;
            }
            $probe = Probe::see($keys);
            $setup = Hands::calling($call);
            $next[] = Proposal::test(
                $setup,
                $probe,
                $this->cost->of($state, $setup, $probe, $next === [] ? $fuses : []),
                0.0,
                [new Outcome(Result::saw($wanted), 1.0, [Suspect::SOUND])],
                0.0,
            );
        }

        return array_slice($next, 0, 3);
    }

    /**
     * @param  list<Standing>  $standings
     * @return list<int> numbers of rows that the best do not explain, the worst first
     */
    public function unexplained(array $standings): array
    {
        $best = [];
        $known = array_values(array_filter($standings, static fn (Standing $s): bool => ! $s->suspect->isUnknown()));
        $few = array_filter(
            array_slice($known, 0, 6),
            static fn (Standing $s): bool => $s->share > 0.1 || $s === $known[0],
        );
        foreach ($this->belief->rows() as $index => $row) {
            if (! $row->kind->isEvidence() || $row->withdrawn || $row->number === 0) {
                continue;
            }
            $fits = array_map(fn (Standing $s): float => $this->belief->fit($s->suspect->id, $index) ?? 1.0, $few);
            if ($fits !== [] && max($fits) < Pairs::EXPLAINED) {
                $best[$row->number] = max($fits);
            }
        }
        asort($best);

        return array_keys($best);
    }
}
