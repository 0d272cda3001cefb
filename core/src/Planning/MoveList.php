<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning;

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
        $moves = [];
        $link = $plan->profile->link;
        if ($link !== null) {
            $in = $plan->landing->linkIn;
            $moves[] = new Move('link:'.($in ? 'in' : 'out'), $in ? "{$link[0]}–{$link[1]} link in" : "{$link[0]}–{$link[1]} link out", $in ? 'one transformer feeds both families' : 'two hots stay apart', null);
        }
        $planned = PlannedConductor::all($plan);
        usort($planned, static fn (PlannedConductor $a, PlannedConductor $b): int => [self::rank($a), $a->conductor->number] <=> [self::rank($b), $b->conductor->number]);
        foreach ($planned as $conductor) {
            $moves[] = self::move($conductor);
        }

        return $moves;
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
            return new Move($key, "Cap {$name}", $planned->board->isFree() ? 'free at both ends' : "no screw for {$planned->board->label()} on this plate", $planned->id());
        }
        $why = match (true) {
            $planned->board->isFree() => 'reaches nothing at the board',
            $planned->board->onto !== null => "{$planned->board->label()} at the board".($planned->boardName === null ? '' : ", which is {$planned->boardName->value}"),
            default => "it is {$planned->board->label()} at the board",
        };

        return new Move($key, $was->terminal === $to ? "{$name} stays on {$to}, tug it" : "{$name} from {$was->label()} to {$to}, tug it", $why, $planned->id());
    }
}
