<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Standing;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Equipment\Load;
use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Wiring\Cable;

/** What can be put on a house with one tap: everything but jumpers and single ends, which are named by their points. */
final class Offered
{
    /** @return list<Thing> in the order in which they are shown; only what this house has */
    public static function on(Circuit $circuit): array
    {
        $house = $circuit->installation;
        $things = [
            new Thing(ThingKind::FaceOff),
            new Thing(ThingKind::Link),
            new Thing(ThingKind::Door),
            ...array_map(
                static fn (LineSwitch $s): Thing => new Thing(ThingKind::Switch, $s->value),
                LineSwitch::cases(),
            ),
            ...array_map(
                static fn (Transformer $t): Thing => new Thing(ThingKind::Breaker, $t->id),
                array_filter($house->transformers(), static fn (Transformer $t): bool => $t->fuseAmps !== null),
            ),
            ...array_merge(
                [],
                ...array_map(
                    static fn (Cable $c): array => [
                        new Thing(ThingKind::Plug, "{$c->id}.near"),
                        new Thing(ThingKind::Plug, "{$c->id}.far"),
                    ],
                    $house->cables,
                ),
            ),
            ...array_map(
                static fn (Load $l): Thing => new Thing(ThingKind::Coil, $l->id),
                array_filter($house->archetype->loads, static fn (Load $l): bool => $l->kind->hasState()),
            ),
        ];

        return array_values(array_filter($things, static fn (Thing $t): bool => $t->isOf($circuit)));
    }
}
