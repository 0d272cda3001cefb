<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Steps;

use Unionbit\Core\Asked\Danger;
use Unionbit\Core\Asked\Face;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\Phase;
use Unionbit\Core\Asked\Thing\Unplugged;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Equipment\EquipmentTerminal;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Proof\PreCheck;
use Unionbit\Core\Point\At;
use Unionbit\Core\Point\Side;
use Unionbit\Core\Proving\Step\BoardPoints;
use Unionbit\Core\Proving\Step\Measure;
use Unionbit\Core\Proving\Step\Method;
use Unionbit\Core\Proving\Step\Step;
use Unionbit\Core\Proving\Step\Waits;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Thermostat\PlateTerminal;
use Unionbit\Core\Thermostat\PowerKind;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Words\Message;

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
        $hands = Hands::dead()->faced(Face::Off);
        $atWall = $this->plan->profile->outputs === Place::Wall;

        return new Step(
            call: CallName::Idle,
            method: Method::PreCheck,
            setUpIsolated: true,
            do: Message::of(
                $atWall ? 'proving.supporting-steps.dead-face-off' : 'proving.supporting-steps.dead-nothing-called',
            ),
            closes: array_map(static fn (array $row): string => $row['screw'], $rows),
            hot: 'C',
            wait: $this->waits->of(CallName::Idle, Method::PreCheck),
            hands: $hands,
            waiting: $hands,
            probes: array_map(
                static fn (array $row): Measure => Measure::ohms(
                    $row['a'],
                    $row['b'],
                    $row['blind'] ?? Message::of('proving.supporting-steps.ohms-branch'),
                ),
                $rows,
            ),
            signs: [],
            restore: $atWall ? [Message::of('proving.supporting-steps.thermostat-face-back-on-base')] : [],
        );
    }

    /** Thermostat cable lifted at the board, all ends insulated; R to the call's screws there. */
    public function atBoard(CallName $call): ?Step
    {
        $terminals = $this->board->ofCall($call);
        $first = $terminals[0] ?? null;
        $hot = $first === null ? null : $this->board->hotOf($first);
        if ($first === null || $hot === null || $this->byDryContact($call)) {
            return null;
        }
        $wait = $this->waits->of($call, Method::BoardJumper);
        $signs = (new Signs($this->plan->installation->archetype))->of($call);
        $hands = Hands::calling()->lifting(...$this->ends(Side::Far));
        $hands =
            $this->plan->profile->outputs === Place::Module ? $hands->with(new Unplugged(Place::Module)) : $hands;
        foreach ($terminals as $terminal) {
            $hands = $hands->jumping(At::read($hot[0]), $terminal->at());
        }
        $letters = implode(', ', array_map(static fn (EquipmentTerminal $t): string => $t->printed, $terminals));
        $common = $this->board->commonOf($first);

        return new Step(
            call: $call,
            method: Method::BoardJumper,
            setUpIsolated: true,
            do: Message::of('proving.supporting-steps.power-off-at-board-lift', hot: $hot[1], letters: $letters),
            closes: array_map(static fn (EquipmentTerminal $t): string => $t->printed, $terminals),
            hot: $hot[1],
            wait: $wait,
            hands: $hands,
            waiting: $hands->at(Phase::Early),
            probes: $common === null
                ? []
                : [
                    Measure::volts(
                        $first->point(),
                        $common,
                        Message::of('proving.supporting-steps.voltage-at-boards-screw'),
                    ),
                ],
            signs: $signs,
            restore: [
                Message::of('proving.supporting-steps.jumper-out-at-board', hot: $hot[1], letters: $letters),
                Message::of('proving.supporting-steps.thermostat-cable-back-on-board'),
                Message::of('proving.supporting-steps.door-switch-released-door-on'),
            ],
            beside: Danger::beside(
                $this->plan->circuit(),
                Setup::calling(),
                array_values(
                    array_map(
                        static fn (EquipmentTerminal $t): string => $t->point(),
                        array_filter(
                            $this->plan->installation->archetype->terminals,
                            static fn (EquipmentTerminal $t): bool => $t->place === $first->place,
                        ),
                    ),
                ),
                $hot[0],
                [$hot[0], ...array_map(static fn (EquipmentTerminal $t): string => $t->point(), $terminals)],
            ),
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
        $calls = array_values(
            array_filter($profile->terminals, static fn (PlateTerminal $t): bool => $t->hot !== null),
        );
        $first = $profile->terminal($closes[0] ?? '');
        if ($first === null) {
            return null;
        }
        $hands = Hands::dead()->asked($call)->lifting(...$this->ends(Side::Near));
        $probes = array_map(
            static fn (PlateTerminal $t): Measure => Measure::ohms(
                At::screw($t->place, (string) $t->hot)->id,
                $t->point(),
                in_array($t->printed, $closes, true)
                    ? Message::of('proving.supporting-steps.closed-under-two-ohms')
                    : Message::of('proving.supporting-steps.open-over-limit'),
            ),
            $calls,
        );
        $letters = implode(', ', $closes);

        return new Step(
            call: $call,
            method: Method::Continuity,
            setUpIsolated: true,
            do: Message::of(
                'proving.supporting-steps.power-off-proved-dead-batteries',
                call: $call->label(),
                letters: $letters,
            ),
            closes: $closes,
            hot: (string) $first->hot,
            wait: $this->waits->of($call, Method::Continuity),
            hands: $hands,
            waiting: $hands,
            probes: $probes,
            signs: [],
            restore: [Message::of('proving.supporting-steps.conductors-back-on-their-screws')],
        );
    }

    /** @return list<At> that end of every conductor to the wall */
    private function ends(Side $side): array
    {
        return array_map(
            static fn (Conductor $c): At => At::end($c->id(), $side),
            $this->plan->installation->wallConductors(),
        );
    }

    /** Whether a call closes a contact of its own, whose two conductors belong to another supply. */
    private function byDryContact(CallName $call): bool
    {
        $closes = CallTable::needed($this->plan->installation->archetype)->closes($call);

        return array_filter($closes, static fn (TerminalName $n): bool => $n->isDry()) !== [];
    }

    /** Why a call cannot be proved by a jumper at the wall; null where it can. */
    public function whyNoJumper(CallName $call): ?Message
    {
        $closes = CallTable::needed($this->plan->installation->archetype)->closes($call);

        return match (true) {
            $this->plan->profile->outputs === Place::Module => Message::of(
                'proving.supporting-steps.switches-stand-at-equipment-no',
            ),
            $this->byDryContact($call) => Message::of('proving.supporting-steps.dry-contact-never-r'),
            $this->plan->changes->sharedKit &&
                in_array(TerminalName::G, $closes, true) &&
                ! in_array(TerminalName::Y1, $closes, true) => Message::of('proving.supporting-steps.half-signal'),
            default => null,
        };
    }

    /** Why a thermostat cannot be proved by continuity; null where it can. */
    public function whyNoContinuity(): ?Message
    {
        return match (true) {
            $this->plan->profile->outputs === Place::Module => Message::of(
                'proving.supporting-steps.switches-stand-at-equipment',
            ),
            in_array($this->plan->profile->power, [PowerKind::Battery, PowerKind::CommonOrBattery], true) => null,
            default => Message::of('proving.supporting-steps.lives-on-24-v-with'),
        };
    }
}
