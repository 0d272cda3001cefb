<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Work;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\PlannedConductor;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;

/**
 * The moves of a plan in an order that never leaves a bare R where it can touch: link first, then commons and
 * calls, the hot last; what is capped is capped before anything else lands.
 */
final class MoveList
{
    /** @return list<Move> */
    public static function of(Plan $plan): array
    {
        $moves = self::before($plan);
        $link = $plan->profile->link;
        if ($link !== null) {
            $in = $plan->landing->linkIn;
            $moves[] = new Move(
                'link:'.($in ? 'in' : 'out'),
                $in ? "{$link[0]}–{$link[1]} link in" : "{$link[0]}–{$link[1]} link out",
                $in ? 'one transformer feeds both families' : 'two hots stay apart',
                null,
            );
        }
        $planned = PlannedConductor::all($plan);
        usort(
            $planned,
            static fn (PlannedConductor $a, PlannedConductor $b): int => [self::rank($a), $a->conductor->number] <=> [
                self::rank($b),
                $b->conductor->number,
            ],
        );
        foreach ($planned as $conductor) {
            $board = self::boardMove($plan, $conductor);
            if ($board !== null) {
                $moves[] = $board;
            }
            $moves[] = self::move($conductor);
        }

        return $moves;
    }

    /** @return list<Move> what comes before any conductor: a new cable, a float switch moved, ties, a plug-in supply */
    private static function before(Plan $plan): array
    {
        $moves = [];
        if ($plan->changes->pulled !== null) {
            $label = $plan->changes->pulled->label();
            $moves[] = $plan->changes->elsewhere
                ? new Move(
                    'cable',
                    "Run the new cable {$label} to the other wall position, slack at both ends",
                    'an inner wall, away from a draught or a supply register; seal the hole (WO12)',
                    null,
                )
                : new Move(
                    'cable',
                    "Pull the new cable {$label}, slack at both ends",
                    'the old one is the pull line; keep it until the new one is through',
                    null,
                );
        }
        if ($plan->changes->elsewhere) {
            $moves[] = new Move(
                'old-position',
                'Cap every old conductor at both ends, cover plate over the old position',
                'nothing stays on a screw that ends in the wall (MR14)',
                null,
            );
        }
        foreach ($plan->changes->safety ?? [] as $device) {
            $moves[] = new Move(
                'safety:'.implode('+', $device->breaks),
                "{$device->label} into ".implode(' and ', $device->breaks).($device->relay ? ', by its relay' : ''),
                'water in the pan stops the cooling, not the thermostat (MR16)',
                null,
            );
        }
        foreach ($plan->landing->jumpers as $jumper) {
            $moves[] = new Move(
                "tie:{$jumper->place->value}:{$jumper->a}:{$jumper->b}",
                "Tie {$jumper->a} to {$jumper->b} at the ".($jumper->place === Place::Wall ? 'plate' : 'board'),
                'with a short pigtail where the screw takes one conductor (MR13)',
                null,
            );
        }
        if ($plan->profile->outputs === Place::Module) {
            $moves[] = new Move(
                'module',
                $plan->profile->linkConductors > 0
                    ? 'Module at the equipment, short leads letter to letter'
                    : 'Receiver at the equipment, short leads letter to letter',
                'its outputs stand there (MR20)',
                null,
            );
        }
        if ($plan->changes->sharedKit) {
            $moves[] = new Move(
                'kit',
                'The kit\'s adapter at the board, short leads to R, C, Y and G',
                'it takes compressor and fan apart again (WO04, MR18)',
                null,
            );
        }
        if ($plan->landing->plugIn) {
            $moves[] = new Move(
                'plug-in',
                'Plug-in transformer at the wall, its leads on the thermostat\'s hot and C, plugged in last',
                'the thermostat\'s own supply (WO07)',
                null,
            );
        }

        return $moves;
    }

    /** The equipment end of a conductor, where the plan moves it. */
    private static function boardMove(Plan $plan, PlannedConductor $planned): ?Move
    {
        $end = $plan->landing->indoor[$planned->conductor->number] ?? null;
        $was = $planned->conductor->far;
        if ($end === null || $end == $was || ($end->isFree() && $was->isFree())) {
            return null;
        }
        $name = $planned->conductor->name();
        $to = $end->isFree() ? 'capped' : "on {$end->label()}";

        return new Move(
            "{$planned->id()}.far:".($end->terminal ?? 'cap'),
            "{$name} at the board: from {$was->label()}, now {$to}, tug it",
            'its equipment end makes it what it is (MR01)',
            $planned->id(),
        );
    }

    private static function rank(PlannedConductor $planned): int
    {
        return match (true) {
            $planned->wall->terminal === null => 0,
            $planned->wallName === TerminalName::C => 1,
            $planned->wallName?->isHot() === true => 3,
            default => 2,
        };
    }

    private static function move(PlannedConductor $planned): Move
    {
        $name = $planned->conductor->name();
        $to = $planned->wall->terminal;
        $was = $planned->conductor->near;
        $key = "{$planned->id()}:".($to ?? 'cap');
        if ($to === null) {
            return new Move(
                $key,
                "Cap {$name}",
                $planned->board->isFree()
                    ? 'free at both ends'
                    : "no screw for {$planned->board->label()} on this plate",
                $planned->id(),
            );
        }
        $why = match (true) {
            $planned->board->isFree() => 'reaches nothing at the board',
            $planned->board->onto !== null => "{$planned->board->label()} at the board".
                ($planned->boardName === null ? '' : ", which is {$planned->boardName->value}"),
            default => "it is {$planned->board->label()} at the board",
        };

        return new Move(
            $key,
            $was->terminal === $to ? "{$name} stays on {$to}, tug it" : "{$name} from {$was->label()} to {$to}, tug it",
            $why,
            $planned->id(),
        );
    }
}
