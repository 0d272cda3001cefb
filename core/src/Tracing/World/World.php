<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\World;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Edit\CircuitEdit;
use Unionbit\Core\Circuit\Edit\FuseBridged;
use Unionbit\Core\Circuit\Edit\FuseScaled;
use Unionbit\Core\Circuit\Edit\LeadOff;
use Unionbit\Core\Circuit\Edit\Opened;
use Unionbit\Core\Circuit\Edit\SourceScaled;
use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Netlist\Netlist;
use Unionbit\Core\Circuit\OperatingPoint;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Circuit\Solve\Network;
use Unionbit\Core\Circuit\Standing\Thing;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Fault\FaultedCall;
use Unionbit\Core\Fault\Observables;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Proving\Step\Waits;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Tracing\Test\Face;
use Unionbit\Core\Tracing\Test\TestSetup;

/** The house, asked in any set-up with any suspect in it and any of its fuses open. */
final class World
{
    /** @var array<string, list<string>> what the thermostat closes, by call and wrong settings */
    private array $closed = [];

    /** Amperes that move nothing. */
    private const NOTHING = 2.0e-4;

    /** @var array<string, Solved> the sound house, by set-up and open fuses */
    private array $sound = [];

    /** @var array<string, Network> the dead house of a set-up, factored once */
    private array $bases = [];

    public readonly Points $points;

    public function __construct(public readonly Circuit $circuit)
    {
        $this->points = new Points($circuit);
    }

    /** @param  list<string>  $open  transformers whose fuse has opened */
    public function solve(TestSetup $test, ?Fault $fault, array $open): Solved
    {
        if ($test->isolated) {
            return $this->dead($test, $this->setup($test, $fault, $open));
        }
        if ($fault === null) {
            return $this->sound($test, $open);
        }
        $same = $this->unmoved($test, $fault, $open);
        if ($same !== null) {
            return $same;
        }
        $point = $this->circuit->operate($this->setup($test, $fault, $open));

        return new Solved($point->netlist, $point, Observables::of($this->circuit, $point, $fault));
    }

    /** @param  list<string>  $open */
    private function sound(TestSetup $test, array $open): Solved
    {
        $key = $test->key().'/'.implode(',', $open);
        if (! isset($this->sound[$key])) {
            $point = $this->circuit->operate($this->setup($test, null, $open));
            $this->sound[$key] = new Solved($point->netlist, $point, Observables::of($this->circuit, $point));
        }

        return $this->sound[$key];
    }

    /**
     * A fault that changes only what carries no current there, or joins what stands at the same voltage, leaves every
     * voltage as it was: the sound house's solution is its own. Null where it moves anything.
     *
     * @param  list<string>  $open
     */
    private function unmoved(TestSetup $test, Fault $fault, array $open): ?Solved
    {
        $held = array_any($fault->edits, static fn (CircuitEdit $e): bool => $e->holdsOut() !== []);
        if ($held || $fault->noCalls || $fault->settings !== []) {
            return null;
        }
        $sound = $this->sound($test, $open);
        $point = $sound->point;
        if ($point === null || $point->peaks !== []) {
            return null;
        }
        $netlist = $sound->netlist;
        foreach ($fault->edits as $edit) {
            if ($edit instanceof FuseBridged || $edit instanceof FuseScaled) {
                return null;
            }
            $netlist = $edit->apply($netlist);
        }
        foreach ($netlist->elements as $id => $element) {
            $old = $sound->netlist->elements[$id] ?? null;
            if ($old !== $element && ! self::carriesNothing($point, $element, $old)) {
                return null;
            }
        }

        return count($netlist->elements) < count($sound->netlist->elements)
            ? null
            : new Solved($netlist, $point, Observables::of($this->circuit, $point, $fault), like: $sound);
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

    private function dead(TestSetup $test, Setup $setup): Solved
    {
        $key = $test->key();
        $base = $this->bases[$key] ??= Network::dc($this->circuit->netlist($this->setup($test, null, [])));
        $netlist = $this->circuit->netlist($setup);

        return new Solved($netlist, null, [], $netlist === $base->netlist ? $base : $base->updated($netlist));
    }

    /** @param  list<string>  $open */
    private function setup(TestSetup $test, ?Fault $fault, array $open): Setup
    {
        $closed = $this->closes($test->call, $fault);
        $setup = $test->isolated ? Setup::isolated()->asked(...$closed) : Setup::calling(...$closed);
        $setup = $this->hands($setup->inMode($test->call->mode()), $test);
        $edits = $fault === null || ($test->held !== [] && $fault->entry === 'door-open') ? [] : $fault->edits;
        foreach ($open as $id) {
            $edits[] = new Opened(Part::fuse($id));
        }
        foreach ($test->breaker as $id) {
            array_push($edits, ...Thing::breaker($id));
        }
        foreach ($test->off as $id) {
            $edits[] = new SourceScaled(Part::named($id), 0.0);
        }

        return $edits === [] ? $setup : $setup->with(...$edits);
    }

    private function hands(Setup $setup, TestSetup $test): Setup
    {
        $bare = $test->face === Face::Bare;
        $setup = $test->face === Face::On ? $setup : $setup->faceOff();
        $lifted = $bare ? $this->points->endsAt(Place::Wall) : [];
        foreach ($test->lifted as $name) {
            $lead = $this->points->leadOf($name);
            if ($lead === null) {
                $lifted[] = $name;
            } else {
                $setup = $setup->with(new LeadOff(Part::named($lead), $this->points->sideOf($name)));
            }
        }
        foreach ($test->unplugged as $place) {
            array_push($lifted, ...$this->points->endsAt(Place::from($place)));
        }
        $setup = $lifted === [] ? $setup : $setup->lifting(...$lifted);
        foreach ($test->jumpers as [$a, $b]) {
            $setup = $setup->withJumper($this->point($a, $test), $this->point($b, $test));
        }

        if ($test->link !== null) {
            $setup = Thing::linked($setup, $this->circuit, $test->link);
        }

        return $test->early ? (new Waits($this->circuit->installation))->held($setup) : $setup;
    }

    /** The circuit's point of a name; with the thermostat off its wires a wall screw is the copper that was on it. */
    public function point(string $name, TestSetup $test): string
    {
        $off = in_array($name, $test->lifted, true) ? $this->points->off($name) : null;
        $id = $off ?? ($this->points->of($name) ?? $name);

        return $test->face === Face::Bare && str_starts_with($id, 'wall.') ? $this->points->endOn($id) ?? $id : $id;
    }

    /** @return list<string> */
    private function closes(CallName $call, ?Fault $fault): array
    {
        $key = $call->value.'/'.($fault?->noCalls === true ? '-' : json_encode($fault->settings ?? []));

        return $this->closed[$key] ??= FaultedCall::setup($this->circuit, $call, $fault)->closed;
    }

    public function netlist(): Netlist
    {
        return $this->points->netlist();
    }
}
