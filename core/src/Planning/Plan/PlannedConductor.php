<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Plan;

use Unionbit\Core\Circuit\Netlist\Assembly;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Terminal\Vocabulary;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\End;

/** A conductor of the thermostat cable with what the plan does with it, and what its two ends mean. */
final readonly class PlannedConductor
{
    private function __construct(
        public Conductor $conductor,
        public Place $place,
        public End $wall,
        public End $board,
        public ?TerminalName $wallName,
        public ?TerminalName $boardName,
    ) {
    }

    /** @return list<self> of every cable out of the wall */
    public static function all(Plan $plan): array
    {
        $heatPump = $plan->installation->archetype->reverses;

        return array_map(static function (Conductor $conductor) use ($plan, $heatPump): self {
            $wall = $plan->landing->wall[$conductor->id()] ?? $conductor->near;
            $place = $plan->installation->boardOf($conductor);
            $board = $plan->landing->board[$conductor->id()] ?? $conductor->far;

            return new self(
                $conductor,
                $place,
                $wall,
                $board,
                $wall->terminal === null ? null : $plan->profile->terminal($wall->terminal)?->name,
                $board->terminal === null
                    ? ($board->onto === null
                        ? null
                        : $plan->installation->meaning($conductor))
                    : $plan->installation->screw($place, $board->terminal)->name ??
                        Vocabulary::resolve($board->terminal, $place, $heatPump)->name,
            );
        }, $plan->installation->wallConductors());
    }

    /** Carries the link between a two-part thermostat's wall unit and its module (MR20). */
    public function isLink(): bool
    {
        return $this->board->terminal !== null && in_array($this->board->terminal, Assembly::LINK_SCREWS, true);
    }

    public function id(): string
    {
        return $this->conductor->id();
    }
}
