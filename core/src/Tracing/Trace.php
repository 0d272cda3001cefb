<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing;

use Unionbit\Core\Asked\AskedHouse;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\Probe;
use Unionbit\Core\Asked\Show\Duties;
use Unionbit\Core\Asked\Show\Senses;
use Unionbit\Core\Asked\Show\Shows;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Fault\FaultCatalogue;
use Unionbit\Core\Fault\ToldWhen;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Point\At;
use Unionbit\Core\Proving\Route\School;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Tracing\Belief\Belief;
use Unionbit\Core\Tracing\Belief\Blows;
use Unionbit\Core\Tracing\Belief\Kept;
use Unionbit\Core\Tracing\Belief\Moments;
use Unionbit\Core\Tracing\Belief\OddRows;
use Unionbit\Core\Tracing\Belief\Pairs;
use Unionbit\Core\Tracing\Belief\RowLikelihood;
use Unionbit\Core\Tracing\Belief\Standing;
use Unionbit\Core\Tracing\Belief\Worlds;
use Unionbit\Core\Tracing\Guide\BreakerWatch;
use Unionbit\Core\Tracing\Guide\Exchange;
use Unionbit\Core\Tracing\Guide\Ground;
use Unionbit\Core\Tracing\Guide\Guided;
use Unionbit\Core\Tracing\Next\Candidates;
use Unionbit\Core\Tracing\Next\Chooser;
use Unionbit\Core\Tracing\Next\Confirming;
use Unionbit\Core\Tracing\Next\Cost;
use Unionbit\Core\Tracing\Next\Outlook;
use Unionbit\Core\Tracing\Next\Proposal;
use Unionbit\Core\Tracing\Next\Scoring;
use Unionbit\Core\Tracing\Next\Trials;
use Unionbit\Core\Tracing\Record\Event;
use Unionbit\Core\Tracing\Record\EventKind;
use Unionbit\Core\Tracing\Record\Routine;
use Unionbit\Core\Tracing\Record\Row;
use Unionbit\Core\Tracing\Record\RowKind;
use Unionbit\Core\Tracing\Record\State;
use Unionbit\Core\Tracing\Suspect\Suspect;
use Unionbit\Core\Tracing\Suspect\SuspectList;
use Unionbit\Core\Tracing\Test\Result;

/**
 * A fault traced on one house: rows in order, what they leave, what to do next. The circuit is the only authority:
 * suspects are edits of it, tests are set-ups of it, outcomes are what it says. Deterministic.
 */
final class Trace
{
    public readonly Circuit $circuit;

    public readonly AskedHouse $house;

    public readonly Senses $sight;

    public readonly SuspectList $list;

    private readonly Belief $belief;

    private readonly Pairs $pairs;

    private readonly Worlds $worlds;

    private readonly Judgement $judgement;

    private readonly Candidates $candidates;

    private readonly Guided $guided;

    private State $state;

    private readonly State $start;

    /** @var array<string, int> number of the row in which a test was done, by its key */
    private array $done = [];

    /** @var array<string, int> how often a test was done, by its key */
    private array $times = [];

    /** A reading that nobody explains is taken so often before it is believed. */
    private const AGAIN = 2;

    /** @var array<string, CallName> */
    private array $open = [];

    /** @var array<string, true> calls that were seen to work since the last repair */
    private array $worked = [];

    private ?Answer $last = null;

    /** The repair whose confirming test is done or left out. */
    private string $confirmed = '';

    /**
     * @param  list<string>  $history  words of the catalogue's history
     * @param  list<string>  $notes  what else was told
     */
    public function __construct(
        public readonly Plan $plan,
        public readonly FaultCatalogue $catalogue,
        array $history = [],
        private readonly array $notes = [],
        School $school = School::Meter,
        Place $at = Place::Wall,
        ?Kept $kept = null,
    ) {
        $this->circuit = $plan->circuit();
        $this->house = AskedHouse::of($this->circuit);
        $this->sight = new Senses($this->circuit);
        $this->list = SuspectList::of($plan, $this->circuit, $catalogue, $history);
        $wanted = new Duties($this->circuit);
        $worlds = $this->worlds = new Worlds();
        $oracle = new Shows($this->house, $this->sight);
        $supplies = $this->circuit->installation->transformers();
        $fused = array_column(
            array_filter($supplies, static fn (Transformer $t): bool => $t->fuseAmps !== null),
            'id',
        );
        $this->belief = new Belief(
            $this->list,
            new RowLikelihood($this->house, $oracle, $worlds, new Moments($this->house, $worlds), $kept),
            $worlds,
            $wanted,
            $fused,
            new Blows($this->circuit, $kept),
        );
        $this->pairs = new Pairs($this->belief);
        $cost = new Cost($this->circuit, $this->house->contacts, $this->sight, $this->list->repairs);
        $outlook = new Outlook($this->house, $oracle, $worlds);
        $candidates = new Candidates($this->circuit, $this->house->contacts, $this->sight, $this->list->repairs);
        $this->candidates = $candidates;
        $scoring = new Scoring(
            $candidates,
            $outlook,
            $cost,
            $this->sight,
            $this->house->contacts,
            $this->list,
            $school,
        );
        $this->guided = new Guided($scoring);
        $this->judgement = new Judgement(
            $this->belief,
            $this->list,
            new Chooser($scoring),
            new Confirming($scoring),
            $cost,
            $wanted,
            $this->house,
            new Trials($this->list->repairs, $cost, $scoring),
            new Reopened($this->list, $wanted, $this->house),
        );
        $fuses = [];
        foreach ($supplies as $t) {
            $fuses[$t->id] = $t->fuseAmps === null ? State::NONE : State::UNKNOWN;
        }
        $this->start = new State($at, Hands::calling(), $fuses, array_fill_keys(array_keys($fuses), 0));
        $this->state = $this->start;
    }

    /** What was told of the time before the visit. */
    public function told(CallName $call, Result $result, ToldWhen $when = ToldWhen::Now): void
    {
        $this->belief->add(Row::told(Hands::calling($call), $result, $when));
        $this->last = null;
    }

    public function found(Hands $setup, Probe $probe, Result $result): void
    {
        $this->row(RowKind::Found, $setup, $probe, $result);
    }

    public function test(Hands $setup, Probe $probe, Result $result): void
    {
        $this->row($result->cannot === '' ? RowKind::Test : RowKind::Cannot, $setup, $probe, $result);
    }

    private function row(RowKind $kind, Hands $setup, Probe $probe, Result $result): void
    {
        $leads = $kind === RowKind::Test ? $this->leading() : null;
        $minutes =
            $kind === RowKind::Test ? $this->judgement->cost->of($this->state, $setup, $probe)->minutes : 0.0;
        $row = Row::test($this->next(), $kind, $setup, $probe, $result, $minutes);
        $this->belief->add($row);
        // The fault was found already: whatever was tested then, confirms it or takes it back.
        $this->confirmed = $leads ?? $this->confirmed;
        $this->apply($row);
    }

    public function event(Event $event): void
    {
        if ($event->kind === EventKind::Waived) {
            $this->confirmed = $this->leading() ?? '';
        }
        if ($event->kind === EventKind::Soaked) {
            $event = $event->ending($this->waitedOut());
        }
        if ($event->kind === EventKind::Touched) {
            $event = $event->named($this->house->contacts->node(At::read($event->of)) ?? $event->of);
        }
        if ($event->kind === EventKind::Listed && $event->list === []) {
            $event = $event->listing($this->wiresOf($event->what));
        }
        $this->mayHappen($event);
        $row = Row::event($this->next(), $event, $this->judgement->minutesOf($event, $this->state));
        $this->belief->add($row);
        $this->apply($row);
    }

    /** @throws Refusal for a row that is not there, a wire of no list, a repair before its last wire is on */
    private function mayHappen(Event $event): void
    {
        if ($event->kind->isOfRow()) {
            $this->has('/event/row', (int) $event->row);
        }
        $exchange = $this->exchange();
        $wires = array_column($exchange->wires ?? [], 'end');
        if ($event->kind->isOfWire() && ! in_array($event->of, $wires, true)) {
            throw new Refusal('/event/of', $event->of, $wires === [] ? [EventKind::Listed->value] : $wires);
        }
        $left = $event->kind === EventKind::Repaired ? $exchange?->left() ?? [] : [];
        if ($left !== []) {
            throw new Refusal('/event/kind', $event->kind->value, array_map(self::wireOn(...), $left));
        }
    }

    /** @throws Refusal for a row that is not there */
    private function has(string $pointer, int $number): void
    {
        $numbers = array_map(static fn (Row $r): int => $r->number, $this->rows());
        if (! in_array($number, $numbers, true)) {
            throw new Refusal(
                $pointer,
                $number,
                $numbers === [] ? ['no row yet'] : array_map(strval(...), $numbers),
            );
        }
    }

    /** @return list<string> the wires of what a repair exchanges; none where it exchanges nothing */
    public function wiresOf(string $repair): array
    {
        $known = $this->list->repairs[$repair] ?? null;

        return $known === null
            ? []
            : Exchange::listOf($known, $this->judgement->cost->placeOf($repair), $this->house->contacts);
    }

    /** What a transformer gives while its test breaker holds. */
    public function watch(Hands $setup): ?BreakerWatch
    {
        return BreakerWatch::of($this->house, $this->worlds, $setup, $this->belief->standings());
    }

    /** Keeps what was worked out, for the next trace of this house. */
    public function keep(): void
    {
        $this->belief->keep();
    }

    /** The exchange of a part that is under way. */
    public function exchange(): ?Exchange
    {
        return Exchange::of($this->rows());
    }

    private static function wireOn(string $end): string
    {
        return EventKind::WireOn->value." {$end}";
    }

    /** A delay that leads and was waited out: its repair; nothing where something else leads. */
    private function waitedOut(): string
    {
        $id = array_key_first($this->groups()) ?? '';

        return ($this->list->repairs[$id] ?? null)?->isWait() === true ? $id : '';
    }

    /** What a row changes beside the shares: state, tests done, calls to be run again. */
    private function apply(Row $row): void
    {
        $this->last = null;
        $this->state = $this->state->later($row->minutes);
        if ($row->withdrawn) {
            return;
        }
        if ($row->event !== null) {
            $this->happened($row->event);
        } elseif ($row->setup !== null && $row->probe !== null && $row->result !== null) {
            if ($row->kind === RowKind::Cannot) {
                $this->state = $this->state->refused($row->setup, $row->probe, $row->result->cannot);
                $this->done[$this->house->contacts->key($row->setup, $row->probe)] = 0;
            } else {
                $this->tested($row->setup, $row->probe, $row->result, $row->number);
            }
        }
    }

    private function tested(Hands $setup, Probe $probe, Result $result, int $number): void
    {
        $place = $this->judgement->cost->of($this->state, $setup, $probe)->at;
        $key = $this->house->contacts->key($setup, $probe);
        $this->done[$key] = $number;
        $this->times[$key] = ($this->times[$key] ?? 0) + 1;
        $this->state = $this->state->tested($setup, $result, $this->sight->fused())->standing($place);
        if ($setup->areOff() && $this->judgement->wanted->works($setup->call, $result->sees)) {
            unset($this->open[$setup->call->value]);
            $this->worked[$setup->call->value] = true;
        }
    }

    private function happened(Event $event): void
    {
        $this->state = $this->state->after($event);
        $repaired = match ($event->kind) {
            EventKind::Repaired, EventKind::Soaked => $event->what,
            EventKind::Setting => $this->list->settingOf($event->key),
            default => '',
        };
        if ($repaired !== '') {
            $this->repaired($repaired);
        }
        if ($event->kind->changesTheHouse()) {
            // What was read before may read otherwise now.
            [$this->done, $this->times] = [[], []];
        }
    }

    private function repaired(string $what): void
    {
        $this->state = $this->state->repaired($what);
        $this->worked = [];
        $this->confirmed = '';
        foreach ($this->judgement->reopened->by($what) as $call) {
            $this->open[$call->value] = $call;
        }
    }

    /**
     * Takes a row back: everything after it is judged again, and the state is what the other rows leave.
     *
     * @throws Refusal for a row that is not there
     */
    public function withdraw(int $number): void
    {
        $this->has('/row', $number);
        $this->belief->withdraw($number);
        $this->state = $this->start;
        [$this->done, $this->times, $this->open, $this->worked, $this->confirmed] = [[], [], [], [], ''];
        foreach ($this->rows() as $row) {
            $this->apply($row);
        }
    }

    private function next(): int
    {
        return count($this->rows()) + 1;
    }

    /** @return list<Row> those with a number */
    public function rows(): array
    {
        return array_values(array_filter($this->belief->rows(), static fn (Row $r): bool => $r->number > 0));
    }

    /** For measuring: the most informative test, whatever it costs. */
    public function byBitsAlone(bool $bits): void
    {
        $this->judgement->byBitsAlone($bits);
    }

    /** @return list<CallName> every call of the house but the rest */
    public function calls(): array
    {
        return $this->judgement->wanted->calls();
    }

    /** @return array<string, string> what a call should run and should not */
    public function wanted(CallName $call): array
    {
        return $this->judgement->wanted->of($call);
    }

    /** @return list<Place> where one can stand in this house */
    public function places(): array
    {
        $places = [];
        foreach ($this->house->contacts->netlist->points as $point) {
            if ($point->place !== null) {
                $places[$point->place->value] = $point->place;
            }
        }

        return array_values($places);
    }

    public function state(): State
    {
        return $this->state;
    }

    /** The repair that is found, before the next test is thought of; null where none is. */
    private function leading(): ?string
    {
        $groups = $this->groups();
        $id = array_key_first($groups) ?? '';

        return $id !== Suspect::SOUND && ($groups[$id] ?? 0.0) >= Judgement::FOUND ? $id : null;
    }

    /** @return array<string, float> share of each repair, most first; without the next test */
    public function groups(): array
    {
        $shares = [];
        foreach ($this->belief->standings() as $standing) {
            $shares[$standing->repair] = ($shares[$standing->repair] ?? 0.0) + $standing->share;
        }
        arsort($shares);

        return $shares;
    }

    public function answer(): Answer
    {
        if ($this->last !== null) {
            return $this->last;
        }
        $standings = $this->belief->standings();
        if ($this->judgement->isPoor($standings) && $this->pairs->add($standings)) {
            $standings = $this->belief->standings();
        }

        $notAgain = $this->notAgain($standings);

        $asked = new Asked(
            count($this->rows()),
            $notAgain,
            array_values($this->open),
            array_values(array_filter($this->calls(), fn (CallName $c): bool => ! isset($this->worked[$c->value]))),
            $this->confirmed,
            $this->notes,
            $this->state->routine === null
                ? null
                : fn (): ?Proposal => $this->guided->next(
                    $this->state->routine,
                    $this->ground($standings),
                    $notAgain,
                ),
            OddRows::of($this->belief),
        );

        return $this->last = $this->judgement->answer($standings, $this->state, $asked);
    }

    /** @return list<array{Routine, Proposal}> every routine with its next step, the most telling first */
    public function routines(): array
    {
        $standings = $this->belief->standings();
        $ground = $this->ground($standings);
        $done = $this->notAgain($standings);
        $found = [];
        foreach (Routine::cases() as $routine) {
            $next = $this->guided->next($routine, $ground, $done);
            if ($next !== null) {
                $found[] = [$routine, $next];
            }
        }
        usort($found, static fn (array $a, array $b): int => $b[1]->bits <=> $a[1]->bits);

        return $found;
    }

    /** @param  list<Standing>  $standings */
    private function ground(array $standings): Ground
    {
        return new Ground(
            $this->circuit,
            $this->house,
            $this->sight,
            $this->candidates,
            $this->judgement->cost,
            $this->judgement->wanted,
            $this->list->repairs,
            $this->state,
            $this->rows(),
            $standings,
        );
    }

    /**
     * Tests that tell nothing more: all that were done but those whose row nobody explains, once more with better
     * contact.
     *
     * @param  list<Standing>  $standings
     * @return array<string, true>
     */
    private function notAgain(array $standings): array
    {
        $odd = $this->judgement->unexplained($standings);

        return array_fill_keys(
            array_filter(
                array_keys($this->done),
                fn (string $key): bool => ! in_array($this->done[$key], $odd, true) ||
                    ($this->times[$key] ?? 0) >= self::AGAIN,
            ),
            true,
        );
    }
}
