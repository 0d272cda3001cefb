<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Work;

use Unionbit\Core\Job\SafetyDevice;
use Unionbit\Core\Planning\Plan\FoundTie;
use Unionbit\Core\Planning\Plan\FoundTies;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\PlannedConductor;
use Unionbit\Core\Point\At;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Wiring\Cable;
use Unionbit\Core\Wiring\Jumper;
use Unionbit\Core\Words\Message;

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
                $in
                    ? Message::of('planning.move-list.link-in', link: $link[0], link2: $link[1])
                    : Message::of('planning.move-list.link-out', link: $link[0], link2: $link[1]),
                $in
                    ? Message::of('planning.move-list.one-transformer-feeds-both-families')
                    : Message::of('planning.move-list.two-hots-stay-apart'),
                null,
            );
        }
        $planned = PlannedConductor::all($plan);
        usort(
            $planned,
            static fn (PlannedConductor $a, PlannedConductor $b): int => [
                self::rank($a),
                $a->conductor->cable,
                $a->conductor->number,
            ] <=> [self::rank($b), $b->conductor->cable, $b->conductor->number],
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
        $out = array_filter(FoundTies::of($plan), static fn (FoundTie $tie): bool => $tie->stands === null);

        return [
            ...self::ofCables($plan),
            ...array_map(self::safetyMoved(...), $plan->changes->safety ?? []),
            ...array_map(static fn (FoundTie $tie): Move => self::tieOut($tie, $plan), array_values($out)),
            ...array_map(self::tieIn(...), self::tiesToMake($plan)),
            ...self::ofDevices($plan),
        ];
    }

    /** @return list<Move> a cable that is pulled, splices, and the end of the old one where the wall is another */
    private static function ofCables(Plan $plan): array
    {
        $moves = $plan->changes->pulled === null ? [] : [self::pulled($plan, $plan->changes->pulled)];
        foreach ($plan->changes->mended as $id) {
            $moves[] = new Move(
                "splice:{$id}",
                Message::of(
                    'planning.move-list.splice',
                    conductor: $plan->installation->wallConductor($id)?->name() ?? $id,
                ),
                Message::of('planning.wo01.splice-stays-reachable'),
                $id,
            );
        }
        if ($plan->changes->elsewhere) {
            $moves[] = new Move(
                'old-position',
                Message::of('planning.move-list.cap-every-old-conductor-at'),
                Message::of('planning.move-list.nothing-stays-on-screw-ends'),
                null,
            );
        }

        return $moves;
    }

    private static function pulled(Plan $plan, Cable $cable): Move
    {
        $label = $cable->label();

        return $plan->changes->elsewhere
            ? new Move(
                'cable',
                Message::of('planning.move-list.run-new-cable-other-wall', label: $label),
                Message::of('planning.move-list.inner-wall-away-from-draught'),
                null,
            )
            : new Move(
                'cable',
                Message::of('planning.move-list.pull-new-cable-slack-at', label: $label),
                Message::of('planning.move-list.old-one-pull-line-keep'),
                null,
            );
    }

    private static function safetyMoved(SafetyDevice $device): Move
    {
        return new Move(
            'safety:'.implode('+', $device->breaks),
            Message::of(
                $device->relay ? 'planning.move-list.into-by-relay' : 'planning.move-list.into',
                device: $device->name(),
                breaks: $device->breaks,
            ),
            Message::of('planning.move-list.water-in-pan-stops-cooling'),
            null,
        );
    }

    private static function tieIn(Jumper $jumper): Move
    {
        return new Move(
            "tie:{$jumper->place->value}:{$jumper->a}:{$jumper->b}",
            Message::of(
                $jumper->place === Place::Wall
                    ? 'planning.move-list.tie-at-plate'
                    : 'planning.move-list.tie-at-board',
                a: $jumper->a,
                b: $jumper->b,
            ),
            Message::of('planning.move-list.with-short-pigtail-where-screw'),
            null,
        );
    }

    /** @return list<Move> what is brought along and mounted */
    private static function ofDevices(Plan $plan): array
    {
        $moves = [];
        if ($plan->profile->outputs === Place::Module) {
            $moves[] = new Move(
                'module',
                $plan->profile->linkConductors > 0
                    ? Message::of('planning.move-list.module-at-equipment-short-leads')
                    : Message::of('planning.move-list.receiver-at-equipment-short-leads'),
                Message::of('planning.move-list.outputs-stand-there-mr20'),
                null,
            );
        }
        if ($plan->changes->sharedKit && ! $plan->changes->kitStands) {
            $moves[] = new Move(
                'kit',
                Message::of('planning.move-list.kits-adapter-at-board-short'),
                Message::of('planning.move-list.takes-compressor-fan-apart-again'),
                null,
            );
        }
        if ($plan->landing->plugIn) {
            $moves[] = new Move(
                'plug-in',
                Message::of('planning.move-list.plug-in-transformer-at-wall'),
                Message::of('planning.move-list.thermostats-own-supply-wo07'),
                null,
            );
        }

        return $moves;
    }

    /** @return list<Jumper> those of the plan that are not in place already: the old plate takes its own along */
    public static function tiesToMake(Plan $plan): array
    {
        $there = array_map(
            static fn (FoundTie $tie): ?Jumper => $tie->found->place === Place::Wall ? null : $tie->stands,
            FoundTies::of($plan),
        );

        return array_values(
            array_filter($plan->landing->jumpers, static fn (Jumper $j): bool => ! in_array($j, $there, true)),
        );
    }

    private static function tieOut(FoundTie $tie, Plan $plan): Move
    {
        $found = $tie->found;

        return new Move(
            "tie-out:{$found->place->value}:{$found->a}:{$found->b}",
            Message::of(
                $found->place === Place::Wall ? 'planning.move-list.tie-not-again' : 'planning.move-list.tie-out',
                a: $found->a,
                b: $found->b,
                place: $plan->installation->placeName($found->place),
            ),
            Message::of('planning.mr25.why', fate: $tie->fate->value),
            null,
        );
    }

    /** The equipment end of a conductor, where the plan moves it. */
    private static function boardMove(Plan $plan, PlannedConductor $planned): ?Move
    {
        $end = $plan->landing->board[$planned->conductor->id()] ?? null;
        $was = $planned->conductor->far;
        if ($end === null || $end == $was || ($end->isFree() && $was->isFree())) {
            return null;
        }
        $name = $planned->conductor->name();

        return new Move(
            At::far($planned->id())->id.':'.($end->terminal ?? 'cap'),
            Message::of(
                $end->isFree() ? 'planning.move-list.cap-at-board' : 'planning.move-list.move-at-board',
                name: $name,
                was: $was->label(),
                to: $end->label(),
            ),
            Message::of('planning.move-list.equipment-end-makes-what-mr01'),
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
                Message::of('planning.move-list.cap', name: $name),
                $planned->board->isFree()
                    ? Message::of('planning.move-list.free-at-both-ends')
                    : Message::of('planning.move-list.no-screw-for-on-plate', board: $planned->board->label()),
                $planned->id(),
            );
        }
        $why = match (true) {
            $planned->board->isFree() => Message::of('planning.move-list.reaches-nothing-at-board'),
            $planned->board->onto !== null && $planned->boardName !== null => Message::of(
                'planning.move-list.joined',
                board: $planned->board->label(),
                terminal: $planned->boardName->value,
            ),
            $planned->board->onto !== null => Message::of(
                'planning.move-list.at-board',
                board: $planned->board->label(),
            ),
            default => Message::of('planning.move-list.at-board-2', board: $planned->board->label()),
        };

        return new Move(
            $key,
            $was->terminal === $to
                ? Message::of('planning.move-list.stays-on-tug', name: $name, to: $to)
                : Message::of('planning.move-list.from-tug', name: $name, was: $was->label(), to: $to),
            $why,
            $planned->id(),
        );
    }
}
