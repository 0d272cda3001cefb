<?php

declare(strict_types=1);

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Meter\Meter;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Job\File\ExampleHouse;
use Unionbit\Core\Job\File\SurveyFile;
use Unionbit\Core\Job\PlateAsFound;
use Unionbit\Core\Job\Suggest\SurveyProgress;
use Unionbit\Core\Terminal\Colour;
use Unionbit\Core\Tests\Support\House;
use Unionbit\Core\Wiring\Cable;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\End;
use Unionbit\Core\Wiring\EndState;
use Unionbit\Core\Wiring\Evidence;

it('writes a survey and reads it back the same, on every kind of equipment', function (string $archetype): void {
    $house = ExampleHouse::of(House::archetype($archetype), 63.5, 28.0);
    $written = SurveyFile::write($house);
    $again = SurveyFile::read(json_decode((string) json_encode($written), true), $house->archetype);

    expect($again)->toEqual($house)->and(SurveyFile::write($again))->toBe($written);
})->with(House::ids('equipment'));

it('keeps every field of a conductor through a round trip', function (Conductor $conductor): void {
    $house = House::survey();
    $cable = $house->wallCable() ?? throw new LogicException('no cable');
    $with = $house->withCable($cable->withConductors([$conductor]));
    $again = SurveyFile::read(json_decode((string) json_encode(SurveyFile::write($with)), true), $house->archetype);

    expect($again->wallCable()?->conductors[0])->toEqual($conductor);
})->with([
    'striped and spliced' => [
        new Conductor(
            7,
            Colour::White,
            End::landed('Y'),
            End::landed('Y'),
            Evidence::Traced,
            Colour::Red,
            Colour::Brown,
            'spliced in the attic',
        ),
    ],
    'cut short' => [
        new Conductor(
            8,
            Colour::Tan,
            End::free(EndState::CutShort),
            End::free(EndState::BrokenOff),
            Evidence::Unknown,
        ),
    ],
    'a letter nobody knows, kept as written' => [
        new Conductor(9, Colour::Pink, End::landed('q7'), End::free(EndState::Capped), Evidence::ColourOnly),
    ],
]);

it('refuses bad data with its pointer', function (array $survey, string $pointer): void {
    expect(fn () => SurveyFile::read($survey, House::archetype()))->toThrow(
        fn (InvalidData $problem) => expect($problem->pointer)->toBe($pointer),
    );
})->with([
    'line volts' => [['facts' => ['lineVolts' => 12]], '/facts/lineVolts'],
    'link' => [['facts' => ['plateLink' => 'perhaps']], '/facts/plateLink'],
    'gauge' => [
        ['cables' => [['id' => 'A', 'from' => 'wall', 'to' => 'indoor', 'gauge' => 12, 'feet' => 40]]],
        '/cables/0/gauge',
    ],
    'place' => [['cables' => [['id' => 'A', 'from' => 'attic', 'to' => 'indoor', 'feet' => 40]]], '/cables/0/from'],
    'conductors as text' => [
        ['cables' => [['id' => 'A', 'from' => 'wall', 'to' => 'indoor', 'feet' => 40, 'conductors' => 'five']]],
        '/cables/0/conductors',
    ],
    'evidence' => [
        [
            'cables' => [
                [
                    'id' => 'A',
                    'from' => 'wall',
                    'to' => 'indoor',
                    'feet' => 40,
                    'conductors' => [
                        [
                            'number' => 1,
                            'colour' => 'red',
                            'near' => ['state' => 'spare'],
                            'far' => ['state' => 'spare'],
                            'evidence' => 'hearsay',
                        ],
                    ],
                ],
            ],
        ],
        '/cables/0/conductors/0/evidence',
    ],
    'a landed end without its terminal' => [
        [
            'cables' => [
                [
                    'id' => 'A',
                    'from' => 'wall',
                    'to' => 'indoor',
                    'feet' => 40,
                    'conductors' => [
                        [
                            'number' => 1,
                            'colour' => 'red',
                            'near' => ['state' => 'landed'],
                            'far' => ['state' => 'spare'],
                            'evidence' => 'seen',
                        ],
                    ],
                ],
            ],
        ],
        '/cables/0/conductors/0/near/terminal',
    ],
]);

it('makes of the old plate a thermostat that calls nothing, with its own letters', function (
    array $changes,
    array $facts,
    string $a,
    string $b,
    float $volts,
): void {
    $house = House::survey($changes, $facts);
    $circuit = new Circuit($house, PlateAsFound::profile($house), PlateAsFound::landing($house));

    expect((new Meter($circuit))->volts(Setup::calling(), $a, $b)->nominal)->toEqualWithDelta($volts, 0.6);
})->with([
    'R and C' => [[], [], 'wall.R', 'wall.C', 26.6],
    'R to an idle call' => [[], [], 'wall.R', 'wall.Y', 26.6],
    'V and M of an old plate' => [
        [
            0 => ['near' => ['state' => 'landed', 'terminal' => 'V']],
            2 => ['near' => ['state' => 'landed', 'terminal' => 'M']],
        ],
        [],
        'wall.V',
        'wall.M',
        26.6,
    ],
    'two hots with the link in' => [
        [0 => ['near' => ['state' => 'landed', 'terminal' => 'Rh']]],
        ['plateLink' => 'in'],
        'wall.Rc',
        'wall.C',
        26.6,
    ],
]);

it('says what a survey still needs', function (
    array $facts,
    bool $measured,
    array $open,
    array $answers = [],
): void {
    $survey = [...SurveyFile::write(House::survey(facts: $facts)), 'answers' => $answers];
    $items = SurveyProgress::items(SurveyFile::read($survey, House::archetype()), $measured);

    expect(array_column(array_filter($items, static fn (array $i): bool => ! $i['done']), 'key'))->toBe($open);
})->with([
    [
        ['plateLink' => 'unknown'],
        false,
        ['equipment', 'link', 'transformer', 'fuse', 'line', 'supply', 'supplies', 'old-power'],
    ],
    [
        ['transformerVa' => 40, 'fuseAmps' => 3, 'lineVolts' => 120, 'tapVolts' => 120, 'oldPower' => 'battery'],
        true,
        [],
        ['outdoor' => 'cools', 'coolStages' => '1', 'heatSource' => 'gas', 'heatStages' => '1', 'supplies' => '1'],
    ],
    [
        ['transformerVa' => 40, 'fuseAmps' => 3, 'lineVolts' => 120, 'oldPower' => 'battery'],
        true,
        ['equipment', 'line', 'supplies'],
        ['outdoor' => 'reverses'],
    ],
]);

it('works out the copper of a run', function (int $gauge, float $feet, float $ohms): void {
    expect(
        (new Cable(
            'A',
            Unionbit\Core\Terminal\Place::Wall,
            Unionbit\Core\Terminal\Place::Indoor,
            $gauge,
            $feet,
            [],
        ))->conductorOhms(),
    )->toEqualWithDelta($ohms, 0.001);
})->with([[18, 100.0, 0.639], [20, 100.0, 1.015], [22, 120.0, 1.937], [24, 50.0, 1.284]]);
