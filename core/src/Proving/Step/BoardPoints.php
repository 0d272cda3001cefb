<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Step;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Equipment\EquipmentTerminal;
use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Point\At;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Thermostat\Meaning;
use Unionbit\Core\Thermostat\PlateTerminal;
use Unionbit\Core\Words\Message;

/** The equipment's own screws behind a call: which they are, to which common they return, which hot is theirs. */
final readonly class BoardPoints
{
    public function __construct(private Plan $plan)
    {
    }

    /** @return list<EquipmentTerminal> the board's screws of a call, in the order of the call table */
    public function ofCall(CallName $call): array
    {
        $found = [];
        $archetype = $this->plan->installation->archetype;
        foreach (CallTable::needed($archetype)->closes($call) as $called) {
            $name = $this->atBoard($called);
            foreach ($archetype->terminals as $terminal) {
                if (
                    $archetype->isBoard($terminal->place) &&
                    ($terminal->name === $name || Meaning::of($terminal->name, $archetype) === $name) &&
                    ! in_array($terminal, $found, true)
                ) {
                    $found[] = $terminal;
                }
            }
        }

        return $found;
    }

    /** Emergency heat arrives at the one heat input where the board has no E. */
    private function atBoard(TerminalName $name): TerminalName
    {
        return $name === TerminalName::E &&
            $this->plan->installation->archetype->boardTerminal(TerminalName::E) === null
            ? TerminalName::Aux
            : $name;
    }

    /** The board's screw that this plate screw serves, by what the call means. */
    public function servedBy(PlateTerminal $screw): ?EquipmentTerminal
    {
        $aux = $this->plan->profile->named(TerminalName::Aux);
        if ($screw->name === TerminalName::E && $aux !== null && $this->atBoard($screw->name) !== $screw->name) {
            return $this->servedBy($aux);
        }
        $archetype = $this->plan->installation->archetype;
        foreach ($archetype->terminals as $terminal) {
            $serving = $archetype->isBoard($terminal->place)
                ? $this->plan->profile->serving(Meaning::of($terminal->name, $archetype))
                : null;
            if ($serving?->printed === $screw->printed) {
                return $terminal;
            }
        }

        return null;
    }

    /**
     * @return ?array{string, string} point and printed letter of the hot that belongs to a screw's load: two
     *     transformers never crossed
     */
    public function hotOf(EquipmentTerminal $terminal): ?array
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
        $r = $this->plan->installation->archetype->boardTerminal(TerminalName::R);

        return $r === null ? null : [$r->point(), $r->printed];
    }

    /** The common of the transformer whose loads stand behind a screw; null where nothing does. */
    public function commonOf(EquipmentTerminal $terminal): ?string
    {
        foreach ($this->loadsBehind($terminal) as $return) {
            return $this->supplyOf($return)->common ?? null;
        }

        return null;
    }

    /** Whether copper joins a point to the common of a screw's load: the plate's C is of the same supply. */
    public function returnsTo(EquipmentTerminal $board, string $point): bool
    {
        $common = $this->commonOf($board);

        return $common !== null && isset($this->reached($point)[$common]);
    }

    /** The supply to whose common a load returns, over whatever copper lies between. */
    private function supplyOf(string $return): ?Transformer
    {
        return $this->plan->circuit()->supplyBehind($return) ??
            ($this->plan->installation->transformers()[0] ?? null);
    }

    /** @return array<string, true> points that closed copper joins to this one, everything at rest */
    public function reached(string $point): array
    {
        return $this->plan
            ->circuit()
            ->netlist(Setup::calling())
            ->region($point, static fn (Element $e): bool => $e->kind->isCopper() && ! $e->isOpen());
    }

    /** Where the indoor load behind a screw returns to: with two transformers each has its own. */
    public function returnOf(EquipmentTerminal $board): string
    {
        $loads = $this->loadsBehind($board);
        foreach ($loads as $return) {
            if (At::read($return)->place?->isOutdoors() !== true) {
                return $return;
            }
        }
        $supply = $loads === [] ? null : $this->supplyOf($loads[0]);

        return $supply->common ?? $this->plan->installation->archetype->transformers[0]->common;
    }

    /** Arrived at the board: to its common, or to its hot where that common has no screw. */
    public function arrival(EquipmentTerminal $board): Measure
    {
        $archetype = $this->plan->installation->archetype;
        $return = $this->returnOf($board);
        foreach ($archetype->terminals as $terminal) {
            if ($terminal->point() === $return) {
                return Measure::volts(
                    $board->point(),
                    $terminal->point(),
                    Message::of('proving.board-points.voltage-arrives-at-board'),
                );
            }
        }
        foreach ($archetype->transformers as $transformer) {
            if ($transformer->common === $return) {
                return Measure::volts(
                    $transformer->hot,
                    $board->point(),
                    Message::of('proving.board-points.closed-as-far-as-board'),
                );
            }
        }

        return Measure::volts(
            $board->point(),
            $archetype->transformers[0]->common,
            Message::of('proving.board-points.voltage-arrives-at-board'),
        );
    }

    /** @return list<string> the far ends of the loads that hang on a screw */
    private function loadsBehind(EquipmentTerminal $terminal): array
    {
        $reached = $this->reached($terminal->point());
        $returns = [];
        foreach ($this->plan->installation->archetype->loads as $load) {
            if (isset($reached[$load->from])) {
                $returns[] = $load->to;
            }
        }

        return $returns;
    }
}
