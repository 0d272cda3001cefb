<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Work;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Way\NewCable;
use Unionbit\Core\Wiring\Cable;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/** What to bring and to do for a plan's new cable, in the order of the work. */
final class PullList
{
    /** Our working figure: a staple for each so many feet of what can be reached. */
    private const STAPLE_FEET = 4.0;

    /** Reels as they are sold, feet. */
    private const REELS = [50.0, 100.0, 250.0, 500.0];

    /**
     * @param  Installation  $found  the house before the plan changes it
     * @return list<Message> empty where no cable is pulled
     */
    public static function of(Plan $plan, Installation $found): array
    {
        $cable = $plan->changes->pulled;
        if ($cable === null) {
            return [];
        }
        $old = $found->cable($cable->id);
        $length = $cable->feet + NewCable::SLACK;
        $reel =
            array_values(array_filter(self::REELS, static fn (float $feet): bool => $feet >= $length))[0] ?? $length;
        $spares = count(array_filter($cable->conductors, static fn (Conductor $c): bool => $c->isSpare()));

        return [
            Message::of(
                'planning.pull-list.reel',
                size: count($cable->conductors),
                length: Quantity::of($length, Unit::Feet, 0),
                slack: Quantity::of(NewCable::SLACK / 2.0, Unit::Feet, 0),
                reel: Quantity::of($reel, Unit::Feet, 0),
            ),
            self::way($plan, $old),
            Message::of(
                'planning.pull-list.staples',
                count: (int) ceil($cable->feet / self::STAPLE_FEET),
                every: Quantity::of(self::STAPLE_FEET, Unit::Feet, 0),
            ),
            Message::of('planning.pull-list.edge-guard'),
            ...$cable->to->isOutdoors() ? [Message::of('planning.pull-list.drip-loop')] : [],
            Message::of('planning.pull-list.seal'),
            Message::of('planning.pull-list.spare', spares: $spares),
            Message::of('planning.pull-list.ring-out'),
        ];
    }

    /** Along the old cable, tied to it, or a run of its own. */
    private static function way(Plan $plan, ?Cable $old): Message
    {
        return match (true) {
            $plan->changes->elsewhere => Message::of('planning.pull-list.own-run'),
            $old?->run === null => Message::of('planning.pull-list.try-the-old-one'),
            default => Message::of('planning.pull-list.tie-in'),
        };
    }
}
