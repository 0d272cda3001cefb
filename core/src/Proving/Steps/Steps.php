<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Steps;

use Unionbit\Core\Asked\AskedHouse;
use Unionbit\Core\Asked\Danger;
use Unionbit\Core\Asked\Face;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\Phase;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Equipment\Dehumidify;
use Unionbit\Core\Equipment\LoadKind;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Proof\CallProof;
use Unionbit\Core\Planning\Proof\PlanProof;
use Unionbit\Core\Point\At;
use Unionbit\Core\Proving\Load\LoadChecks;
use Unionbit\Core\Proving\Step\BoardPoints;
use Unionbit\Core\Proving\Step\Measure;
use Unionbit\Core\Proving\Step\Method;
use Unionbit\Core\Proving\Step\Sign;
use Unionbit\Core\Proving\Step\Step;
use Unionbit\Core\Proving\Step\Waits;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Thermostat\PlateTerminal;
use Unionbit\Core\Words\Message;

/** The proofs that a plan can have: ohms before power, then fan, cooling and heating, each by jumper and by voltage. */
final readonly class Steps
{
    /** The current of a call is asked for from then on, where volts alone do not prove it. */
    private const CURRENT_SINCE = '2026-11-29';

    /** Stages of heat that a thermostat adds when the first does not do. */
    private const JOINING = [CallName::Heat2, CallName::Furnace2, CallName::Aux1, CallName::Aux2];

    private BoardPoints $board;

    private Signs $signs;

    private Waits $waits;

    private AskedHouse $house;

    /** @param  bool  $afterShort  a short was found and repaired: a call is proved only with its current */
    public function __construct(private Plan $plan, private bool $afterShort = false)
    {
        $this->board = new BoardPoints($plan);
        $this->signs = new Signs($plan->installation->archetype);
        $this->waits = new Waits($plan->installation);
        $this->house = AskedHouse::of($plan->circuit());
    }

    /** @return list<Step> */
    public function all(): array
    {
        $elsewhere = new SupportingSteps($this->plan);
        $chains = new ChainSteps($this->plan, $this->waits, $this->house);
        $steps = [
            $elsewhere->preCheck(),
            (new RestStep($this->plan, $this->waits, $this->house))->step(),
            $chains->supply(),
            ...LookSteps::of($this->plan, $this->waits),
        ];
        foreach ($this->calls() as $call) {
            $steps[] = $this->step($call, Method::Jumper);
            $steps[] = $elsewhere->atBoard($call);
            $steps[] = $call === CallName::Aux1 ? $this->auxiliaryAlone() : null;
            $steps[] = $elsewhere->continuity($call);
            $steps[] = $this->step($call, Method::Voltage);
            $steps[] = $chains->of($call);
        }
        array_push($steps, ...(new SwitchSteps($this->plan, $this->waits, $this->house))->all($this->calls()));
        $steps[] = $this->defrosts() ? $this->step(CallName::Defrost, Method::Voltage) : null;

        return array_values(array_filter($steps));
    }

    /** Whether the outdoor unit's defrost calls heat indoors in this plan: a step to take where it can be forced. */
    private function defrosts(): bool
    {
        $proofs = array_filter(
            PlanProof::of($this->plan)->calls,
            static fn (CallProof $p): bool => $p->call === CallName::Defrost && $p->isProved(),
        );

        return $proofs !== [];
    }

    /**
     * @return list<CallName> calls that can be proved: not the idle state, not a defrost, none that the plan has
     *     given up
     */
    public function calls(): array
    {
        $lost = array_column(PlanProof::of($this->plan)->lost, 'call');

        return array_values(
            array_filter(
                CallTable::needed($this->plan->installation->archetype)->calls(),
                static fn (CallName $call): bool => $call !== CallName::Idle &&
                    $call->mode() === null &&
                    ! in_array($call, $lost, true),
            ),
        );
    }

    public function find(string $key): ?Step
    {
        foreach ($this->all() as $step) {
            if ($step->key() === $key) {
                return $step;
            }
        }

        return null;
    }

    private function step(CallName $call, Method $method): ?Step
    {
        $made = CallTable::needed($this->plan->installation->archetype)->printed($call, $this->plan->profile);
        $closes = $this->plan->carriers($made);
        [$terminals, $hot] = $this->screws($closes);
        if (
            $terminals === [] ||
            $hot === null ||
            ($method === Method::Jumper && (new SupportingSteps($this->plan))->whyNoJumper($call) !== null)
        ) {
            return null;
        }
        if ($method === Method::Jumper) {
            return $this->jumperStep($call, $method, $terminals, $hot, $this->signs->of($call));
        }
        $lower = $this->lower($call);
        $hands = Hands::calling($call);

        return new Step(
            call: $call,
            method: $method,
            setUpIsolated: false,
            do: $call === CallName::Defrost
                ? Message::of('proving.steps.power-on-heat-called-start')
                : Message::of('proving.steps.power-on-face-on-ask', ask: $this->ask($call)),
            closes: $closes,
            hot: $hot,
            wait: $this->waits->of($call, $method),
            hands: $hands,
            // The minimum off holds the compressor back; else contacts that follow their driver have not moved.
            waiting: $hands->at($this->waits->runsCompressor($call) ? Phase::HeldBack : Phase::Early),
            probes: [...$this->probes($call, $terminals, $hot, false), ...$this->current($call)],
            signs: [...$this->signs->of($call), ...$this->signs->asides($call)],
            restore: [],
            follows: $lower === null ? null : "{$lower->value}.voltage",
            onward: $lower === null ? null : $this->waits->onward($call),
            dropOff: $this->waits->dropOff($call),
            forced: $call->mode() === null ? $this->waits->forced($call, $this->plan->profile) : null,
        );
    }

    /**
     * On a supply without a fuse, and once a short was repaired, volts do not prove a call: 12 ohms between Y and C
     * leave R–C at 22 V and everything running at four times the current.
     *
     * @return list<Measure>
     */
    private function current(CallName $call): array
    {
        $checks = new LoadChecks($this->plan);
        $supply = $checks->supply($call);
        if ($supply->fuseAmps !== null && ! $this->afterShort) {
            return [];
        }
        $clamp = $checks->clampOn($supply);

        return [
            Measure::amps($clamp, Message::of('proving.steps.current-of-the-call'))->since(self::CURRENT_SINCE),
        ];
    }

    /** Auxiliary heat without the compressor, where emergency heat does not already call the very same loads. */
    private function auxiliaryAlone(): ?Step
    {
        $table = CallTable::needed($this->plan->installation->archetype);
        $closes = $this->plan->carriers(
            array_values(
                array_unique([
                    ...array_diff(
                        $table->printed(CallName::Aux1, $this->plan->profile),
                        $table->printed(CallName::Heat1, $this->plan->profile),
                        $table->printed(CallName::Heat2, $this->plan->profile),
                    ),
                    ...array_intersect(
                        $table->printed(CallName::Fan, $this->plan->profile),
                        $table->printed(CallName::Emergency, $this->plan->profile),
                    ),
                ]),
            ),
        );
        [$terminals, $hot] = $this->screws($closes);
        $emergency = $this->plan->carriers($table->printed(CallName::Emergency, $this->plan->profile));
        $same =
            (array_diff($closes, $emergency) === [] && array_diff($emergency, $closes) === []) ||
            ($this->plan->installation->archetype->heatPump?->emergency !== 'own' &&
                in_array(CallName::Emergency, $this->calls(), true));
        if (
            $same ||
            $terminals === [] ||
            $hot === null ||
            (new SupportingSteps($this->plan))->whyNoJumper(CallName::Emergency) !== null ||
            $this->board->servedBy($terminals[0]) === null
        ) {
            return null;
        }
        $runs = $this->house->state($this->jumpered($hot, $terminals))->pulledIn();
        $loads = array_values(
            array_filter(
                $this->plan->installation->loads(),
                static fn ($load): bool => in_array($load->id, $runs, true),
            ),
        );

        return $this->jumperStep(CallName::Aux1, Method::AuxAlone, $terminals, $hot, $this->signs->ofLoads($loads));
    }

    /**
     * @param  non-empty-list<PlateTerminal>  $terminals
     * @param  list<Sign>  $signs
     */
    private function jumperStep(CallName $call, Method $method, array $terminals, string $hot, array $signs): Step
    {
        $closes = array_map(static fn (PlateTerminal $t): string => $t->printed, $terminals);
        $letters = implode(', ', $closes);
        $inFace = $this->plan->profile->switchesInFace;
        $hands = $this->jumpered($hot, $terminals);

        return new Step(
            call: $call,
            method: $method,
            setUpIsolated: true,
            do: Message::of(
                'proving.steps.then-power-on',
                clause: $inFace
                    ? Message::of('proving.steps.power-off-take-face-off', hot: $hot, letters: $letters)
                    : Message::of('proving.steps.power-off-lift-conductors-from', hot: $hot, letters: $letters),
            ),
            closes: $closes,
            hot: $hot,
            wait: $this->waits->of($call, $method),
            hands: $hands,
            waiting: $hands->at(Phase::Early),
            probes: $this->probes($call, $terminals, $hot, true),
            signs: $signs,
            restore: [
                Message::of('proving.steps.jumper-out', hot: $hot, letters: $letters),
                $inFace
                    ? Message::of('proving.steps.face-back-on-base')
                    : Message::of('proving.steps.conductors-back-on-their-screws'),
            ],
            beside: $this->besideAtWall($terminals, $hot),
            buildUp: $this->buildUp($terminals, $hot),
        );
    }

    /**
     * Fan first, then valve, compressor and heat: what each screw adds is watched before the next.
     *
     * @param  non-empty-list<PlateTerminal>  $terminals
     * @return list<Message> empty where there is one screw only
     */
    private function buildUp(array $terminals, string $hot): array
    {
        $turn = [
            TerminalName::G->value,
            TerminalName::OB->value,
            TerminalName::O->value,
            TerminalName::B->value,
            TerminalName::Y1->value,
            TerminalName::Y2->value,
        ];
        $inTurn = static fn (PlateTerminal $t): int => in_array($t->name->value, $turn, true)
            ? (int) array_search($t->name->value, $turn, true)
            : count($turn);
        usort($terminals, static fn (PlateTerminal $a, PlateTerminal $b): int => $inTurn($a) <=> $inTurn($b));
        $says = $in = $before = [];
        foreach (count($terminals) > 1 ? $terminals : [] as $terminal) {
            $in[] = $terminal;
            $runs = $this->house->state($this->jumpered($hot, $in))->pulledIn();
            $new = array_values(array_diff($runs, $before));
            $before = $runs;
            $says[] = Message::of(
                'proving.steps.built-up',
                screw: $terminal->printed,
                loads: array_map($this->house->circuit->partName(...), $new),
            );
        }

        return $says;
    }

    /**
     * @param  non-empty-list<PlateTerminal>  $terminals
     * @return list<Message> screws of the plate next to the jumper where a slip does harm
     */
    private function besideAtWall(array $terminals, string $hot): array
    {
        $point = static fn (PlateTerminal $t): string => $t->point();
        $from = $this->plan->profile->terminal($hot)?->point();

        return $from === null
            ? []
            : Danger::beside(
                $this->house->circuit,
                Setup::calling(),
                array_map($point, $this->plan->profile->terminals),
                $from,
                [$from, ...array_map($point, $terminals)],
            );
    }

    /**
     * @param  list<string>  $closes  printed
     * @return array{list<PlateTerminal>, ?string} the plate's screws, and the hot they take from
     */
    private function screws(array $closes): array
    {
        $terminals = array_values(array_filter(array_map($this->plan->profile->terminal(...), $closes)));

        return [$terminals, $terminals === [] ? null : $this->hotScrew($terminals)];
    }

    /**
     * The call that this one adds to: the largest whose terminals are all closed here too, the fan alone not counted.
     */
    private function lower(CallName $call): ?CallName
    {
        $table = CallTable::needed($this->plan->installation->archetype);
        $mine = $table->closes($call);
        $lower = null;
        foreach ($this->calls() as $other) {
            $closes = $table->closes($other);
            $isPart =
                $other !== $call &&
                $other !== CallName::Fan &&
                // A compressor is not reversed while it runs.
                $other->isCooling() === $call->isCooling() &&
                count($closes) < count($mine) &&
                array_udiff(
                    $closes,
                    $mine,
                    static fn (TerminalName $a, TerminalName $b): int => $a->value <=> $b->value,
                ) === [];
            if ($isPart && ($lower === null || count($closes) > count($table->closes($lower)))) {
                $lower = $other;
            }
        }

        return $lower;
    }

    /** @param  non-empty-list<PlateTerminal>  $terminals */
    private function hotScrew(array $terminals): ?string
    {
        if ($terminals[0]->name->isDry()) {
            return $terminals[0]->hot;
        }
        if ($this->plan->profile->outputs === Place::Module) {
            return $this->plan->profile->mainHot()?->printed;
        }
        $landed = [];
        foreach ($this->plan->landing->wall as $end) {
            $name = $end->terminal === null ? null : $this->plan->profile->terminal($end->terminal)?->name;
            if ($name?->isHot() === true) {
                $landed[] = (string) $end->terminal;
            }
        }
        $wanted = $terminals[0]->hot;

        return in_array($wanted, $landed, true) ? $wanted : $landed[0] ?? null;
    }

    /** @param  list<PlateTerminal>  $terminals */
    private function jumpered(string $hot, array $terminals): Hands
    {
        $hands = Hands::calling()->faced(Face::Off);
        if ($this->plan->profile->switchesInFace) {
            foreach ($terminals as $terminal) {
                $hands = $hands->jumping($this->screw($hot), $terminal->at());
            }

            return $hands;
        }
        $from = $this->tip($hot);
        foreach ($terminals as $terminal) {
            $to = $this->tip($terminal->printed);
            if ($from !== null && $to !== null) {
                $hands = $hands->lifting($from, $to)->jumping($from, $to);
            }
        }

        return $hands;
    }

    private function screw(string $printed): At
    {
        return $this->plan->profile->terminal($printed)?->at() ?? At::screw(Place::Wall, $printed);
    }

    private function tip(string $screw): ?At
    {
        $ids = $this->plan->landing->reaching($screw);

        return $ids === [] ? null : At::near($ids[0]);
    }

    /**
     * @param  non-empty-list<PlateTerminal>  $terminals
     * @return list<Measure>
     */
    private function probes(CallName $call, array $terminals, string $hot, bool $jumper): array
    {
        $main = $terminals[0];
        $archetype = $this->plan->installation->archetype;
        $common = $this->plan->wiredCommon();
        $board =
            $main->name === TerminalName::K
                ? $this->board->ofCall($call)[0] ?? null
                : ($main->name->isDry()
                    ? null
                    : $this->board->servedBy($main));
        $outdoor =
            $board === null || $board->name === TerminalName::W1 ? null : $archetype->outdoorTerminal($board->name);
        $outdoorCommon = $archetype->outdoorTerminal(TerminalName::C);

        $probes = [];
        if (! $jumper) {
            $probes[] = Measure::volts(
                $this->screw($hot)->id,
                $main->point(),
                Message::of('proving.steps.terminal-closed'),
            );
            if ($common !== null && $board !== null && $this->board->returnsTo($board, $common->point())) {
                $probes[] = Measure::volts(
                    $main->point(),
                    $common->point(),
                    Message::of('proving.steps.voltage-leaves-wall'),
                );
            }
        }
        if ($board !== null) {
            $probes[] = $this->board->arrival($board);
        }
        if ($outdoor !== null && $outdoorCommon !== null) {
            $probes[] = Measure::volts(
                $outdoor->point(),
                $outdoorCommon->point(),
                Message::of('proving.steps.voltage-at-outdoor-unit'),
            );
        }

        // A jumper is read where it parts the cable from the unit.
        return [...$jumper ? $probes : self::oneNeeded($call, $probes), ...$this->humidity($call)];
    }

    /**
     * The farthest reading tells everything that those before it tell. The blower is heard where it is asked for: there
     * the wall's own reading of the volts does.
     *
     * @param  list<Measure>  $probes  from the wall outward
     * @return list<Measure>
     */
    private static function oneNeeded(CallName $call, array $probes): array
    {
        $wall = array_filter($probes, static fn (Measure $p): bool => $p->probe->to?->place === Place::Wall);
        $needed = $call === CallName::Fan && count($wall) > 1 ? count($wall) - 1 : count($probes) - 1;

        return array_map(
            static fn (Measure $p, int $n): Measure => $n === $needed ? $p : $p->asOptional(),
            $probes,
            array_keys($probes),
        );
    }

    /** @return list<Measure> at what a contact of its own asks for, and where a signal opens instead of closing */
    private function humidity(CallName $call): array
    {
        $archetype = $this->plan->installation->archetype;
        $signal = $archetype->boardTerminal(TerminalName::Deh);
        $probes = [];
        if ($signal !== null && $archetype->dehumidify === Dehumidify::Opens && $call->isCooling()) {
            $probes[] = Measure::volts(
                $signal->point(),
                $this->board->returnOf($signal),
                Message::of('proving.steps.signal-that-opens', screw: $signal->printed),
            );
        }
        foreach ($call === CallName::Humidify ? $archetype->loads : [] as $load) {
            if ($load->kind === LoadKind::Solenoid) {
                $probes[] = Measure::volts(
                    $load->from,
                    $load->to,
                    Message::of('proving.steps.voltage-at', part: $load->label),
                );
            }
        }

        return $probes;
    }

    private function ask(CallName $call): Message
    {
        return match (true) {
            $call === CallName::Humidify => Message::of('proving.steps.humidity-above-rooms'),
            $call === CallName::Dehumidify => Message::of('proving.steps.cooling-and-humidity-below-rooms'),
            $call === CallName::Cool2 => Message::of('proving.steps.cooling-further-below'),
            $call->isCooling() => Message::of('proving.steps.cooling-well-below-room-temperature'),
            in_array($call, self::JOINING, true) => Message::of('proving.steps.heat-further-above'),
            $call->isHeating() => Message::of('proving.steps.heat-well-above-room-temperature'),
            default => Message::of('proving.steps.fan-on'),
        };
    }
}
