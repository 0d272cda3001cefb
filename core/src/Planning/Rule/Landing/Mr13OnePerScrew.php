<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Rule\Landing;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\PlannedConductor;
use Unionbit\Core\Planning\Rule\MappingRule;
use Unionbit\Core\Point\At;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Words\Message;

/** MR13 One conductor to a wall screw unless it is made for two; equipment screws as the board is made. */
final class Mr13OnePerScrew implements MappingRule
{
    public function check(Plan $plan): array
    {
        $findings = [];
        $wall = $board = [];
        foreach (PlannedConductor::all($plan) as $planned) {
            if ($planned->wall->terminal !== null) {
                $wall[$planned->wall->terminal][] = $planned;
            }
            if ($planned->board->terminal !== null) {
                $board[
                    $plan->installation->pointOf($planned->place, $planned->board->terminal)
                ][] = $planned->conductor->name();
            }
        }
        foreach ($wall as $screw => $conductors) {
            $room = $plan->profile->terminal((string) $screw)->wires ?? 1;
            if (count($conductors) > $room) {
                $names = array_map(static fn (PlannedConductor $p): Message => $p->conductor->name(), $conductors);
                $findings[] = Finding::of(
                    'MR13',
                    Severity::Error,
                    Message::of('planning.mr13.two-conductors-on-one-screw', names: $names, screw: $screw),
                    Message::of('planning.mr13.screw-at-wall-takes-one', screw: $screw, room: $room),
                    Message::of('planning.mr13.move-one-or-join-both'),
                    array_map(static fn (PlannedConductor $p): string => $p->id(), $conductors),
                    [At::screw(Place::Wall, $screw)->id],
                );
            }
        }
        $outdoor = $plan->installation->outdoorCable();
        foreach ($outdoor->conductors ?? [] as $conductor) {
            if ($outdoor !== null && $conductor->near->terminal !== null) {
                $board[$plan->installation->pointOf($outdoor->from, $conductor->near->terminal)][] = Message::of(
                    'planning.mr13.outdoor-unit',
                    conductor: $conductor->name(),
                );
            }
        }
        foreach ($board as $point => $names) {
            $at = At::read($point);
            $screw = (string) $at->screw;
            $room =
                $at->place === null ? 1 : $plan->installation->archetype->terminal($at->place, $screw)->wires ?? 1;
            if (count($names) > $room) {
                $findings[] = Finding::of(
                    'MR13',
                    Severity::Warning,
                    Message::of('planning.mr13.more-conductors-than-boards-screw', screw: $screw, names: $names),
                    Message::of('planning.mr13.takes', room: $room),
                    Message::of('planning.mr13.use-pigtail'),
                    [],
                    [$point],
                );
            }
        }

        return $findings;
    }
}
