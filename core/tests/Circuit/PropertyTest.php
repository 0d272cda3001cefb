<?php

declare(strict_types=1);

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Meter;
use Unionbit\Core\Circuit\Network;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Job\SurveyFile;
use Unionbit\Core\Planning\LetterToLetter;
use Unionbit\Core\Tests\Support\House;

/** A random house of the archetype: lengths, gauges, order and colours of conductors, transformer, a random call. */
function randomHouse(int $seed): array
{
    mt_srand($seed);
    $letters = ['R', 'W', 'Y', 'G', 'C'];
    shuffle($letters);
    $colours = ['red', 'white', 'green', 'yellow', 'blue', 'orange', 'brown', 'black'];
    shuffle($colours);
    $numbers = range(1, 5);
    $conductors = array_map(static fn (int $n): array => House::conductor($n, $colours[$n - 1], $letters[$n - 1], $letters[$n - 1]), $numbers);
    $gauge = [18, 20, 22, 24][mt_rand(0, 3)];
    $calls = [[], ['G'], ['Y1', 'G'], ['W1']];

    $survey = static fn (array $list): array => [
        'facts' => ['plateLink' => 'in', 'transformerVa' => mt_rand(0, 1) ? 40 : 75, 'lineVolts' => 120],
        'cables' => [
            ['id' => 'A', 'from' => 'wall', 'to' => 'indoor', 'gauge' => $gauge, 'feet' => 60, 'conductors' => $list],
            ['id' => 'B', 'from' => 'indoor', 'to' => 'outdoor', 'gauge' => 18, 'feet' => 25, 'conductors' => [House::conductor(1, 'red', 'Y', 'Y'), House::conductor(2, 'white', 'C', 'C')]],
        ],
    ];
    $circuit = static function (array $list) use ($survey): Circuit {
        $house = SurveyFile::read($survey($list), House::archetype());
        $profile = House::profile(House::C_POWERED);

        return new Circuit($house, $profile, LetterToLetter::landing($house, $profile));
    };

    return [$circuit, $conductors, $calls[mt_rand(0, 3)]];
}

it('obeys Kirchhoff, Ohm and common sense on random houses', function (int $seed): void {
    [$circuit, $conductors, $call] = randomHouse($seed);
    $house = $circuit($conductors);
    $point = $house->operate(Setup::calling(...$call));

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
    expect($off->probe('wall.Y1', 'indoor.R')->magnitude('wall.Y1', 'indoor.R'))->toEqualWithDelta($off->probe('indoor.R', 'wall.Y1')->magnitude('indoor.R', 'wall.Y1'), 1e-9);

    // Another load never raises the source.
    $idle = $house->operate(Setup::calling())->phasors->magnitude('indoor.R', 'indoor.C');
    expect($point->phasors->magnitude('indoor.R', 'indoor.C'))->toBeLessThanOrEqual($idle + 1e-9);

    // Which number a conductor has changes no reading at a screw.
    $turned = array_map(static fn (array $c): array => [...$c, 'number' => 6 - $c['number']], $conductors);
    mt_srand($seed);
    $same = (new Meter($circuit($turned)))->nominalVolts(Setup::calling(...$call), 'wall.Y1', 'wall.C');
    mt_srand($seed);
    expect((new Meter($circuit($conductors)))->nominalVolts(Setup::calling(...$call), 'wall.Y1', 'wall.C'))->toEqualWithDelta((float) $same, 1e-6);
})->with(range(1, 25));
