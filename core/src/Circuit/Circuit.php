<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit;

use Unionbit\Core\Circuit\Edit\LeadOff;
use Unionbit\Core\Circuit\Netlist\Assembly;
use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Netlist\ElementKind;
use Unionbit\Core\Circuit\Netlist\EquipmentParts;
use Unionbit\Core\Circuit\Netlist\Netlist;
use Unionbit\Core\Circuit\Netlist\Point;
use Unionbit\Core\Circuit\Netlist\Tolerance;
use Unionbit\Core\Circuit\Solve\Network;
use Unionbit\Core\Equipment\Load;
use Unionbit\Core\Equipment\LoadKind;
use Unionbit\Core\Equipment\SharedKit;
use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Point\At;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Thermostat\PowerKind;
use Unionbit\Core\Thermostat\Profile;
use Unionbit\Core\Wiring\Landing;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/**
 * The one circuit model of a house: installation, thermostat and landing, asked in any set-up. Coils pull in at
 * 18 V and drop out under 10.8 V, driven contacts follow (their delays elapsed), fuses open on settled current,
 * a thermostat under 16 V goes blank and opens its calls; all to a fixed point.
 */
final class Circuit
{
    public const PULL_IN_VOLTS = LoadKind::PULL_IN_VOLTS;

    public const BLANK_VOLTS = 16.0;

    /** A fuse opens at this multiple of its rating, on settled current. */
    public const FUSE_FACTOR = 1.35;

    /** Inside a cycle it opens where any state is over this multiple; between the two it may open. */
    public const CYCLE_FACTOR = 2.0;

    /** A two-part thermostat's wall unit and module hear each other while the signal conductor carries this. */
    private const SIGNAL_VOLTS = 6.0;

    private const CLOSED_OHMS = 0.05;

    private const ROUNDS = 24;

    /** @var array<string, Netlist> */
    private array $netlists = [];

    /** @var array<string, Network> the house at rest, by tolerance */
    private array $bases = [];

    /** @var \WeakMap<Setup, array<string, OperatingPoint>> settled states already found, by tolerance */
    private \WeakMap $settled;

    private ?Netlist $rest = null;

    /** @var array<string, list<At>> landed ends, by place */
    private array $ends = [];

    /** @var ?list<self> the same house with each combination of what is not known of its supplies */
    private ?array $possibilities = null;

    public function __construct(
        public readonly Installation $installation,
        public readonly Profile $profile,
        public readonly Landing $landing,
    ) {
        $this->settled = new \WeakMap();
    }

    /** The netlist with every load at rest and every contact where the set-up leaves it. */
    public function netlist(Setup $setup, ?Tolerance $tolerance = null): Netlist
    {
        $netlist = $this->healthy($setup, $tolerance ?? Tolerance::nominal());
        foreach ($setup->edits as $edit) {
            $netlist = $edit->apply($netlist);
        }

        return $netlist;
    }

    /** The house with nothing done to it: every point and part that it has. */
    public function atRest(): Netlist
    {
        return $this->rest ??= $this->netlist(Setup::calling());
    }

    /** Whether an end of a conductor is on a screw or under a splice, and can be lifted. */
    public function isLanded(At $end): bool
    {
        return isset($this->atRest()->elements[Part::joint($end)->id]);
    }

    /** @return list<At> landed ends of every conductor at a place */
    public function endsAt(Place $place): array
    {
        return $this->ends[$place->value] ??= array_values(
            array_filter(
                array_map(
                    static fn (Point $p): At => At::read($p->id),
                    array_filter(
                        $this->atRest()->points,
                        static fn (Point $p): bool => $p->place === $place && $p->conductor !== null,
                    ),
                ),
                $this->isLanded(...),
            ),
        );
    }

    /** What a part is called. */
    public function partName(string $id): Message
    {
        return $this->atRest()->elements[$id]->label ?? Message::raw($id);
    }

    /**
     * What a point is, whatever the set-up.
     *
     * @throws \OutOfBoundsException for a point that the circuit does not have
     */
    public function point(string $id): Point
    {
        $netlist = $this->assembled(Tolerance::nominal());

        return $netlist->points[$id] ?? (LeadOff::named($netlist, $id) ?? $netlist->point($id));
    }

    /** @return list<self> as {@see Supplies::possibilities()}, each built once */
    public function possibilities(): array
    {
        return $this->possibilities ??= Supplies::possibilities($this);
    }

    private function assembled(Tolerance $tolerance): Netlist
    {
        return $this->netlists["{$tolerance->source}/{$tolerance->coil}"] ??= Assembly::netlist(
            $this->installation,
            $this->profile,
            $this->landing,
            $tolerance,
        );
    }

    private function healthy(Setup $setup, Tolerance $tolerance): Netlist
    {
        $netlist = $this->assembled($tolerance);
        $elements = $netlist->elements;
        foreach ($setup->lifted as $end) {
            unset($elements[Part::joint(At::read($end))->id]);
        }
        if ($setup->faceOff && $this->profile->switchesInFace) {
            unset(
                $elements[Part::electronics()->id],
                $elements[Part::wallUnit()->id],
                $elements[Part::wallSignal()->id],
            );
            foreach ($this->profile->terminals as $terminal) {
                unset($elements[Part::switch($terminal->printed)->id]);
            }
        }
        foreach ($setup->jumpers as $index => [$a, $b]) {
            $id = Part::jumper($index)->id;
            $elements[$id] = Element::copper(
                $id,
                ElementKind::Jumper,
                $a,
                $b,
                0.01,
                Message::of('circuit.circuit.test-jumper'),
                'test jumper',
            );
        }
        foreach ($setup->modes as $mode) {
            foreach ($this->installation->archetype->modes[$mode] ?? [] as $contact) {
                $ohms = $contact->normallyClosed ? Element::OPEN : self::CLOSED_OHMS;
                $elements[$contact->id] = $elements[$contact->id]->withImpedance($ohms, 0.0, $ohms);
            }
        }
        if (! $setup->power) {
            $elements = array_map(self::dead(...), $elements);
        }
        $netlist = new Netlist(
            $elements,
            $netlist->points,
            array_diff_key($netlist->elements, $elements),
            $setup->power ? $netlist->lineSide : array_map(self::dead(...), $netlist->lineSide),
        );
        if (
            $setup->power ||
            in_array($this->profile->power, [PowerKind::Battery, PowerKind::CommonOrBattery], true)
        ) {
            $netlist = $netlist->withAll($this->switches($netlist, $setup, true));
        }

        return $netlist;
    }

    private static function dead(Element $e): Element
    {
        return $e->emf === 0.0 ? $e : $e->withEmf(0.0);
    }

    /** Lets the circuit settle from rest. A set-up asked again is answered from what was found before. */
    public function operate(Setup $setup, ?Tolerance $tolerance = null): OperatingPoint
    {
        $tolerance ??= Tolerance::nominal();
        $key = "{$tolerance->source}/{$tolerance->coil}";
        $known = $this->settled[$setup] ?? [];
        $known[$key] ??= $this->settle($setup, $tolerance);
        $this->settled[$setup] = $known;

        return $known[$key];
    }

    /**
     * Lets the circuit settle from a state it was in: a coil that was in stays in down to its drop-out voltage.
     *
     * @param  list<string>  $in  loads that were pulled in
     */
    public function operateFrom(Setup $setup, array $in): OperatingPoint
    {
        return $this->settle($setup, Tolerance::nominal(), $in);
    }

    /** @param  list<string>  $in */
    private function settle(Setup $setup, Tolerance $tolerance, array $in = []): OperatingPoint
    {
        $rest = $this->healthy($setup, $tolerance);
        $state = CircuitState::atRest($setup)->withLoads(array_fill_keys($in, true));
        $seen = [];

        for ($round = 0; $round < self::ROUNDS; $round++) {
            $point = $this->solve($rest, $setup, $state, $tolerance);
            $next = $this->advance($state, $point, $setup);
            if ($next->key() === $state->key()) {
                return $this->finish($point, $state, []);
            }
            $seen[$state->key()] = $point;
            if (isset($seen[$next->key()])) {
                $peaks = $this->peaks($seen, $next->key());
                $opens = $setup->slowFuse ? null : $this->opensInCycle($peaks, $setup, $state);
                if ($opens === null) {
                    return $this->finish($point, $state, [$this->chatter($state, $next)], $peaks);
                }
                $state = CircuitState::atRest($setup)->withFusesOf($state)->withOpenFuse($opens);
                $seen = [];

                continue;
            }
            $state = $next;
        }

        throw new \LogicException('The circuit neither settled nor cycled.');
    }

    /**
     * The most that each transformer gives in any state of a cycle.
     *
     * @param  array<string, OperatingPoint>  $seen  states in the order in which they came, by key
     * @return array<string, float> amperes, by transformer
     */
    private function peaks(array $seen, string $again): array
    {
        $cycle = array_slice($seen, (int) array_search($again, array_keys($seen), true));
        $peaks = [];
        foreach ($this->installation->transformers() as $transformer) {
            $amps = array_map(static fn (OperatingPoint $p): float => $p->sourceAmps($transformer->id), $cycle);
            $peaks[$transformer->id] = max(0.0, ...array_values($amps));
        }

        return $peaks;
    }

    /**
     * The transformer whose fuse opens inside a cycle: any state of it gives over twice the rating.
     *
     * @param  array<string, float>  $peaks
     */
    private function opensInCycle(array $peaks, Setup $setup, CircuitState $state): ?string
    {
        foreach ($this->installation->transformers() as $transformer) {
            if (
                $transformer->fuseAmps !== null &&
                ! isset($state->openFuses[$transformer->id]) &&
                ! $setup->holdsFuse($transformer->id) &&
                $peaks[$transformer->id] >
                    self::CYCLE_FACTOR * $transformer->fuseAmps * $setup->fuseFactor($transformer->id)
            ) {
                return $transformer->id;
            }
        }

        return null;
    }

    private function solve(Netlist $rest, Setup $setup, CircuitState $state, Tolerance $tolerance): OperatingPoint
    {
        $changed = [];
        foreach ($this->installation->loads() as $load) {
            if (! isset($state->in[$load->id])) {
                continue;
            }
            $changed[$load->id] = EquipmentParts::loadElement($load, true, $tolerance);
            foreach ($load->drives as $contact) {
                $ohms = $contact->normallyClosed ? Element::OPEN : self::CLOSED_OHMS;
                $changed[$contact->id] = $rest->element($contact->id)->withImpedance($ohms, 0.0, $ohms);
            }
        }
        foreach ($state->openFuses as $id => $_) {
            $fuse = Part::fuse($id)->id;
            $changed[$fuse] = $rest->element($fuse)->opened();
        }
        if (! $state->thermostatUp) {
            $changed += $this->switches($rest, $setup, false);
        }
        $netlist = $rest->withAll($changed);
        foreach ($setup->edits as $edit) {
            $netlist = $edit->apply($netlist);
        }
        $network = $this->base($tolerance)->updated($netlist);
        $phasors = $network->solve();

        $volts = [];
        foreach ($this->installation->loads() as $load) {
            // Across the part itself, whose lead may be off its screw.
            $part = $netlist->element($load->id);
            $volts[$load->id] =
                $network->knows($part->a) && $network->knows($part->b)
                    ? $phasors->magnitude($part->a, $part->b)
                    : 0.0;
        }

        return new OperatingPoint(
            netlist: $netlist,
            network: $network,
            phasors: $phasors,
            loads: [],
            loadVolts: $volts,
            openFuses: array_keys($state->openFuses),
            thermostatUp: $state->thermostatUp,
            notes: [],
        );
    }

    /** The supply to whose common a point leads back, over closed copper with everything at rest. */
    public function supplyBehind(string $point): ?Transformer
    {
        $reached = $this->netlist(Setup::calling())->region(
            $point,
            static fn (Element $e): bool => $e->kind->isCopper() && ! $e->isOpen(),
        );
        foreach ($this->installation->transformers() as $transformer) {
            if (isset($reached[$transformer->common])) {
                return $transformer;
            }
        }

        return null;
    }

    /** The house at rest, factored once: every state and fault is solved as a few changes of it. */
    private function base(Tolerance $tolerance): Network
    {
        return $this->bases["{$tolerance->source}/{$tolerance->coil}"] ??= Network::ac(
            $this->healthy(Setup::calling(), $tolerance),
        );
    }

    private function advance(CircuitState $state, OperatingPoint $point, Setup $setup): CircuitState
    {
        $in = [];
        foreach ($this->installation->loads() as $load) {
            $limit = $load->kind->thresholds()[isset($state->in[$load->id]) ? 1 : 0];
            // An open coil has its voltage and does nothing with it.
            $whole = ! $point->netlist->element($load->id)->isOpen();
            if (
                $load->kind->hasState() &&
                $whole &&
                ! isset($state->heldOut[$load->id]) &&
                $point->loadVolts[$load->id] >= $limit
            ) {
                $in[$load->id] = true;
            }
        }
        if ($in !== $state->in) {
            return $state->withLoads($in);
        }
        $blank = $this->wouldBlank($point);
        foreach ($this->installation->transformers() as $transformer) {
            $multiple =
                $transformer->fuseAmps === null || $setup->holdsFuse($transformer->id)
                    ? 0.0
                    : $point->sourceAmps($transformer->id) /
                        ($transformer->fuseAmps * $setup->fuseFactor($transformer->id));
            if (
                ! isset($state->openFuses[$transformer->id]) &&
                $multiple >= ($blank && $state->thermostatUp ? 2.0 : self::FUSE_FACTOR)
            ) {
                return $state->withOpenFuse($transformer->id);
            }
        }

        return $state->withThermostat(! $blank);
    }

    private function wouldBlank(OperatingPoint $point): bool
    {
        if ($this->profile->power !== PowerKind::Common) {
            return false;
        }
        $wallUnit = $this->profile->linkConductors >= 3 ? [Part::wallUnit()->id, Part::wallSignal()->id] : [];
        foreach ([Part::electronics()->id, ...$wallUnit] as $id) {
            $electronics = $point->netlist->elements[$id] ?? null;
            $least = $id === Part::wallSignal()->id ? self::SIGNAL_VOLTS : self::BLANK_VOLTS;
            if ($electronics === null || $point->phasors->magnitude($electronics->a, $electronics->b) < $least) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  list<Message>  $notes
     * @param  array<string, float>  $peaks  of a cycle, amperes by transformer; empty where it settled
     */
    private function finish(
        OperatingPoint $point,
        CircuitState $state,
        array $notes,
        array $peaks = [],
    ): OperatingPoint {
        $loads = [];
        foreach ($this->installation->loads() as $load) {
            $loads[$load->id] = $this->loadState($load, $state, $point->loadVolts[$load->id], $notes !== []);
        }
        foreach ($this->installation->transformers() as $transformer) {
            $amps = $point->sourceAmps($transformer->id);
            if (isset($state->openFuses[$transformer->id])) {
                $notes[] = Message::of(
                    'circuit.circuit.fuse-opens',
                    fuseAmps: Quantity::of((float) $transformer->fuseAmps, Unit::Amps),
                );
            } elseif (
                $transformer->fuseAmps !== null &&
                ($peaks[$transformer->id] ?? 0.0) >= self::FUSE_FACTOR * $transformer->fuseAmps
            ) {
                $notes[] = Message::of(
                    'circuit.circuit.fuse-may-open',
                    fuseAmps: Quantity::of($transformer->fuseAmps, Unit::Amps),
                    amps: Quantity::of($peaks[$transformer->id], Unit::Amps, 1),
                );
            } elseif ($amps * 24.0 > 1.1 * $transformer->ratingVa) {
                $notes[] = Message::of(
                    'circuit.circuit.transformer-gives-at-24-v',
                    amps: Quantity::of($amps, Unit::Amps, 1),
                    amps2: Quantity::of($amps * 24.0, Unit::VoltAmps, 0),
                    ratingVa: Quantity::of($transformer->ratingVa, Unit::VoltAmps, 0),
                );
            }
        }

        array_push($notes, ...Supplies::notes($this->installation, $point));

        return new OperatingPoint(
            netlist: $point->netlist,
            network: $point->network,
            phasors: $point->phasors,
            loads: $loads,
            loadVolts: $point->loadVolts,
            openFuses: $point->openFuses,
            thermostatUp: $point->thermostatUp,
            notes: $notes,
            peaks: $peaks,
        );
    }

    /**
     * The state that the circuit would stay in if its loads were in already, where it differs from the one it reaches
     * from rest: a coil that cannot pull in may still hold.
     */
    public function otherState(Setup $setup): ?OperatingPoint
    {
        $rest = $this->operate($setup);
        $held = $this->operateFrom(
            $setup,
            array_map(static fn (Load $load): string => $load->id, $this->installation->loads()),
        );

        return $held->pulledIn() === $rest->pulledIn() ? null : $held;
    }

    private function loadState(Load $load, CircuitState $state, float $volts, bool $cycling): LoadState
    {
        if (
            $cycling &&
            (isset($state->in[$load->id]) || $volts >= $load->kind->thresholds()[1]) &&
            $load->kind->hasState()
        ) {
            return LoadState::Chattering;
        }
        if (isset($state->in[$load->id])) {
            return LoadState::PulledIn;
        }

        return $load->kind->isCoil() && $volts >= $load->kind->thresholds()[1]
            ? LoadState::Buzzing
            : LoadState::Rest;
    }

    private function chatter(CircuitState $state, CircuitState $next): Message
    {
        return $state->thermostatUp !== $next->thermostatUp
            ? Message::of('circuit.circuit.thermostats-supply-sags-under-16')
            : Message::of('circuit.circuit.circuit-does-not-settle-cycles');
    }

    /**
     * Thermostat switches as the set-up wants them.
     *
     * @return array<string, Element>
     */
    private function switches(Netlist $netlist, Setup $setup, bool $up): array
    {
        $switches = [];
        foreach ($this->profile->terminals as $terminal) {
            $switch = $netlist->elements[Part::switch($terminal->printed)->id] ?? null;
            if ($switch !== null) {
                $closed = $up && in_array($terminal->printed, $setup->closed, true);
                $half =
                    $terminal->name === TerminalName::K &&
                    ! in_array($this->profile->named(TerminalName::Y1)?->printed, $setup->closed, true);
                $ohms = $closed
                    ? ($half
                        ? SharedKit::FAN_OHMS
                        : self::CLOSED_OHMS)
                    : $this->profile->leakOhms ?? Element::OPEN;
                $switches[$switch->id] = $switch->withImpedance($ohms, 0.0, $ohms);
            }
        }

        return $switches;
    }
}
