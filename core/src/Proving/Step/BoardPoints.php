<?php

declare(strict_types=1);

namespace Unionbit\Core\Proving\Step;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Equipment\EquipmentTerminal;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Terminal\Place;
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
        foreach (CallTable::needed($archetype)->closes($call) as $name) {
            foreach ($archetype->terminals as $terminal) {
                if (
                    $terminal->place === Place::Indoor &&
                    ($terminal->name === $name || Meaning::of($terminal->name, $archetype) === $name) &&
                    ! in_array($terminal, $found, true)
                ) {
                    $found[] = $terminal;
                }
            }
        }

        return $found;
    }

    /** The board's screw that this plate screw serves, by what the call means. */
    public function servedBy(PlateTerminal $screw): ?EquipmentTerminal
    {
        $archetype = $this->plan->installation->archetype;
        foreach ($archetype->terminals as $terminal) {
            $serving =
                $terminal->place === Place::Indoor
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
        $r = $this->plan->installation->archetype->terminalNamed(Place::Indoor, TerminalName::R);

        return $r === null ? null : [$r->point(), $r->printed];
    }

    /** The common of the transformer whose loads stand behind a screw; null where nothing does. */
    public function commonOf(EquipmentTerminal $terminal): ?string
    {
        $commons = array_map(static fn ($t): string => $t->common, $this->plan->installation->transformers());
        foreach ($this->loadsBehind($terminal) as $return) {
            return in_array($return, $commons, true) ? $return : $commons[0];
        }

        return null;
    }

    /** Where the indoor load behind a screw returns to: with two transformers each has its own. */
    public function returnOf(EquipmentTerminal $board): string
    {
        foreach ($this->loadsBehind($board) as $return) {
            if (! str_starts_with($return, 'outdoor.')) {
                return $return;
            }
        }

        return $this->plan->installation->archetype->transformers[0]->common;
    }

    /** Arrived at the board: to its common, or to its hot where that common has no screw. */
    public function arrival(EquipmentTerminal $board): Probe
    {
        $archetype = $this->plan->installation->archetype;
        $return = $this->returnOf($board);
        foreach ($archetype->terminals as $terminal) {
            if ($terminal->point() === $return) {
                return new Probe(
                    $board->point(),
                    $terminal->point(),
                    Message::of('proving.board-points.voltage-arrives-at-board'),
                );
            }
        }
        foreach ($archetype->transformers as $transformer) {
            if ($transformer->common === $return) {
                return new Probe(
                    $transformer->hot,
                    $board->point(),
                    Message::of('proving.board-points.closed-as-far-as-board'),
                );
            }
        }

        return new Probe(
            $board->point(),
            $archetype->transformers[0]->common,
            Message::of('proving.board-points.voltage-arrives-at-board'),
        );
    }

    /** @return list<string> the far ends of the loads that hang on a screw */
    private function loadsBehind(EquipmentTerminal $terminal): array
    {
        $reached = $this->plan
            ->circuit()
            ->netlist(Setup::calling())
            ->region($terminal->point(), static fn (Element $e): bool => $e->kind->isCopper() && ! $e->isOpen());
        $returns = [];
        foreach ($this->plan->installation->archetype->loads as $load) {
            if (isset($reached[$load->from])) {
                $returns[] = $load->to;
            }
        }

        return $returns;
    }
}
