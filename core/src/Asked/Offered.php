<?php

declare(strict_types=1);

namespace Unionbit\Core\Asked;

use Unionbit\Core\Asked\Thing\DoorHeld;
use Unionbit\Core\Asked\Thing\FaceOff;
use Unionbit\Core\Asked\Thing\LeadLifted;
use Unionbit\Core\Asked\Thing\LinkTurned;
use Unionbit\Core\Asked\Thing\PulledPlug;
use Unionbit\Core\Asked\Thing\SwitchedOff;
use Unionbit\Core\Asked\Thing\TestBreaker;
use Unionbit\Core\Asked\Thing\Thing;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\LineSwitch;
use Unionbit\Core\Equipment\Load;
use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Point\Side;
use Unionbit\Core\Wiring\Cable;

/** What can be put on a house with one tap: everything but jumpers and single ends, which are named by their points. */
final class Offered
{
    /** @return list<Thing> in the order in which they are shown; only what this house has */
    public static function on(Circuit $circuit): array
    {
        $house = $circuit->installation;
        $cables = array_map(
            static fn (Cable $c): array => [new PulledPlug($c->id, Side::Near), new PulledPlug($c->id, Side::Far)],
            $house->cables,
        );
        $things = [
            new FaceOff(),
            new LinkTurned(),
            new DoorHeld(),
            ...array_map(static fn (LineSwitch $s): Thing => new SwitchedOff($s), LineSwitch::cases()),
            ...array_map(static fn (Transformer $t): Thing => new TestBreaker($t->id), $house->transformers()),
            ...array_merge(...$cables),
            ...array_map(
                static fn (Load $l): Thing => new LeadLifted($l->id),
                array_filter($house->archetype->loads, static fn (Load $l): bool => $l->kind->hasState()),
            ),
        ];

        return array_values(array_filter($things, static fn (Thing $t): bool => $t->isOf($circuit)));
    }
}
