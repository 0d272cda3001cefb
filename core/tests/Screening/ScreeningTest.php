<?php

declare(strict_types=1);

use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Job\File\ExampleHouse;
use Unionbit\Core\Job\File\SurveyFile;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Screening\Rule\Equipment\Sc20OtherEquipment;
use Unionbit\Core\Screening\Rule\SurveyReading;
use Unionbit\Core\Screening\Screening;
use Unionbit\Core\Screening\VanishingPoint;
use Unionbit\Core\Tests\Support\House;

/** @param  array<string, mixed>  $survey  parts of the survey document to put in */
function screening(array $survey, array $readings = [], string $archetype = House::FURNACE): array
{
    $house = SurveyFile::write(ExampleHouse::of(House::archetype($archetype)));
    $house = SurveyFile::read(array_replace_recursive($house, $survey), House::archetype($archetype));
    $found = [];
    foreach (Screening::check($house, $readings) as $finding) {
        $found[$finding->code] ??= $finding;
    }

    return $found;
}

it('screens each of its codes both ways', function (
    string $code,
    string $archetype,
    array $survey,
    array $readings,
    ?string $severity,
    string $says,
): void {
    $finding = screening($survey, $readings, $archetype)[$code] ?? null;

    expect($finding?->severity->value)->toBe($severity);
    if ($finding !== null) {
        expect(joined(' ', [$finding->title, $finding->meaning, $finding->action]))->toContain($says);
    }
})->with(function (): iterable {
    $answer = static fn (array $answers): array => ['answers' => $answers];
    $volts = static fn (string $a, string $b, float $v): SurveyReading => new SurveyReading($a, $b, $v);
    $hp = 'heat-pump-o-1c-1aux';
    yield 'SC01 118 V at the wall' => [
        'SC01',
        House::FURNACE,
        [],
        [$volts('wall.R', 'wall.C', 118.0)],
        'stop',
        'call for a licensed person',
    ];
    yield 'SC01 56 V is no line voltage' => [
        'SC01',
        House::FURNACE,
        [],
        [$volts('wall.Rc', 'wall.Rh', 56.0)],
        null,
        '',
    ];
    yield 'SC01 thick wire' => [
        'SC01',
        House::FURNACE,
        ['cables' => [['kind' => 'thick']]],
        [],
        'stop',
        'line-voltage thermostat',
    ];
    yield 'SC01 120 ohms are no volts' => [
        'SC01',
        House::FURNACE,
        [],
        [new SurveyReading('wall.R', 'wall.C', 120.0, MeterMode::Ohms)],
        null,
        '',
    ];
    yield 'SC02' => ['SC02', House::FURNACE, $answer(['supplies' => 'millivolt']), [], 'stop', 'thermopile'];
    yield 'SC02 not' => ['SC02', House::FURNACE, $answer(['supplies' => '1']), [], null, ''];
    yield 'SC04 stays' => ['SC04', House::FURNACE, $answer(['bus' => 'yes']), [], 'stop', 'data'];
    yield 'SC04 goes back' => ['SC04', House::FURNACE, $answer(['bus' => 'convert']), [], null, ''];
    yield 'SC04 labels' => [
        'SC04',
        House::FURNACE,
        [
            'cables' => [
                [
                    'conductors' => [
                        ['near' => ['state' => 'landed', 'terminal' => 'D+']],
                        ['near' => ['state' => 'landed', 'terminal' => 'D-']],
                    ],
                ],
            ],
        ],
        [],
        'warning',
        'D+ and D-',
    ];
    yield 'SC05 line' => [
        'SC05',
        'air-handler-hot-water-1c',
        $answer(['fanCoil' => 'line']),
        [],
        'stop',
        'line voltage',
    ];
    yield 'SC05 24 V' => [
        'SC05',
        'air-handler-hot-water-1c',
        $answer(['fanCoil' => '24v']),
        [],
        'good',
        'Ordinary work',
    ];
    yield 'SC06' => [
        'SC06',
        'boiler-zone-valve-1c',
        $answer(['zoneValve' => 'three']),
        [],
        'stop',
        'isolating relay',
    ];
    yield 'SC06 two wires' => ['SC06', 'boiler-zone-valve-1c', $answer(['zoneValve' => 'two']), [], null, ''];
    yield 'SC07 not looked at' => ['SC07', House::FURNACE, [], [], 'note', 'switch one supply off'];
    yield 'SC07 two found, one expected' => [
        'SC07',
        House::FURNACE,
        $answer(['supplies' => '2']),
        [],
        'error',
        'another number of transformers',
    ];
    yield 'SC07 two, rightly' => [
        'SC07',
        'boiler-zone-valve-1c',
        $answer(['supplies' => '2']),
        [],
        'warning',
        'fed backwards',
    ];
    yield 'SC07 53 V between hots' => [
        'SC07',
        'boiler-zone-valve-1c',
        [],
        [$volts('wall.Rc', 'wall.Rh', 53.0)],
        'error',
        'out of phase',
    ];
    yield 'SC07 one, rightly' => ['SC07', House::FURNACE, $answer(['supplies' => '1']), [], null, ''];
    yield 'SC08 telephone wire' => [
        'SC08',
        House::FURNACE,
        ['cables' => [['kind' => 'telephone']]],
        [],
        'warning',
        'ferrule',
    ];
    yield 'SC08 24 AWG' => [
        'SC08',
        House::FURNACE,
        ['cables' => [['gauge' => 24]]],
        [],
        'warning',
        'thinner than 22',
    ];
    yield 'SC08 solid 18' => ['SC08', House::FURNACE, ['cables' => [['kind' => 'solid']]], [], null, ''];
    yield 'SC11 assumed' => [
        'SC11',
        House::FURNACE,
        ['cables' => [['conductors' => [2 => ['evidence' => 'colour']]]]],
        [],
        'warning',
        'provisional',
    ];
    yield 'SC11 traced' => ['SC11', House::FURNACE, [], [], null, ''];
    yield 'SC12 Y on G' => [
        'SC12',
        House::FURNACE,
        ['cables' => [['conductors' => [['near' => ['terminal' => 'G']]]]]],
        [],
        'error',
        'G',
    ];
    yield 'SC12 W2 on a heat pump is its auxiliary heat' => [
        'SC12',
        $hp,
        ['cables' => [['conductors' => [2 => ['near' => ['terminal' => 'W2'], 'far' => ['terminal' => 'W']]]]]],
        [],
        null,
        '',
    ];
    yield 'SC12 the same' => ['SC12', House::FURNACE, [], [], null, ''];
    yield 'SC13 B read as the common' => [
        'SC13',
        $hp,
        ['cables' => [['conductors' => [['near' => ['terminal' => 'B']]]]]],
        [new SurveyReading('A1.near', 'wall.C', 0.6, MeterMode::Ohms)],
        'note',
        'That is the common',
    ];
    yield 'SC13 B read as a valve' => [
        'SC13',
        $hp,
        ['cables' => [['conductors' => [['near' => ['terminal' => 'B']]]]]],
        [new SurveyReading('A1.near', 'wall.C', 17.2, MeterMode::Ohms)],
        'note',
        'valve coil',
    ];
    yield 'SC13 B behind a board' => [
        'SC13',
        $hp,
        ['cables' => [['conductors' => [['near' => ['terminal' => 'B']]]]]],
        [new SurveyReading('A1.near', 'wall.C', 3300.0, MeterMode::Ohms)],
        'note',
        'outdoor board',
    ];
    yield 'SC13 B open' => [
        'SC13',
        $hp,
        ['cables' => [['conductors' => [['near' => ['terminal' => 'B']]]]]],
        [new SurveyReading('A1.near', 'wall.C', null, MeterMode::Ohms)],
        'note',
        'Open',
    ];
    yield 'SC13 B unproved' => [
        'SC13',
        $hp,
        ['cables' => [['conductors' => [['near' => ['terminal' => 'B']]]]]],
        [],
        'warning',
        'lift it at the wall',
    ];
    yield 'SC14 too large' => [
        'SC14',
        House::FURNACE,
        ['facts' => ['fuseAmps' => 5.0], 'answers' => ['fuseMarked' => 3.0]],
        [],
        'stop',
        'Put in 3 A',
    ];
    yield 'SC14 bridged' => ['SC14', House::FURNACE, $answer(['fuseState' => 'bridged']), [], 'stop', 'bridged'];
    yield 'SC14 right' => [
        'SC14',
        House::FURNACE,
        ['facts' => ['fuseAmps' => 3.0], 'answers' => ['fuseMarked' => 3.0]],
        [],
        'good',
        'agree',
    ];
    yield 'SC16 gas on a furnace' => [
        'SC16',
        House::FURNACE,
        $answer(['fanJumper' => 'gas']),
        [],
        'good',
        'set the thermostat so',
    ];
    yield 'SC16 electric on a furnace' => [
        'SC16',
        House::FURNACE,
        $answer(['fanJumper' => 'electric']),
        [],
        'warning',
        'heat without air',
    ];
    yield 'SC16 gas on strips' => [
        'SC16',
        'air-handler-electric-1h-1c',
        $answer(['fanJumper' => 'gas']),
        [],
        'warning',
        'Move the jumper',
    ];
    yield 'SC17 blank on batteries' => [
        'SC17',
        House::FURNACE,
        ['facts' => ['oldPower' => 'battery'], 'answers' => ['display' => 'blank']],
        [],
        'warning',
        'Batteries first',
    ];
    yield 'SC17 blank with a float in R' => [
        'SC17',
        House::FURNACE,
        [
            'facts' => [
                'oldPower' => 'common',
                'safety' => [['id' => 'float', 'label' => 'float switch', 'breaks' => ['R'], 'relay' => false]],
            ],
            'answers' => ['display' => 'blank'],
        ],
        [],
        'warning',
        'float switch in R',
    ];
    yield 'SC17 display on' => [
        'SC17',
        House::FURNACE,
        ['facts' => ['oldPower' => 'battery'], 'answers' => ['display' => 'on']],
        [],
        null,
        '',
    ];
    yield 'SC18 plates disagree' => [
        'SC18',
        $hp,
        $answer(['outdoor' => 'reverses', 'indoorPlate' => 'cools', 'evidence' => ['plate']]),
        [],
        'warning',
        'disagree',
    ];
    yield 'SC18 tons apart' => [
        'SC18',
        $hp,
        $answer(['outdoorTons' => 3.0, 'indoorTons' => 2.0]),
        [],
        'note',
        'tons',
    ];
    yield 'SC19 no sign' => [
        'SC19',
        $hp,
        $answer(['outdoor' => 'reverses', 'evidence' => []]),
        [],
        'warning',
        'Find one sign',
    ];
    yield 'SC19 a sign' => ['SC19', $hp, $answer(['outdoor' => 'reverses', 'evidence' => ['valve']]), [], null, ''];
    $line = ['outdoor' => 'cools', 'heatSource' => 'gas'];
    yield 'MR16 a float that nobody placed' => [
        'MR16',
        House::FURNACE,
        $answer(['floats' => 'some']),
        [],
        'warning',
        'enter which conductor it breaks',
    ];
    yield 'MR16 none seen' => ['MR16', House::FURNACE, $answer(['floats' => 'none']), [], null, ''];
    yield 'SC06 a relay to be fitted' => [
        'SC06',
        'boiler-zone-valve',
        $answer(['zoneValve' => 'relay']),
        [],
        'note',
        'see the valve open',
    ];
    yield 'SC20 a panel that the circuit has not' => [
        'SC20',
        House::FURNACE,
        $answer(['shedding' => 'panel']),
        [],
        'error',
        'Add the zone panel',
    ];
    yield 'SC20 the panel is there' => [
        'SC20',
        'zone-panel-gas-1h-1c',
        $answer(['shedding' => 'panel']),
        [],
        null,
        '',
    ];
    yield 'SC20 an add-on kit' => [
        'SC20',
        House::FURNACE,
        $answer(['shedding' => 'kit']),
        [],
        'stop',
        'photographs',
    ];
    yield 'SC20 a second Y outdoors' => [
        'SC20',
        House::FURNACE,
        $answer([...$line, 'outdoorScrews' => ['Y', 'Y2', 'C', 'L']]),
        [],
        'warning',
        'not in the circuit: Y2.',
    ];
    yield 'SC20 the screws that it has' => [
        'SC20',
        House::FURNACE,
        $answer([...$line, 'outdoorScrews' => ['Y', 'C']]),
        [],
        null,
        '',
    ];
    yield 'SC21 ductless' => [
        'SC21',
        House::FURNACE,
        $answer(['outdoor' => 'ductless']),
        [],
        'stop',
        'photographs',
    ];
    yield 'SC21 baseboard alone' => [
        'SC21',
        House::FURNACE,
        $answer(['heatSource' => 'line']),
        [],
        'stop',
        'licensed',
    ];
    yield 'SC21 baseboard beside cooling' => [
        'SC21',
        'air-handler-cool-1c',
        $answer(['outdoor' => 'cools', 'heatSource' => 'line']),
        [],
        'warning',
        'cooling and its fan only',
    ];
    yield 'SC21 three phases' => ['SC21', House::FURNACE, $answer(['phases' => 'three']), [], 'note', 'wrong way'];
    yield 'SC22 a cock closed' => [
        'SC22',
        House::FURNACE,
        $answer(['cocks' => 'closed']),
        [],
        'warning',
        'gas cock',
    ];
    yield 'SC22 all open' => ['SC22', House::FURNACE, $answer(['cocks' => 'open']), [], null, ''];
    yield 'MR12 W nowhere' => [
        'MR12',
        $hp,
        $answer(['outdoor' => 'reverses', 'heatSource' => 'electric', 'defrostW' => 'open']),
        [],
        'warning',
        'blown cold',
    ];
    yield 'MR12 spliced' => [
        'MR12',
        $hp,
        $answer(['outdoor' => 'reverses', 'heatSource' => 'electric', 'defrostW' => 'spliced']),
        [],
        'good',
        'defrosts',
    ];
    yield 'MR12 not asked of cooling only' => [
        'MR12',
        House::FURNACE,
        $answer(['outdoor' => 'cools', 'heatSource' => 'gas', 'defrostW' => 'open']),
        [],
        null,
        '',
    ];
});

it('lets a reason go past a stop only where the rule allows it', function (
    string $code,
    array $survey,
    bool $allowed,
): void {
    $house = SurveyFile::read(
        array_replace_recursive(SurveyFile::write(House::survey()), $survey, [
            'overrides' => [$code => 'seen to it'],
        ]),
        House::archetype(),
    );
    $codes = array_map(
        static fn (Finding $f): string => $f->code,
        Screening::stops($house, [new SurveyReading('indoor.R', 'indoor.C', $code === 'SC03' ? 0.2 : 26.9)]),
    );

    expect($codes)->toBe($allowed ? [] : [$code]);
})->with([
    ['SC02', ['answers' => ['supplies' => 'millivolt']], false],
    ['SC01', ['cables' => [['kind' => 'thick']]], false],
    ['SC14', ['answers' => ['fuseState' => 'bridged']], false],
    ['SC06', ['answers' => ['zoneValve' => 'three']], true],
    ['SC04', ['answers' => ['bus' => 'yes']], true],
    ['SC03', [], true],
]);

it('finds where the supply first vanishes', function (array $volts, ?string $says): void {
    $points = [
        'secondary' => ['T1.winding', 'indoor.C'],
        'board' => ['indoor.R', 'indoor.C'],
        'wall' => ['wall.C', 'wall.R'],
        'outdoor' => ['outdoor.Y', 'outdoor.C'],
    ];
    $readings = array_map(
        static fn (string $place, float $v): SurveyReading => new SurveyReading(
            $points[$place][0],
            $points[$place][1],
            $v,
        ),
        array_keys($volts),
        $volts,
    );
    $finding = VanishingPoint::find(House::survey(), $readings);

    expect(
        $finding === null ? null : joined(' ', [$finding->title, $finding->meaning, $finding->action]),
    )->{$says === null ? 'toBeNull' : 'toContain'}(...$says === null ? [] : [$says]);
})->with([
    'nothing read' => [[], null],
    'one place only' => [['board' => 26.8], null],
    'fuse' => [['secondary' => 26.9, 'board' => 0.1], 'the fuse, or the leads'],
    'cable' => [['board' => 26.8, 'wall' => 0.0], 'Look between board and wall'],
    'taken in any order' => [['wall' => 0.0, 'board' => 26.8], 'Look between board and wall'],
    'dead from the start' => [['secondary' => 0.0, 'board' => 0.0], 'the transformer itself'],
    'all there' => [['secondary' => 27.0, 'board' => 26.8, 'wall' => 26.5], 'Nothing vanishes'],
    'outdoors' => [['board' => 26.8, 'wall' => 26.5, 'outdoor' => 0.0], 'a switch in its line'],
    'a ghost is not there' => [['board' => 26.8, 'wall' => 4.0], 'first vanishes'],
]);

function screened(string $code, array $changes = [], array $facts = [], array $readings = []): ?Finding
{
    $volts = array_map(
        static fn (float $v): SurveyReading => new SurveyReading('indoor.R', 'indoor.C', $v),
        $readings,
    );
    foreach (Screening::check(House::survey($changes, $facts), $volts) as $finding) {
        if ($finding->code === $code) {
            return $finding;
        }
    }

    return null;
}

it('SC03 compares R–C with what line and tap give', function (
    array $facts,
    array $readings,
    string $severity,
    string $says,
): void {
    $finding = screened('SC03', facts: $facts, readings: $readings);

    expect($finding?->severity->value)
        ->toBe($severity)
        ->and(joined(' ', [$finding->title, $finding->meaning]))
        ->toContain($says);
})->with([
    'not measured' => [[], [], 'note', 'not measured'],
    'right' => [
        ['lineVolts' => 120, 'tapVolts' => 120],
        [26.9],
        'good',
        '120 V line × 24 × 1.12 ÷ 120 V tap = 26.9 V',
    ],
    'dead' => [[], [0.3], 'stop', 'dead'],
    '208 on a 240 tap reads plausible and is right for it' => [
        ['lineVolts' => 208, 'tapVolts' => 240],
        [23.3],
        'good',
        '23.3 V',
    ],
    '240 on a 208 tap idles at 31' => [['lineVolts' => 240, 'tapVolts' => 240], [31.0], 'warning', 'too low a tap'],
    'sagging' => [['lineVolts' => 120, 'tapVolts' => 120], [22.0], 'warning', 'a load on the transformer'],
    'the last reading counts' => [[], [0.2, 26.8], 'good', '26.8'],
]);

it('SC09 offers an idle call terminal for a C screw without a conductor', function (): void {
    $finding = screened('SC09', [4 => ['near' => ['state' => 'spare']]]);

    expect($finding?->action)
        ->toContain('read R to W (2 white) instead')
        ->and($finding->conductors)
        ->toBe(['A2'])
        ->and(screened('SC09'))
        ->toBeNull();
});

it('SC10 trusts a traced odd colour and asks to trace a guessed one', function (
    string $evidence,
    string $severity,
): void {
    $finding = screened('SC10', [2 => ['colour' => 'blue', 'evidence' => $evidence]]);

    expect($finding?->severity->value)
        ->toBe($severity)
        ->and($finding->meaning)
        ->toContain('Y1 is usually yellow', 'blue is often C')
        ->and($finding->conductors)
        ->toBe(['A3']);
})->with([['traced', 'note'], ['seen', 'note'], ['colour', 'warning'], ['unknown', 'warning']]);

it('SC15 judges the link against the transformers', function (string $link, string $severity): void {
    expect(screened('SC15', facts: ['plateLink' => $link])?->severity->value)->toBe($severity);
})->with([['in', 'good'], ['none', 'good'], ['out', 'warning'], ['unknown', 'note']]);

it('says where the answers describe other equipment, or what cannot be held (SC20)', function (
    array $answers,
    ?string $severity,
    string $says,
): void {
    $house = ExampleHouse::of(House::archetype('furnace-gas-2h-1c'));
    $house = SurveyFile::read(
        [...SurveyFile::write($house), 'answers' => $answers],
        House::archetype('furnace-gas-2h-1c'),
    );
    $finding = Sc20OtherEquipment::find($house, House::shelf());

    expect($finding?->severity->value)
        ->toBe($severity)
        ->and($finding === null ? '' : joined(' ', [$finding->title, $finding->meaning, $finding->action]))
        ->toContain($says);
})->with([
    'nothing answered' => [[], null, ''],
    'not all that decides' => [['outdoor' => 'reverses', 'heatSource' => 'gas'], null, ''],
    'the same' => [
        ['outdoor' => 'cools', 'heatSource' => 'gas', 'coolStages' => '1', 'heatStages' => '2'],
        null,
        '',
    ],
    'one stage less' => [
        ['outdoor' => 'cools', 'heatSource' => 'gas', 'coolStages' => '1', 'heatStages' => '1'],
        'error',
        'worked out for "Gas furnace, two stages, with cooling, one stage"',
    ],
    'a bus that stays, which SC04 stops' => [
        ['outdoor' => 'cools', 'heatSource' => 'gas', 'coolStages' => '1', 'heatStages' => '2', 'bus' => 'yes'],
        null,
        '',
    ],
    'radiators' => [
        ['outdoor' => 'reverses', 'heatSource' => 'boiler', 'coolStages' => '1', 'valve' => 'O'],
        'stop',
        'keep to readings, photographs and the record',
    ],
]);
