<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\Edit\Opened;
use Unionbit\Core\Circuit\Element;
use Unionbit\Core\Circuit\MeterMode;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Equipment\EquipmentTerminal;
use Unionbit\Core\Equipment\Load;
use Unionbit\Core\Planning\Plan;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Thermostat\Meaning;
use Unionbit\Core\Thermostat\PlateTerminal;
use Unionbit\Core\Thermostat\PowerKind;
use Unionbit\Core\Wiring\Conductor;

/**
 * The proofs that tell where a call fails: the same jumper at the equipment's board with the field cable off, and
 * the thermostat alone by continuity.
 */
final readonly class OtherSteps
{
    public function __construct(private Plan $plan)
    {
    }

    /**
     * Thermostat cable lifted at the board, all ends insulated; R to the call's screws there.
     *
     * @param  list<Sign>  $signs
     */
    public function atBoard(CallName $call, Wait $wait, array $signs): ?Step
    {
        $terminals = $this->boardTerminals($call);
        $first = $terminals[0] ?? null;
        $hot = $first === null ? null : $this->hotOf($first);
        if ($first === null || $hot === null) {
            return null;
        }
        $setup = Setup::calling();
        foreach ($this->plan->installation->wallCable()->conductors ?? [] as $conductor) {
            $setup = $setup->lifting("A{$conductor->number}.far");
        }
        if ($this->plan->profile->outputs === Place::Module) {
            $leads = array_filter(array_keys($this->plan->circuit()->netlist(Setup::calling())->elements), static fn (string $id): bool => str_starts_with($id, 'lead.'));
            $setup = $setup->with(...array_map(static fn (string $id): Opened => new Opened($id), array_values($leads)));
        }
        foreach ($terminals as $terminal) {
            $setup = $setup->withJumper($hot[0], $terminal->point());
        }
        $letters = implode(', ', array_map(static fn (EquipmentTerminal $t): string => $t->printed, $terminals));
        $common = $this->commonOf($first);
        $waiting = $setup;
        foreach ($this->plan->installation->loads() as $load) {
            foreach ($load->drives as $contact) {
                if ($contact->delaySeconds > 0.0 && ! $contact->normallyClosed) {
                    $waiting = $waiting->with(new Opened($contact->id));
                }
            }
        }

        return new Step(
            $call, Method::BoardJumper, true,
            "Power off. At the board lift the thermostat cable, each end insulated, and join {$hot[1]} to {$letters} with a secured jumper. Hold the door switch for the test only. Then power on.",
            array_map(static fn (EquipmentTerminal $t): string => $t->printed, $terminals), $hot[1], $wait, $setup, $waiting,
            $common === null ? [] : [new Probe($first->point(), $common, 'voltage at the board\'s screw')], $signs,
            ["Jumper {$hot[1]} to {$letters} out at the board", 'Thermostat cable back on the board, each end tugged', 'Door switch released, door on'],
        );
    }

    /** Only with batteries in: a thermostat that lives on R and C is dead with the power off. */
    public function continuity(CallName $call): ?Step
    {
        $profile = $this->plan->profile;
        if ($this->whyNoContinuity() !== null) {
            return null;
        }
        $closes = CallTable::needed($this->plan->installation->archetype)->printed($call, $profile);
        $calls = array_values(array_filter($profile->terminals, static fn (PlateTerminal $t): bool => $t->hot !== null));
        $first = $profile->terminal($closes[0] ?? '');
        if ($first === null) {
            return null;
        }
        $setup = Setup::isolated()->asked(...$closes)->lifting(...array_map(static fn (Conductor $c): string => "A{$c->number}.near", $this->plan->installation->wallCable()->conductors ?? []));
        $probes = array_map(static fn (PlateTerminal $t): Probe => new Probe(
            "{$t->place->value}.{$t->hot}", $t->point(), in_array($t->printed, $closes, true) ? 'closed: under two ohms' : 'open: over limit', MeterMode::Ohms,
        ), $calls);
        $letters = implode(', ', $closes);

        return new Step(
            $call, Method::Continuity, true,
            "Power off and proved dead, batteries in. Lift every conductor from the plate. Zero the leads. Ask the thermostat for {$call->label()}: {$letters} must close to its hot, everything else must read over limit. A beep with conductors on proves nothing.",
            $closes, (string) $first->hot, new Wait(0, 'The thermostat\'s own delay may hold a compressor call back.', Wait::FROM_START), $setup, $setup, $probes, [],
            ['Conductors back on their screws, tugged'], true,
        );
    }

    /** With cooling running the float is lifted: the outdoor unit stops, the thermostat stays up. */
    public function floatLifted(Wait $wait): ?Step
    {
        $house = $this->plan->installation;
        $device = $house->facts->safety[0] ?? null;
        $contactor = array_values(array_filter($house->archetype->loads, static fn (Load $l): bool => $l->observable === 'outdoor-unit'))[0] ?? null;
        if ($device === null || $contactor === null) {
            return null;
        }
        $elements = $this->plan->circuit()->netlist(Setup::calling())->elements;
        $contacts = array_values(array_filter(array_keys($elements), static fn (string $id): bool => $id === $device->id || str_starts_with($id, "{$device->id}.")));
        $closes = CallTable::needed($house->archetype)->printed(CallName::Cool1, $this->plan->profile);
        $setup = Setup::calling(...$closes)->with(...array_map(static fn (string $id): Opened => new Opened($id), $contacts));
        $common = $this->plan->profile->terminal('C');
        $hot = $this->plan->profile->mainHot();
        $powered = $common !== null && $hot !== null && ($this->plan->profile->outputs === Place::Module || $this->plan->landing->on('C') !== []);

        return new Step(
            CallName::Cool1, Method::FloatLift, false, "Power on, cooling called and running. Lift the {$device->label}, as water in the pan would.", $closes, (string) $hot?->printed, $wait, $setup, $setup,
            $powered ? [new Probe($hot->point(), $common->point(), 'the thermostat stays powered')] : [], [new Sign('outdoor-stops', 'Outdoor unit stops', 'ear', $contactor->id)],
            ["{$device->label} down again, free to move"],
        );
    }

    /** Why a thermostat cannot be proved by continuity; null where it can. */
    public function whyNoContinuity(): ?string
    {
        return match (true) {
            $this->plan->profile->outputs === Place::Module => 'Its switches stand at the equipment.',
            in_array($this->plan->profile->power, [PowerKind::Battery, PowerKind::CommonOrBattery], true) => null,
            default => 'It lives on 24 V: with the power off all its switches are open whatever it is asked, and ohms on a live circuit are not possible. Prove it by voltage and by jumper.',
        };
    }

    /** @return list<EquipmentTerminal> the board's screws of a call, in the order of the call table */
    private function boardTerminals(CallName $call): array
    {
        $found = [];
        foreach (CallTable::needed($this->plan->installation->archetype)->closes($call) as $name) {
            foreach ($this->plan->installation->archetype->terminals as $terminal) {
                if ($terminal->place === Place::Indoor && ($terminal->name === $name || Meaning::of($terminal->name, $this->plan->installation->archetype) === $name) && ! in_array($terminal, $found, true)) {
                    $found[] = $terminal;
                }
            }
        }

        return $found;
    }

    /** @return ?array{string, string} point and printed letter of the hot that belongs to a screw's load: two transformers never crossed */
    private function hotOf(EquipmentTerminal $terminal): ?array
    {
        $common = $this->commonOf($terminal);
        foreach ($this->plan->installation->transformers() as $transformer) {
            if ($common === null || $transformer->common === $common) {
                foreach ($this->plan->installation->archetype->terminals as $screw) {
                    if ($screw->point() === $transformer->hot) {
                        return [$screw->point(), $screw->printed];
                    }
                }
            }
        }
        $r = $this->plan->installation->archetype->terminalNamed(Place::Indoor, TerminalName::R);

        return $r === null ? null : [$r->point(), $r->printed];
    }

    private function commonOf(EquipmentTerminal $terminal): ?string
    {
        $reached = $this->plan->circuit()->netlist(Setup::calling())->region($terminal->point(), static fn (Element $e): bool => $e->kind->isCopper() && ! $e->isOpen());
        $commons = array_map(static fn ($t): string => $t->common, $this->plan->installation->transformers());
        foreach ($this->plan->installation->archetype->loads as $load) {
            if (isset($reached[$load->from])) {
                return in_array($load->to, $commons, true) ? $load->to : $commons[0];
            }
        }

        return null;
    }
}
