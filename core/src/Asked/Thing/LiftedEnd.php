<?php

declare(strict_types=1);

namespace Unionbit\Core\Asked\Thing;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Point\At;
use Unionbit\Core\Words\Message;

/** The end of a conductor off its screw. */
final readonly class LiftedEnd implements Thing
{
    public function __construct(public At $end)
    {
    }

    public function kind(): ThingKind
    {
        return ThingKind::Lift;
    }

    public function key(): string
    {
        return ThingKind::Lift->key($this->end->id);
    }

    public function isOf(Circuit $circuit): bool
    {
        return $circuit->isLanded($this->end);
    }

    public function on(Setup $setup, Circuit $circuit): Setup
    {
        return $setup->lifting($this->end->id);
    }

    public function label(Circuit $circuit): Message
    {
        return self::together($circuit, [$this->end]);
    }

    public function names(): array
    {
        return [$this->end->id];
    }

    /** @param  list<At>  $ends */
    public static function together(Circuit $circuit, array $ends): Message
    {
        $points = $circuit->atRest()->points;

        return Message::of(
            'circuit.standing.lifted',
            ends: array_map(
                static fn (At $end): Message => isset($points[$end->id])
                    ? $points[$end->id]->phrase()
                    : Message::raw($end->id),
                $ends,
            ),
        );
    }
}
