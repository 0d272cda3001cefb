<?php

declare(strict_types=1);

use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Edit\Touching;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Circuit\Solve\Network;
use Unionbit\Core\Job\Facts;
use Unionbit\Core\Job\File\ExampleHouse;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Planning\Plan\LetterToLetter;
use Unionbit\Core\Point\At;
use Unionbit\Core\Tests\Support\House;
use Unionbit\Core\Tests\Support\Pick;
use Unionbit\Core\Wiring\Cable;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\Landing;

/**
 * A random house: any equipment, every other time made of any units, any thermostat, random lengths, gauges and
 * transformer, a random call.
 *
 * @return array{callable(callable(int): int): Circuit, Setup}
 */
function randomHouse(int $seed): array
{
    mt_srand($seed);
    $pick = static fn (array $from): mixed => $from[mt_rand(0, count($from) - 1)];
    $units = House::anyEquipment(new Pick("house {$seed}"));
    $archetype = House::archetype($seed % 2 === 0 ? $units : $pick(House::ids('equipment')));
    $profile = House::profile($pick(House::ids('thermostats')));
    $gauge = $pick([18, 20, 22, 24]);
    $feet = (float) mt_rand(15, 140);
    $va = $pick([40.0, 50.0, 75.0]);
    $example = ExampleHouse::of($archetype, $feet, (float) mt_rand(10, 60));
    $calls = CallTable::needed($archetype);
    $call = $pick($calls->calls());
    $setup = Setup::calling(...$calls->printed($call, $profile))->inMode($call->mode());

    // The house with its wall conductors numbered anew.
    $build = static function (callable $renumber) use ($example, $profile, $gauge, $va): Circuit {
        $wall = $example->wallCable() ?? throw new LogicException('no wall cable');
        $conductors = array_map(
            static fn (Conductor $c): Conductor => new Conductor(
                $renumber($c->number),
                $c->colour,
                $c->near,
                $c->far,
                $c->evidence,
            ),
            $wall->conductors,
        );
        $cable = (new Cable($wall->id, $wall->from, $wall->to, $gauge, $wall->feet, []))->withConductors(
            $conductors,
        );
        $house = new Installation(
            $example->archetype,
            new Facts(lineVolts: 120.0, tapVolts: 120.0, transformerVa: $va),
            [$cable, ...array_slice($example->cables, 1)],
        );

        // Landed as the first numbering was: on a plate with one hot, which of two hots lands is a matter of order.
        $landing = LetterToLetter::landing($example, $profile);
        $moved = static fn (array $ends): array => array_combine(
            array_map(static fn (string $id): string => 'A'.$renumber((int) substr($id, 1)), array_keys($ends)),
            array_values($ends),
        );

        return new Circuit(
            $house,
            $profile,
            new Landing($moved($landing->wall), $moved($landing->board), $landing->linkIn),
        );
    };

    return [$build, $setup];
}

it('obeys Kirchhoff, Ohm and common sense on random houses', function (int $seed): void {
    [$build, $setup] = randomHouse($seed);
    $house = $build(static fn (int $n): int => $n);
    $point = $house->operate($setup);

    // Kirchhoff's current law at every point, the reference's 1 nS included.
    $sum = [];
    foreach ($point->netlist->elements as $element) {
        [$re, $im] = $point->phasors->current($element);
        foreach ([[$element->a, 1], [$element->b, -1]] as [$id, $sign]) {
            $sum[$id] = [($sum[$id][0] ?? 0.0) + $sign * $re, ($sum[$id][1] ?? 0.0) + $sign * $im];
        }
    }
    foreach ($sum as $id => $current) {
        expect(hypot(...$current))->toBeLessThan(1e-6, "current does not balance at {$id}");
    }

    // Ohms read the same either way round.
    $off = Network::dc($house->netlist(Setup::isolated()));
    $hot = $house->installation->archetype->transformers[0]->hot;
    $common = $house->installation->archetype->transformers[0]->common;
    expect($off->probe($hot, $common)->magnitude($hot, $common))->toEqualWithDelta(
        $off->probe($common, $hot)->magnitude($common, $hot),
        1e-9,
    );

    // Another load never raises the source.
    $loaded = $setup->with(new Touching(At::read($hot), At::read($common), 60.0))->withSlowFuse();
    expect($house->operate($loaded)->phasors->magnitude($hot, $common))->toBeLessThan(
        $house->operate($setup->withSlowFuse())->phasors->magnitude($hot, $common),
    );

    // Which number a conductor has changes no reading at a screw.
    $count = count($house->installation->wallCable()->conductors);
    $turned = $build(static fn (int $n): int => $count + 1 - $n)->operate($setup);
    foreach ($house->profile->terminals as $terminal) {
        if ($point->netlist->joins($terminal->point(), $common)) {
            expect($turned->phasors->magnitude($terminal->point(), $common))->toEqualWithDelta(
                $point->phasors->magnitude($terminal->point(), $common),
                1e-5,
            );
        }
    }
})->with(range(1, 100));
