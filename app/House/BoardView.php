<?php

declare(strict_types=1);

namespace App\House;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Netlist\ElementKind;
use Unionbit\Core\Circuit\Netlist\Netlist;
use Unionbit\Core\Circuit\OperatingPoint;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Equipment\EquipmentTerminal;
use Unionbit\Core\Equipment\SharedKit;
use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Thermostat\Meaning;
use Unionbit\Core\Thermostat\PlateTerminal;
use Unionbit\Core\Wiring\Cable;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\End;
use Unionbit\Core\Wiring\Jumper;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/**
 * The strand board of a plan: every conductor with both its ends, screws without a conductor, the link, the
 * outdoor pair, and which load hangs on which screw, read from the circuit.
 */
final readonly class BoardView
{
    private Circuit $circuit;

    private Netlist $netlist;

    private function __construct(private Plan $plan)
    {
        $this->circuit = $plan->circuit();
        $this->netlist = $this->circuit->netlist(Setup::calling());
    }

    /** @return array<string, mixed> */
    public static function of(Plan $plan): array
    {
        $view = new self($plan);
        $walls = $plan->installation->wallCables();
        $outdoor = $plan->installation->outdoorCable();
        $link = $plan->profile->link;

        return [
            'cables' => array_map(
                static fn (Cable $cable): array => [
                    'id' => $cable->id,
                    'label' => count($walls) > 1
                            ? Message::of(
                                'house.board-view.cable-to',
                                cable: $cable->id,
                                size: $cable->label(),
                                place: $plan->installation->placeName($cable->to),
                            )
                            : $cable->label(),
                ],
                $walls,
            ),
            'rows' => array_map($view->row(...), $plan->installation->wallConductors()),
            'wallStubs' => $view->wallStubs(),
            'boardStubs' => $view->boardStubs(),
            'module' => $view->module(),
            'kit' => $view->kit(),
            'plate' => array_map(static fn (PlateTerminal $t): string => $t->printed, $plan->profile->terminals),
            'link' => $link === null
                    ? null
                    : [
                        'a' => $link[0],
                        'b' => $link[1],
                        'in' => $plan->landing->linkIn,
                        'kind' => $plan->profile->linkKind,
                    ],
            'outdoorCable' => $outdoor?->label() ?? '',
            'outdoor' => array_map($view->outdoorRow(...), $outdoor->conductors ?? []),
            'ties' => array_map(
                static fn (Jumper $j): array => [
                    'place' => $j->place->value,
                    'a' => $j->a,
                    'b' => $j->b,
                    'label' => $j->label,
                ],
                $plan->landing->jumpers,
            ),
        ];
    }

    /** @return list<array<string, mixed>> every call of the house simulated on this plan */
    public static function simulations(Plan $plan): array
    {
        $table = CallTable::needed($plan->installation->archetype);
        $circuit = $plan->circuit();

        return array_map(static function (CallName $call) use ($table, $plan, $circuit): array {
            $closes = $table->printed($call, $plan->profile);

            return [
                'call' => $call->value,
                'label' => $call->label(),
                'closes' => $closes,
                ...self::state($plan, $circuit->operate(Setup::ofCall($table, $call, $plan->profile))),
            ];
        }, $table->calls());
    }

    /**
     * What an operating point looks like on the board.
     *
     * @return array{energised: list<string>, low: object, loads: array<string, array{state: string, label: Message}>,
     *     amps: float, blown: list<string>, notes: list<Message>}
     */
    public static function state(Plan $plan, OperatingPoint $point): array
    {
        $loads = [];
        foreach ($plan->installation->loads() as $load) {
            if ($load->kind->hasState()) {
                $loads[$load->id] = [
                    'state' => $point->loads[$load->id]->value,
                    'label' => $point->loads[$load->id]->label(),
                ];
            }
        }
        $transformer = $plan->installation->archetype->transformers[0]->id ?? null;

        $energised = $point->energised();

        return [
            'energised' => array_map(strval(...), array_keys($energised)),
            'low' => (object) array_map(
                static fn (float $v): Quantity => Quantity::of($v, Unit::Volts, 0),
                array_filter($energised, static fn (float $v): bool => $v < Circuit::PULL_IN_VOLTS),
            ),
            'loads' => $loads,
            'amps' => $transformer === null ? 0.0 : round($point->sourceAmps($transformer), 2),
            'blown' => $point->openFuses,
            'notes' => $point->notes,
        ];
    }

    /** @return array<string, mixed> */
    private function row(Conductor $conductor): array
    {
        $several = count($this->plan->installation->wallCables()) > 1;
        $place = $this->plan->installation->boardOf($conductor);
        $lands = $this->plan->landing->wall[$conductor->id()] ?? $conductor->near;
        $board = $this->plan->landing->board[$conductor->id()] ?? $conductor->far;

        return [
            'id' => $conductor->id(),
            'number' => $conductor->number,
            'name' => $several ? $conductor->id() : (string) $conductor->number,
            'cable' => $conductor->cable,
            'place' => $place->value,
            'screws' => $this->plan->screwsFor($conductor),
            'splices' => array_map(
                static fn (Conductor $c): array => ['id' => $c->id(), 'name' => $c->name()],
                $this->plan->onward($conductor),
            ),
            ...ConductorView::insulation($conductor->colour, $conductor->stripe),
            'evidence' => ConductorView::evidence($conductor->evidence),
            'was' => $conductor->near->terminal,
            'wasState' => $conductor->near->state->value,
            'lands' => $lands->terminal,
            'landsState' => $lands->state->value,
            'moved' => $this->isMoved($conductor, $lands),
            'board' => $board->terminal,
            'boardPoint' => $this->pointAt($place, $board->terminal),
            'boardState' => $board->state->value,
            'boardMoved' => $board != $conductor->far && ! ($board->isFree() && $conductor->far->isFree()),
            'load' => $board->terminal === null ? null : $this->hangsOn($place, $board->terminal),
        ];
    }

    /** @return array<string, mixed> */
    private function outdoorRow(Conductor $conductor): array
    {
        $cable = $this->plan->installation->cable($conductor->cable);
        [$from, $to] = [$cable->from ?? Place::Indoor, $cable->to ?? Place::Outdoor];

        return [
            'id' => $conductor->id(),
            'number' => $conductor->number,
            'from' => $from->value,
            'to' => $to->value,
            ...ConductorView::insulation($conductor->colour, $conductor->stripe),
            'board' => $conductor->near->terminal,
            'outdoor' => $conductor->far->terminal,
            'load' => $conductor->far->terminal === null ? null : $this->hangsOn($to, $conductor->far->terminal),
        ];
    }

    /** @return list<string> the leads of a module or receiver, "Y1 to Y"; empty where the outputs are at the wall */
    private function module(): array
    {
        $leads = [];
        $leading =
            $this->plan->profile->outputs === Place::Module
                ? $this->plan->installation->archetype->boardTerminals()
                : [];
        foreach ($leading as $terminal) {
            $serving = $this->plan->profile->serving(
                Meaning::of($terminal->name, $this->plan->installation->archetype),
            );
            if ($serving !== null) {
                $leads[] = "{$serving->printed} to {$terminal->printed}";
            }
        }

        return $leads;
    }

    /** @return list<string> the leads of a kit's adapter at the board; empty without one */
    private function kit(): array
    {
        return $this->plan->changes->sharedKit
            ? array_values(
                array_map(
                    static fn (EquipmentTerminal $t): string => $t->printed,
                    SharedKit::screws($this->plan->installation->archetype),
                ),
            )
            : [];
    }

    private function pointAt(Place $place, ?string $printed): ?string
    {
        return $printed === null ? null : $this->plan->installation->pointOf($place, $printed);
    }

    private function isMoved(Conductor $conductor, End $lands): bool
    {
        $was = $this->plan->installation->onPlate($conductor)?->name;
        $now = $lands->terminal === null ? null : $this->plan->profile->terminal($lands->terminal)?->name;
        $was =
            $was === null
                ? null
                : $this->plan->profile->serving(Meaning::of($was, $this->plan->installation->archetype))->name ??
                    $was;

        return $was !== $now && ! ($was?->isHot() === true && $now?->isHot() === true);
    }

    /** @return list<array{printed: string, point: string, hot: bool}> plate screws on which nothing lands */
    private function wallStubs(): array
    {
        $stubs = [];
        if ($this->plan->profile->outputs === Place::Module) {
            return [];
        }
        foreach ($this->plan->profile->terminals as $terminal) {
            if ($this->plan->landing->on($terminal->printed) === []) {
                $stubs[] = [
                    'printed' => $terminal->printed,
                    'point' => $terminal->point(),
                    'hot' => $terminal->name->isHot(),
                ];
            }
        }

        usort($stubs, static fn (array $a, array $b): int => $b['hot'] <=> $a['hot']);

        return $stubs;
    }

    /**
     * @return list<array{printed: string, point: string, load: ?array<string, string|Message>}> board screws that no
     *     conductor of the wall cable reaches
     */
    private function boardStubs(): array
    {
        $used = [];
        foreach ($this->plan->installation->wallConductors() as $conductor) {
            $place = $this->plan->installation->boardOf($conductor);
            $printed = ($this->plan->landing->board[$conductor->id()] ?? $conductor->far)->terminal;
            $used[] = $this->pointAt($place, $printed);
        }
        $free = array_filter(
            $this->plan->installation->archetype->boardTerminals(),
            static fn (EquipmentTerminal $t): bool => ! in_array($t->point(), $used, true),
        );

        return array_values(
            array_map(
                fn (EquipmentTerminal $t): array => [
                    'printed' => $t->printed,
                    'point' => $t->point(),
                    'load' => $this->hangsOn($t->place, $t->printed),
                ],
                $free,
            ),
        );
    }

    /** @return ?array{id: string, label: Message, kind: string} the load, source or return behind a screw */
    private function hangsOn(Place $place, string $printed): ?array
    {
        $archetype = $this->plan->installation->archetype;
        $terminal = $this->plan->installation->screw($place, $printed);
        if ($terminal === null && $printed === SharedKit::SCREW && $this->plan->changes->sharedKit) {
            return ['id' => 'kit-fan', 'label' => Message::of('house.board-view.kit'), 'kind' => 'load'];
        }
        if ($terminal === null) {
            return null;
        }
        if ($terminal->name === TerminalName::C) {
            return ['id' => '', 'label' => Message::of('house.board-view.return'), 'kind' => 'return'];
        }
        if ($terminal->name->isHot() && $place->isOutdoors()) {
            return ['id' => '', 'label' => Message::of('house.board-view.outdoor-board'), 'kind' => 'none'];
        }
        if ($terminal->name->isHot()) {
            $source =
                array_values(
                    array_filter(
                        $this->plan->installation->transformers(),
                        static fn (Transformer $t): bool => $t->hot === $terminal->point(),
                    ),
                )[0] ?? null;

            return [
                'id' => $source->id ?? '',
                'label' => $source === null
                        ? Message::of('house.board-view.transformer')
                        : Message::of(
                            'house.board-view.transformer-va',
                            va: Quantity::of($source->ratingVa, Unit::VoltAmps),
                        ),
                'kind' => 'source',
            ];
        }
        foreach ($archetype->modes['defrost'] ?? [] as $contact) {
            if ($contact->to === $terminal->point()) {
                return ['id' => '', 'label' => Message::of('house.board-view.defrost-heat'), 'kind' => 'none'];
            }
        }
        // Its own load first; what a tie reaches only where it has none.
        foreach ([false, true] as $overTies) {
            $reached = $this->netlist->region(
                $terminal->point(),
                static fn (Element $e): bool => $e->kind->isCopper() &&
                    ! $e->isOpen() &&
                    ($overTies || $e->kind !== ElementKind::Jumper),
            );
            foreach ($archetype->loads as $load) {
                if (isset($reached[$load->from])) {
                    return ['id' => $load->id, 'label' => $load->label, 'kind' => 'load'];
                }
            }
        }

        return ['id' => '', 'label' => Message::of('house.board-view.nothing'), 'kind' => 'none'];
    }
}
