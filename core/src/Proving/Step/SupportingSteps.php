<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Step;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\Edit\Opened;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Equipment\EquipmentTerminal;
use Unionbit\Core\Equipment\Load;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Proof\PreCheck;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Thermostat\PlateTerminal;
use Unionbit\Core\Thermostat\PowerKind;
use Unionbit\Core\Wiring\Conductor;

/**
 * The proofs beside the two main ones: ohms before power, the same jumper at the equipment's board with the field
 * cable off, the thermostat alone by continuity, the float lifted.
 */
final readonly class SupportingSteps
{
    private BoardPoints $board;

    private Waits $waits;

    public function __construct(private Plan $plan)
    {
        $this->board = new BoardPoints($plan);
        $this->waits = new Waits($plan->installation);
    }

    /** After landing and before power: each call's branch to the common, thermostat face off, against its own ohms. */
    public function preCheck(): ?Step
    {
        $rows = PreCheck::of($this->plan);
        if ($rows === []) {
            return null;
        }
        $setup = Setup::isolated()->faceOff();
        $atWall = $this->plan->profile->outputs === Place::Wall;

        return new Step(
            CallName::Idle,
            Method::PreCheck,
            true,
            'Power off and proved dead, everything landed, '.
                ($atWall ? 'thermostat face off' : 'nothing called').
                '. Zero the leads. Each call to the common: less than four fifths of its own ohms is suspect, over limit is an open branch.',
            array_map(static fn (array $row): string => $row['screw'], $rows),
            'C',
            $this->waits->of(CallName::Idle, Method::PreCheck),
            $setup,
            $setup,
            array_map(
                static fn (array $row): Probe => new Probe(
                    $row['a'],
                    $row['b'],
                    $row['blind'] ?? 'ohms of this branch',
                    MeterMode::Ohms,
                ),
                $rows,
            ),
            [],
            $atWall ? ['Thermostat face back on its base'] : [],
        );
    }

    /** Thermostat cable lifted at the board, all ends insulated; R to the call's screws there. */
    public function atBoard(CallName $call): ?Step
    {
        $terminals = $this->board->ofCall($call);
        $first = $terminals[0] ?? null;
        $hot = $first === null ? null : $this->board->hotOf($first);
        if ($first === null || $hot === null) {
            return null;
        }
        $wait = $this->waits->of($call, Method::BoardJumper);
        $signs = (new Signs($this->plan->installation->archetype))->of($call);
        $setup = Setup::calling();
        foreach ($this->plan->installation->wallCable()->conductors ?? [] as $conductor) {
            $setup = $setup->lifting("A{$conductor->number}.far");
        }
        if ($this->plan->profile->outputs === Place::Module) {
            $leads = array_filter(
                array_keys($this->plan->circuit()->netlist(Setup::calling())->elements),
                static fn (string $id): bool => str_starts_with($id, 'lead.'),
            );
            $setup = $setup->with(...array_map(static fn (string $id): Opened => new Opened($id), array_values($leads)));
        }
        foreach ($terminals as $terminal) {
            $setup = $setup->withJumper($hot[0], $terminal->point());
        }
        $letters = implode(', ', array_map(static fn (EquipmentTerminal $t): string => $t->printed, $terminals));
        $common = $this->board->commonOf($first);

        return new Step(
            $call,
            Method::BoardJumper,
            true,
            "Power off. At the board lift the thermostat cable, each end insulated, and join {$hot[1]} to {$letters} with a secured jumper. Hold the door switch for the test only. Then power on.",
            array_map(static fn (EquipmentTerminal $t): string => $t->printed, $terminals),
            $hot[1],
            $wait,
            $setup,
            $this->waits->held($setup),
            $common === null ? [] : [new Probe($first->point(), $common, 'voltage at the board\'s screw')],
            $signs,
            [
                "Jumper {$hot[1]} to {$letters} out at the board",
                'Thermostat cable back on the board, each end tugged',
                'Door switch released, door on',
            ],
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
        $setup = Setup::isolated()
            ->asked(...$closes)
            ->lifting(
                ...array_map(
                    static fn (Conductor $c): string => "A{$c->number}.near",
                    $this->plan->installation->wallCable()->conductors ?? [],
                ),
            );
        $probes = array_map(
            static fn (PlateTerminal $t): Probe => new Probe(
                "{$t->place->value}.{$t->hot}",
                $t->point(),
                in_array($t->printed, $closes, true) ? 'closed: under two ohms' : 'open: over limit',
                MeterMode::Ohms,
            ),
            $calls,
        );
        $letters = implode(', ', $closes);

        return new Step(
            $call,
            Method::Continuity,
            true,
            "Power off and proved dead, batteries in. Lift every conductor from the plate. Zero the leads. Its own delay may hold a compressor call back. Ask the thermostat for {$call->label()}: {$letters} must close to its hot, everything else must read over limit. A beep with conductors on proves nothing.",
            $closes,
            (string) $first->hot,
            $this->waits->of($call, Method::Continuity),
            $setup,
            $setup,
            $probes,
            [],
            ['Conductors back on their screws, tugged'],
        );
    }

    /** With cooling running the float is lifted: the outdoor unit stops, the thermostat stays up. */
    public function floatLifted(): ?Step
    {
        $house = $this->plan->installation;
        $wait = $this->waits->of(CallName::Cool1, Method::FloatLift);
        $device = $house->facts->safety[0] ?? null;
        $contactor =
            array_values(
                array_filter($house->archetype->loads, static fn (Load $l): bool => $l->observable === 'outdoor-unit'),
            )[0] ?? null;
        if ($device === null || $contactor === null) {
            return null;
        }
        $elements = $this->plan->circuit()->netlist(Setup::calling())->elements;
        $contacts = array_values(
            array_filter(
                array_keys($elements),
                static fn (string $id): bool => $id === $device->id || str_starts_with($id, "{$device->id}."),
            ),
        );
        $made = CallTable::needed($house->archetype)->printed(CallName::Cool1, $this->plan->profile);
        $closes = $this->plan->carriers($made);
        $setup = Setup::calling(...$made)->with(
            ...array_map(static fn (string $id): Opened => new Opened($id), $contacts),
        );
        $common = $this->plan->profile->terminal('C');
        $hot = $this->plan->profile->mainHot();
        $powered =
            $common !== null &&
            $hot !== null &&
            ($this->plan->profile->outputs === Place::Module || $this->plan->landing->on('C') !== []);

        return new Step(
            CallName::Cool1,
            Method::FloatLift,
            false,
            "Power on, cooling called and running. Lift the {$device->label}, as water in the pan would.",
            $closes,
            (string) $hot?->printed,
            $wait,
            $setup,
            $setup,
            $powered ? [new Probe($hot->point(), $common->point(), 'the thermostat stays powered')] : [],
            [new Sign('outdoor-stops', 'Outdoor unit stops', 'ear', $contactor->id)],
            ["{$device->label} down again, free to move"],
        );
    }

    /** Why a call cannot be proved by a jumper at the wall; null where it can. */
    public function whyNoJumper(CallName $call): ?string
    {
        $closes = CallTable::needed($this->plan->installation->archetype)->closes($call);

        return match (true) {
            $this->plan->profile->outputs === Place::Module => 'Its switches stand at the equipment: no call conductor reaches the wall.',
            $this->plan->changes->sharedKit &&
                in_array(TerminalName::G, $closes, true) &&
                ! in_array(TerminalName::Y1, $closes, true) => 'Fan without compressor is half a signal on K: a jumper there would run the compressor too.',
            default => null,
        };
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
}
