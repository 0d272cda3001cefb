<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\Edit\Opened;
use Unionbit\Core\Circuit\Element;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Equipment\EquipmentTerminal;
use Unionbit\Core\Equipment\Load;
use Unionbit\Core\Equipment\LoadKind;
use Unionbit\Core\Planning\CallProof;
use Unionbit\Core\Planning\Plan;
use Unionbit\Core\Planning\PlanProof;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Thermostat\Meaning;
use Unionbit\Core\Thermostat\PlateTerminal;

/** The proofs that a plan can have: fan first, then cooling, then heating; each by jumper and by voltage. */
final readonly class Steps
{
    public function __construct(private Plan $plan)
    {
    }

    /** @return list<Step> */
    public function all(): array
    {
        $steps = [];
        $elsewhere = new OtherSteps($this->plan);
        foreach ($this->calls() as $call) {
            $signs = $this->signs($this->loadsOf($call));
            $steps[] = $this->plan->profile->outputs === Place::Wall ? $this->step($call, Method::Jumper) : null;
            $steps[] = $elsewhere->atBoard($call, $this->wait($call, Method::Jumper), $signs);
            $steps[] = $elsewhere->continuity($call);
            $steps[] = $this->step($call, Method::Voltage);
            $steps[] = $call === CallName::Cool1 ? $elsewhere->floatLifted($this->wait($call, Method::Voltage)) : null;
        }
        $steps[] = $this->defrosts() ? $this->step(CallName::Defrost, Method::Voltage) : null;

        return array_values(array_filter($steps));
    }

    /** Whether the outdoor unit's defrost calls heat indoors in this plan: a step to take where it can be forced. */
    private function defrosts(): bool
    {
        $proofs = array_filter(PlanProof::of($this->plan)->calls, static fn (CallProof $p): bool => $p->call === CallName::Defrost && $p->isProved());

        return $proofs !== [];
    }

    /** @return list<CallName> calls that can be proved: not the idle state, not a defrost, none that the plan has given up */
    public function calls(): array
    {
        $lost = array_column(PlanProof::of($this->plan)->lost, 'call');

        return array_values(array_filter(
            CallTable::needed($this->plan->installation->archetype)->calls(),
            static fn (CallName $call): bool => $call !== CallName::Idle && $call->mode() === null && ! in_array($call, $lost, true),
        ));
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
        $closes = CallTable::needed($this->plan->installation->archetype)->printed($call, $this->plan->profile);
        $terminals = array_values(array_filter(array_map($this->plan->profile->terminal(...), $closes)));
        $hot = $this->hotScrew($terminals);
        if ($terminals === [] || $hot === null) {
            return null;
        }
        $jumper = $method === Method::Jumper;
        $loads = $this->loadsOf($call);
        $letters = implode(', ', $closes);
        $inFace = $this->plan->profile->switchesInFace;
        $do = $jumper
            ? ($inFace ? "Power off. Take the face off the base and join {$hot} to {$letters} with a secured jumper." : "Power off. Lift the conductors of {$hot}, {$letters} from the plate and join their ends with a secured jumper.").' Then power on.'
            : ($call === CallName::Defrost ? 'Power on, heat called. Start a defrost at the outdoor board as its sheet says: the heat indoors must join.' : "Power on, face on. Ask the thermostat for {$this->ask($call)}.");

        $setup = ($jumper ? $this->jumpered($hot, $terminals) : Setup::calling(...$closes))->inMode($call->mode());

        return new Step(
            $call, $method, $jumper, $do, $closes, $hot, $this->wait($call, $method),
            $setup,
            $this->waiting($setup, $call, $jumper),
            $this->probes($terminals, $hot, $jumper), [...$this->signs($loads), ...($jumper ? [] : self::asides())],
            $jumper ? ["Jumper {$hot} to {$letters} out", $inFace ? 'Face back on its base' : 'Conductors back on their screws, tugged'] : [],
        );
    }

    /** @return list<Load> */
    private function loadsOf(CallName $call): array
    {
        return array_values(array_filter(array_map($this->plan->installation->archetype->load(...), $this->plan->installation->archetype->needs[$call->value] ?? [])));
    }

    /** @param  list<PlateTerminal>  $terminals */
    private function hotScrew(array $terminals): ?string
    {
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
        $wanted = $terminals[0]->hot ?? null;

        return in_array($wanted, $landed, true) ? $wanted : ($landed[0] ?? null);
    }

    /**
     * While the delay runs: the thermostat's minimum off holds the compressor back, and contacts that follow their
     * driver later (ignition control to gas valve) have not moved. A jumper holds nothing back but those contacts.
     */
    private function waiting(Setup $setup, CallName $call, bool $jumper): Setup
    {
        if ($this->runsCompressor($call) && ! $jumper) {
            $held = [TerminalName::Y1, TerminalName::Y2];

            return Setup::calling(...array_values(array_filter($setup->closed, fn (string $printed): bool => ! in_array($this->plan->profile->terminal($printed)?->name, $held, true))));
        }
        foreach ($this->plan->installation->loads() as $load) {
            foreach ($load->drives as $contact) {
                if ($contact->delaySeconds > 0.0 && ! $contact->normallyClosed) {
                    $setup = $setup->with(new Opened($contact->id));
                }
            }
        }

        return $setup;
    }

    /** @param  list<PlateTerminal>  $terminals */
    private function jumpered(string $hot, array $terminals): Setup
    {
        $setup = Setup::calling()->faceOff();
        if ($this->plan->profile->switchesInFace) {
            foreach ($terminals as $terminal) {
                $setup = $setup->withJumper($this->plan->profile->terminal($hot)?->point() ?? "wall.{$hot}", $terminal->point());
            }

            return $setup;
        }
        $from = $this->tip($hot);
        foreach ($terminals as $terminal) {
            $to = $this->tip($terminal->printed);
            if ($from !== null && $to !== null) {
                $setup = $setup->lifting($from, $to)->withJumper($from, $to);
            }
        }

        return $setup;
    }

    private function tip(string $screw): ?string
    {
        $numbers = $this->plan->landing->on($screw);

        return $numbers === [] ? null : "A{$numbers[0]}.near";
    }

    /**
     * @param  list<PlateTerminal>  $terminals
     * @return list<Probe>
     */
    private function probes(array $terminals, string $hot, bool $jumper): array
    {
        $main = $terminals[0];
        $archetype = $this->plan->installation->archetype;
        $common = $this->plan->profile->named(TerminalName::C);
        $atWall = $common !== null && ($this->plan->profile->outputs === Place::Module || $this->plan->landing->on($common->printed) !== []);
        $board = $this->boardTerminal($main);
        $return = $board === null ? null : $this->returnOf($board);
        $outdoor = $board === null ? null : $archetype->terminalNamed(Place::Outdoor, $board->name);
        $outdoor = $board?->name === TerminalName::W1 ? null : $outdoor;
        $outdoorCommon = $archetype->terminalNamed(Place::Outdoor, TerminalName::C);

        $probes = [];
        if (! $jumper) {
            $probes[] = new Probe($this->plan->profile->terminal($hot)?->point() ?? "wall.{$hot}", $main->point(), 'terminal closed');
            if ($atWall && $return === $archetype->transformers[0]->common) {
                $probes[] = new Probe($main->point(), $common->point(), 'voltage leaves the wall');
            }
        }
        if ($board !== null) {
            $probes[] = $this->atBoard($board, $return);
        }
        if ($outdoor !== null && $outdoorCommon !== null) {
            $probes[] = new Probe($outdoor->point(), $outdoorCommon->point(), 'voltage at the outdoor unit');
        }

        return $probes;
    }

    /** The common to which the load behind a screw returns: with two transformers each has its own. */
    private function returnOf(EquipmentTerminal $board): string
    {
        $archetype = $this->plan->installation->archetype;
        $reached = $this->plan->circuit()->netlist(Setup::calling())->region($board->point(), static fn (Element $e): bool => $e->kind->isCopper() && ! $e->isOpen());
        foreach ($archetype->loads as $load) {
            if (isset($reached[$load->from]) && ! str_starts_with($load->to, 'outdoor.')) {
                return $load->to;
            }
        }

        return $archetype->transformers[0]->common;
    }

    /** Arrived at the board: to its common, or to its hot where that common has no screw. */
    private function atBoard(EquipmentTerminal $board, ?string $return): Probe
    {
        $archetype = $this->plan->installation->archetype;
        foreach ($archetype->terminals as $terminal) {
            if ($terminal->point() === $return) {
                return new Probe($board->point(), $terminal->point(), 'voltage arrives at the board');
            }
        }
        foreach ($archetype->transformers as $transformer) {
            if ($transformer->common === $return) {
                return new Probe($transformer->hot, $board->point(), 'closed as far as the board');
            }
        }

        return new Probe($board->point(), $archetype->transformers[0]->common, 'voltage arrives at the board');
    }

    /** The board's screw that this plate screw serves, by what the call means. */
    private function boardTerminal(PlateTerminal $screw): ?EquipmentTerminal
    {
        foreach ($this->plan->installation->archetype->terminals as $terminal) {
            $serving = $terminal->place === Place::Indoor ? $this->plan->profile->serving(Meaning::of($terminal->name, $this->plan->installation->archetype)) : null;
            if ($serving?->printed === $screw->printed) {
                return $terminal;
            }
        }

        return null;
    }

    /**
     * @param  list<Load>  $loads
     * @return list<Sign>
     */
    private function signs(array $loads): array
    {
        $signs = [];
        foreach ($loads as $load) {
            $sign = match (true) {
                $load->observable === 'blower' => new Sign('blower', 'Blower runs', 'ear', $load->id),
                $load->observable === 'outdoor-unit' => new Sign('outdoor-unit', 'Outdoor unit runs', 'ear', $load->id),
                $load->observable === 'burner' => new Sign('burner', 'Burner lights, blower follows by itself', 'eye', $load->id),
                $load->observable !== null => new Sign($load->observable, ucfirst($load->label).' works', $load->kind === LoadKind::ReversingValve ? 'ear' : 'eye', $load->id),
                default => null,
            };
            if ($sign !== null) {
                $signs[] = $sign;
            }
        }

        return $signs;
    }

    /** @return list<Sign> what belongs to a whole proof besides the load: the display before, the drop-off after */
    private static function asides(): array
    {
        return [new Sign('display', 'Display shows the call', 'eye', null, true), new Sign('drop-off', 'Everything stops again when the call ends', 'ear', null, true)];
    }

    private function wait(CallName $call, Method $method): Wait
    {
        $delays = $this->plan->installation->archetype->delays;
        if ($this->runsCompressor($call)) {
            return $this->compressorWait($delays['compressor-off'] ?? 300, $delays['outdoor-board'] ?? 0, $method);
        }
        if (! $call->isHeating()) {
            return new Wait(5, 'The blower relay answers at once; the motor takes a moment.', Wait::FROM_START);
        }
        $electric = $delays['sequencer-on'] ?? null;

        return match (true) {
            isset($delays['ignition']) => new Wait($delays['ignition'], 'Ignition sequence before the gas valve opens.', Wait::FROM_START),
            $electric !== null => new Wait($electric, 'The sequencer warms up before the strip comes on.', Wait::FROM_START),
            default => new Wait($delays['zone-valve'] ?? 15, 'The valve has to open before its end switch closes.', Wait::FROM_START),
        };
    }

    private function compressorWait(int $off, int $board, Method $method): Wait
    {
        if ($method === Method::Voltage) {
            $then = $board > 0 ? ', then the outdoor board\'s own delay.' : '.';

            return new Wait($off + $board, "Compressor minimum off, counted from the last power-on{$then}", Wait::FROM_POWER_ON);
        }

        return $board > 0
            ? new Wait($board, 'The outdoor board holds the compressor back after each power-on.', Wait::FROM_POWER_ON)
            : new Wait($off, 'Compressor off time. With the thermostat out, only you protect the compressor: do not make live before.', Wait::FROM_POWER_OFF);
    }

    private function runsCompressor(CallName $call): bool
    {
        return in_array(TerminalName::Y1, CallTable::needed($this->plan->installation->archetype)->closes($call), true);
    }

    private function ask(CallName $call): string
    {
        return match (true) {
            $call->isCooling() => 'cooling, well below room temperature',
            $call->isHeating() => 'heat, well above room temperature',
            default => 'fan on',
        };
    }
}
