<?php

declare(strict_types=1);

namespace Unionbit\Core\Asked;

use Unionbit\Core\Asked\Thing\DoorHeld;
use Unionbit\Core\Asked\Thing\Jumper;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Edit\CircuitEdit;
use Unionbit\Core\Circuit\Edit\FuseBridged;
use Unionbit\Core\Circuit\Edit\FuseScaled;
use Unionbit\Core\Circuit\Edit\Opened;
use Unionbit\Core\Circuit\Meter\Expectation;
use Unionbit\Core\Circuit\Meter\Meter;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Netlist\Netlist;
use Unionbit\Core\Circuit\OperatingPoint;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Circuit\Solve\Network;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Fault\Observables;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Terminal\TerminalName;

/**
 * The house as Prove, Trace, coverage and the dock all ask it: with these hands on it, any one fault in it and any of
 * its fuses open, what is there between two points, through a conductor, and to see and hear.
 */
final readonly class AskedHouse
{
    /** Amperes that move nothing. */
    private const NOTHING = 2.0e-5;

    /** @param  list<CircuitEdit>  $changes  beside the fault */
    private function __construct(
        public Circuit $circuit,
        public Contacts $contacts,
        private Solutions $solutions,
        private ?Fault $fault = null,
        private OpenFuses $open = new OpenFuses([]),
        private array $changes = [],
    ) {
    }

    public static function of(Circuit $circuit): self
    {
        return new self($circuit, new Contacts($circuit), new Solutions());
    }

    /** The same house with one fault in it, and these fuses open. */
    public function with(?Fault $fault, OpenFuses $open = new OpenFuses([])): self
    {
        return new self($this->circuit, $this->contacts, $this->solutions, $fault, $open, $this->changes);
    }

    public function hasAllFuses(): bool
    {
        return $this->open->areNone();
    }

    /** The same house with single changes that no fault stands for. */
    public function changed(CircuitEdit ...$changes): self
    {
        $all = [...$this->changes, ...array_values($changes)];

        return new self($this->circuit, $this->contacts, $this->solutions, $this->fault, $this->open, $all);
    }

    /** What a meter shows, with its band, its reason and its path. */
    public function expects(Hands $hands, MeterMode $mode, string $a, string $b): Expectation
    {
        return (new Meter($this->circuit))->read($mode, $this->setup($hands), $a, $b);
    }

    public function state(Hands $hands): HouseState
    {
        if ($hands->isolated) {
            return $this->dead($hands);
        }
        if ($this->fault === null && $this->changes === []) {
            return $this->sound($hands);
        }

        return $this->unmoved($hands) ?? $this->live($this->circuit->operate($this->setup($hands)));
    }

    private function live(OperatingPoint $point): HouseState
    {
        return new HouseState($point->netlist, $point, Observables::of($this->circuit, $point, $this->fault));
    }

    /** The house when the call has ended: what was in may be held in. */
    public function after(Hands $hands): HouseState
    {
        $in = $this->state($hands)->point?->pulledIn() ?? [];

        return $this->live($this->circuit->operateFrom($this->setup(Hands::calling()), $in));
    }

    private function sound(Hands $hands): HouseState
    {
        return $this->solutions->sound(
            $hands->key().'/'.$this->open->key(),
            fn (): HouseState => $this->live($this->circuit->operate($this->setup($hands))),
        );
    }

    /**
     * A fault that changes only what carries no current there, or joins what stands at the same voltage, leaves every
     * voltage as it was: the sound house's solution is its own. Null where it moves anything.
     */
    private function unmoved(Hands $hands): ?HouseState
    {
        $edits = [...$this->fault->edits ?? [], ...$this->changes];
        $held = array_any($edits, static fn (CircuitEdit $e): bool => $e->holdsOut() !== []);
        if ($held || $this->fault?->noCalls === true || ($this->fault->settings ?? []) !== []) {
            return null;
        }
        $sound = $this->with(null, $this->open)->plain()->state($hands);
        $point = $sound->point;
        // Where a fuse opens, everything is dead that may live with the fault: it is asked for itself.
        if ($point === null || $point->peaks !== [] || $point->openFuses !== []) {
            return null;
        }
        $netlist = $this->edited($sound->netlist, $edits);
        if ($netlist === null || count($netlist->elements) < count($sound->netlist->elements)) {
            return null;
        }
        foreach ($netlist->elements as $id => $element) {
            $old = $sound->netlist->elements[$id] ?? null;
            if ($old !== $element && ! self::carriesNothing($point, $element, $old)) {
                return null;
            }
        }
        $seen = Observables::of($this->circuit, $point, $this->fault);

        return new HouseState($netlist, $point, $seen, like: $sound);
    }

    private function plain(): self
    {
        return $this->changes === []
            ? $this
            : new self($this->circuit, $this->contacts, $this->solutions, $this->fault, $this->open);
    }

    /**
     * @param  list<CircuitEdit>  $edits
     * @return ?Netlist null where a fuse is another one, which shows in no voltage
     */
    private function edited(Netlist $netlist, array $edits): ?Netlist
    {
        foreach ($edits as $edit) {
            if ($edit instanceof FuseBridged || $edit instanceof FuseScaled) {
                return null;
            }
            $netlist = $edit->apply($netlist);
        }

        return $netlist;
    }

    private static function carriesNothing(OperatingPoint $point, Element $element, ?Element $old): bool
    {
        if (! $point->network->knows($element->a) || ! $point->network->knows($element->b)) {
            return false;
        }
        $same = $old !== null && $old->a === $element->a && $old->b === $element->b;
        if (($old !== null && ! $same) || $element->emf !== 0.0 || ($old->emf ?? 0.0) !== 0.0) {
            return false;
        }
        $most = max(
            1.0 / max(1.0e-3, $element->magnitude()),
            $old === null ? 0.0 : 1.0 / max(1.0e-3, $old->magnitude()),
        );

        return $point->phasors->magnitude($element->a, $element->b) * $most < self::NOTHING;
    }

    private function dead(Hands $hands): HouseState
    {
        $base = $this->solutions->base(
            $hands->key(),
            fn (): Network => Network::dc($this->circuit->netlist($this->with(null)->plain()->setup($hands))),
        );
        $netlist = $this->circuit->netlist($this->setup($hands));

        return new HouseState($netlist, null, [], $netlist === $base->netlist ? $base : $base->updated($netlist));
    }

    /** The circuit's own set-up for these hands on this house. */
    public function setup(Hands $hands): Setup
    {
        if ($this->fault !== null || $this->changes !== []) {
            return $this->built($hands);
        }

        return $this->solutions->setup(
            $hands->key().'/'.$this->open->key(),
            fn (): Setup => $this->built($hands),
        );
    }

    private function built(Hands $hands): Setup
    {
        $closes = $this->closes($hands);
        $setup = $hands->isolated ? Setup::isolated()->asked(...$closes) : Setup::calling(...$closes);
        // A defrost is the outdoor board's own: with the power off its contacts are at rest.
        if ($hands->phase !== Phase::HeldBack && ! $hands->isolated) {
            $setup = $setup->inMode($hands->call->mode());
        }
        $isCured = $this->fault?->entry === 'door-open' && $hands->things->has(new DoorHeld());
        $open = array_map(
            static fn (string $supply): CircuitEdit => new Opened(Part::fuse($supply)),
            $this->open->without(...$hands->breakers())->supplies,
        );
        $setup = $setup->with(...$isCured ? [] : $this->fault->edits ?? [], ...$this->changes, ...$open);
        foreach ($hands->things->all as $thing) {
            $there = $thing->isOf($this->circuit) || $thing instanceof Jumper;
            $setup = $there ? $this->touched($thing, $hands)->on($setup, $this->circuit) : $setup;
        }

        return $hands->phase === Phase::Early ? $this->early($setup) : $setup;
    }

    /** A jumper goes from what its ends touch there; everything else stands as it is said. */
    private function touched(Thing\Thing $thing, Hands $hands): Thing\Thing
    {
        return $thing instanceof Jumper ? $this->contacts->placed($thing, $hands) : $thing;
    }

    /** @return list<string> */
    private function closes(Hands $hands): array
    {
        $closes = $this->solutions->closes($this->circuit, $hands->call, $this->fault);

        return $hands->phase === Phase::HeldBack
            ? Closes::without($this->circuit, $closes, TerminalName::Y1, TerminalName::Y2)
            : $closes;
    }

    /** Before contacts that follow their driver later (ignition control to gas valve) have moved. */
    private function early(Setup $setup): Setup
    {
        foreach ($this->circuit->installation->loads() as $load) {
            foreach ($load->drives as $contact) {
                if ($contact->delaySeconds > 0.0 && ! $contact->normallyClosed) {
                    $setup = $setup->with(new Opened(Part::named($contact->id)));
                }
            }
        }

        return $setup;
    }
}
