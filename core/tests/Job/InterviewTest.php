<?php

declare(strict_types=1);

use Unionbit\Core\Job\Answers;
use Unionbit\Core\Job\Facts;
use Unionbit\Core\Job\File\ExampleHouse;
use Unionbit\Core\Job\File\SurveyFile;
use Unionbit\Core\Job\Interview\Assumptions;
use Unionbit\Core\Job\Interview\Interview;
use Unionbit\Core\Job\Interview\Questions;
use Unionbit\Core\Job\Interview\WantedReadings;
use Unionbit\Core\Job\Suggest\EquipmentMatch;
use Unionbit\Core\Job\Suggest\ModelDigits;
use Unionbit\Core\Job\Suggest\PlateRecognition;
use Unionbit\Core\Job\SupplyFacts;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Screening\Screening;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Tests\Support\House;

/** @param  array<string, mixed>  $answers */
function asked(array $answers, string $archetype = House::FURNACE): array
{
    $survey = SurveyFile::write(House::survey());
    foreach ($answers as $key => $value) {
        $survey = Interview::put($survey, $key, $value);
    }

    return array_column(Interview::of(SurveyFile::read($survey, House::archetype($archetype))), null, 'key');
}

it('asks what follows from the answers, and nothing else', function (
    array $answers,
    array $asks,
    array $not,
): void {
    $keys = array_keys(asked($answers));

    expect($keys)->toContain(...$asks)->and(array_intersect($not, $keys))->toBe([]);
})->with([
    'nothing known yet' => [
        [],
        ['outdoor', 'heatSource', 'supplies', 'fuseAmps', 'plateLink'],
        [
            'valve',
            'evidence',
            'coolStages',
            'compressors',
            'eGoes',
            'defrostW',
            'zoneValve',
            'fanCoil',
            'secondPhase',
            'display',
            'outdoorTons',
        ],
    ],
    'cooling only' => [
        ['outdoor' => 'cools'],
        ['coolStages', 'bus', 'floats', 'outdoorScrews', 'indoorPlate'],
        ['valve', 'evidence', 'defrostW'],
    ],
    'a heat pump' => [
        ['outdoor' => 'reverses'],
        ['evidence', 'valve', 'coolStages'],
        ['compressors', 'eGoes', 'fanCentre'],
    ],
    'with strips' => [
        ['outdoor' => 'reverses', 'heatSource' => 'electric'],
        ['eGoes', 'heatStages', 'defrostW', 'fanJumper'],
        ['fanCoil', 'zoneValve'],
    ],
    'two stages' => [['outdoor' => 'reverses', 'coolStages' => '2'], ['compressors'], []],
    'a boiler' => [['heatSource' => 'boiler'], ['zoneValve'], ['heatStages', 'fanJumper', 'fanCoil']],
    'a water coil' => [['heatSource' => 'coil'], ['fanCoil'], ['zoneValve']],
    'two supplies' => [['supplies' => '2'], ['secondBonded', 'secondPhase'], []],
    'batteries' => [['oldPower' => 'battery'], ['display'], []],
    'gas and cooling' => [['outdoor' => 'cools', 'heatSource' => 'gas'], ['fanCentre'], ['eGoes']],
]);

it('knows every archetype of the catalogue again by its answers, and says from what', function (string $id): void {
    $match = EquipmentMatch::of(EquipmentMatch::answersOf(House::shelf(), $id), House::shelf(), $id);

    expect($match->id)->toBe($id)->and($match->why())->not->toBe([])->and($match->open)->toBe([]);
})->with(House::ids('equipment'));

it('says what still decides the equipment, and admits what the catalogue lacks', function (
    array $answers,
    array $open,
    ?string $says,
): void {
    $match = EquipmentMatch::of(new Answers($answers), House::shelf());

    expect($match->id)
        ->toBeNull()
        ->and($match->open)
        ->toBe($open)
        ->and(joined('; ', $match->why()))
        ->toContain($says ?? '');
})->with([
    [[], ['outdoor', 'heatSource'], null],
    [['outdoor' => 'reverses', 'heatSource' => 'electric'], ['coolStages', 'valve', 'heatStages'], null],
    'radiators' => [
        ['outdoor' => 'reverses', 'coolStages' => '1', 'valve' => 'O', 'heatSource' => 'boiler'],
        [],
        'each needs its own thermostat; it cannot be planned or proved here',
    ],
    'nothing' => [
        ['outdoor' => 'none', 'heatSource' => 'none'],
        [],
        'no unit of the catalog is what the answers say',
    ],
]);

it('keeps an answer where the circuit reads it, reads it back, and takes it back', function (
    string $key,
    mixed $value,
    mixed $read,
    string $said,
): void {
    $survey = Interview::put(SurveyFile::write(House::survey()), $key, $value);
    $house = SurveyFile::read(json_decode((string) json_encode($survey), true), House::archetype());

    expect(Interview::answer($house, $key))
        ->toBe($read)
        ->and(Questions::named($key)?->said(Interview::answer($house, $key)))
        ->toBe($said)
        ->and(Interview::answer(SurveyFile::read(Interview::put($survey, $key, null), House::archetype()), $key))
        ->toBeNull();
})->with([
    ['lineVolts', 121.5, 121.5, '121.5 V'],
    ['fuseAmps', 3, 3.0, '3 A'],
    ['commonBonded', 'no', 'no', 'No'],
    ['plateLink', 'out', 'out', 'Link out'],
    ['oldPower', 'common', 'common', 'R and C'],
    ['secondPhase', 'out', 'out', 'Out of phase'],
    ['wire', 'stranded', 'stranded', 'Stranded'],
    ['outdoor', 'reverses', 'reverses', 'It is a heat pump'],
    [
        'evidence',
        ['valve', 'plate'],
        ['valve', 'plate'],
        'reversing valve and accumulator and its nameplate says so',
    ],
    ['fuseMarked', 5, 5.0, '5 A'],
    ['history', 'new board in spring', 'new board in spring', 'new board in spring'],
]);

it('refuses an answer with its place, its value and what is allowed', function (
    string $key,
    mixed $value,
    string $says,
): void {
    expect(fn () => Interview::put(SurveyFile::write(House::survey()), $key, $value))->toThrow(refusing($says));
})->with([
    ['colour', 'red', '/key: is "colour"; allowed: outdoor'],
    ['outdoor', 'melts', '/outdoor: is "melts"; allowed: none, cools, reverses'],
    ['lineVolts', 12, 'a number from 90 V to 300 V'],
    ['lineVolts', 'high', '/lineVolts'],
    ['evidence', ['hearsay'], '/evidence: is "hearsay"'],
    ['history', str_repeat('x', 10_000), 'is 10000 characters long; allowed: at most 500'],
]);

it('suggests from the letters of a plate, with the letters and what to check', function (
    array $letters,
    string $title,
    string $because,
    array $answers,
): void {
    $found = array_column(said(PlateRecognition::suggest($letters)), null, 'title');

    expect($found)
        ->toHaveKey($title)
        ->and($found[$title]['because'])
        ->toBe($because)
        ->and($found[$title]['answers'])
        ->toBe($answers)
        ->and($found[$title]['check'])
        ->not->toBe('');
})->with([
    [['R', 'Y', 'G', 'W', 'O', 'C'], 'Likely a heat pump', 'O', ['outdoor' => 'reverses', 'valve' => 'O']],
    [['R', 'Y', 'G', 'B', 'C'], 'B: a reversing valve energized in heating, or the common', 'B', []],
    [
        ['R', 'Y', 'G', 'O', 'B'],
        'A plate for either valve: O and B side by side',
        'O, B',
        ['outdoor' => 'reverses'],
    ],
    [['R', 'Y', 'Y2', 'G', 'O', 'W2', 'C'], 'Two compressor stages', 'Y2', ['coolStages' => '2']],
    [['R', 'W'], 'Heat only: furnace, boiler or zone valve', 'W', ['outdoor' => 'none']],
    [['R', 'W', 'Y'], 'Heating and cooling without a fan conductor', 'W, Y', ['outdoor' => 'cools']],
    [['R', 'Y', 'G', 'C'], 'Cooling only, or a heat pump without backup', 'Y', []],
    [
        ['R', 'W', 'W2', 'Y', 'Y2', 'G', 'C'],
        'Two stages of heating and of cooling',
        'Y2, W2',
        ['coolStages' => '2', 'heatStages' => '2'],
    ],
    [
        ['Rc', 'Rh', 'W', 'Y', 'G'],
        'A conductor on Rc and one on Rh: two transformers, or a link taken for a conductor',
        'Rc, Rh',
        ['supplies' => '2'],
    ],
    [
        ['R', 'Y', 'G', 'O', 'E', 'Aux'],
        'Auxiliary or emergency heat: a heat pump with strips or a furnace behind it',
        'Aux, E',
        ['outdoor' => 'reverses'],
    ],
    [
        ['R', 'W', 'Y', 'G'],
        'No C: it ran on batteries, by a mechanical switch, or through an idle load',
        'R, W, Y, G',
        [],
    ],
    [['D+', 'D-', 'R', 'C'], 'Letters of a data bus: a communicating system', 'D+, D-', []],
]);

it(
    'gives no suggestion where there are no letters, and none of its answers is one nobody could give',
    function (): void {
        expect(PlateRecognition::suggest([]))->toBe([]);
        foreach (House::ids('equipment') as $id) {
            $letters = array_map(
                static fn ($c): string => (string) $c->near->terminal,
                ExampleHouse::of(House::archetype($id))->wallCable()->conductors ?? [],
            );
            foreach (PlateRecognition::suggest($letters) as $suggestion) {
                foreach ($suggestion['answers'] as $key => $value) {
                    expect(Questions::named($key)?->choices)->toHaveKey($value);
                }
            }
        }
    },
);

it('reads capacity from the digits of a model number only where they are a nominal size', function (
    string $model,
    array $tons,
): void {
    expect(array_column(ModelDigits::suggest($model), 'tons'))->toBe($tons);
})->with([
    ['AB036C12', [3.0]],
    ['XH24-1', [2.0]],
    ['QQ-060-B', [5.0]],
    ['7731', []],
    ['', []],
    ['A18B030', [1.5, 2.5]],
]);

it('lists what a plan from an unfinished survey assumes, and nothing once all is known', function (): void {
    $open = Assumptions::of(House::survey([2 => ['evidence' => 'colour']]), false);
    $known = Assumptions::of(
        SurveyFile::read(
            array_replace_recursive(SurveyFile::write(House::survey()), [
                'facts' => ['lineVolts' => 120, 'tapVolts' => 120, 'transformerVa' => 40, 'fuseAmps' => 3],
                'answers' => ['floats' => 'none'],
            ]),
            House::archetype(),
        ),
        true,
    );

    expect(joined('; ', $open))
        ->toContain(
            'nobody has said what the equipment is',
            '3 yellow goes from Y to Y: color only',
            'the line is 120 V: not measured',
            'the transformer gives 40 VA',
            'the fuse is 3 A',
            'R–C is there at the board',
        )
        ->and(joined('; ', $known))
        ->toStartWith('nobody has said what the equipment is: Gas furnace')
        ->and($known)
        ->toHaveCount(1);
});

it('says of a house with an overflow switch what decides which calls fill its pan', function (
    array $answers,
    array $says,
): void {
    $house = SurveyFile::read(
        array_replace_recursive(SurveyFile::write(House::example('furnace-gas-2h-2c')->installation), [
            'facts' => ['safety' => [['id' => 'float', 'label' => '', 'breaks' => ['Y1'], 'relay' => false]]],
            'answers' => ['floats' => 'some', ...$answers],
        ]),
        House::archetype('furnace-gas-2h-2c'),
    );
    $told = joined('; ', Assumptions::of($house, true));
    foreach (['whether it condenses', 'one compressor or two'] as $words) {
        expect(str_contains($told, $words))->toBe(in_array($words, $says, true), $words);
    }
})->with([
    'neither answered' => [[], ['whether it condenses', 'one compressor or two']],
    'condensing answered' => [['condensing' => 'yes'], ['one compressor or two']],
    'both answered' => [['condensing' => 'no', 'compressors' => 'two'], []],
]);

it('wants the readings that this house has, with a stand-in where there is no C', function (): void {
    $with = array_column(said(WantedReadings::of(House::survey())), 'why', 'label');
    $without = array_column(
        said(WantedReadings::of(House::survey([4 => ['near' => ['state' => 'spare']]]))),
        'why',
        'label',
    );

    expect(array_keys($with))
        ->toBe([
            'R–C at the board',
            'Transformer secondary',
            'R–C at the wall',
            'R–W at the wall',
            'R–Y at the wall',
            'R–G at the wall',
        ])
        ->and($without)
        ->not->toHaveKey('R–C at the wall')
        ->and($without['R–W at the wall'])
        ->toContain('stands in for it');
});

it(
    'gives a board whose E is tied to W inside that E, in the circuit too, and puts letters under what is printed',
    function (): void {
        $archetype = House::archetype('heat-pump-o-2c-1aux');
        $survey = [
            'archetype' => $archetype->id,
            'answers' => ['eGoes' => 'tied', 'outdoor' => 'reverses'],
            'cables' => [
                [
                    'id' => 'A',
                    'from' => 'wall',
                    'to' => 'indoor',
                    'gauge' => 18,
                    'feet' => 40,
                    'conductors' => [
                        House::conductor(1, 'brown', 'E', 'E'),
                        House::conductor(2, 'yellow', 'Y', 'Y'),
                        House::conductor(3, 'white', 'Aux', 'W1'),
                        House::conductor(4, 'black', 'L', 'L'),
                    ],
                ],
            ],
        ];
        $house = SurveyFile::read($survey, $archetype);
        $ends = array_map(
            static fn ($c): string => $house->pointOf(Place::Indoor, (string) $c->far->terminal),
            $house->wallConductors(),
        );

        expect($house->archetype->printedAt(Place::Indoor))
            ->toContain('E')
            ->and($house->archetype->ties[0]->b)
            ->toBe('W')
            ->and($ends)
            ->toBe(['indoor.E', 'indoor.Y1', 'indoor.W', 'indoor.L'])
            ->and(
                array_values(
                    array_filter(Screening::check($house, []), static fn (Finding $f): bool => $f->code === 'SC12'),
                )[0]->title,
            )
            ->toContain('is on L of the indoor board, which this equipment does not have')
            ->and(
                SurveyFile::read([...$survey, 'answers' => ['eGoes' => 'none']], $archetype)->archetype->printedAt(
                    Place::Indoor,
                ),
            )
            ->not->toContain('E');
    },
);

it('asks each of two units for itself, and one answer changes one unit', function (): void {
    $key = 'furnace-and-attic-air-handler-1c';
    $survey = SurveyFile::write(ExampleHouse::of(House::archetype($key)));
    foreach (EquipmentMatch::answersOf(House::shelf(), $key)->given as $question => $value) {
        $survey = Interview::put($survey, (string) $question, $value);
    }
    $read = static fn (array $from, string $archetype): Unionbit\Core\Job\Installation => SurveyFile::read(
        $from,
        House::archetype($archetype),
    );
    $asked = array_column(Interview::of($read($survey, $key)), 'text', 'key');
    $answered = Interview::put(
        Interview::put($survey, 'inputs@furnace', 'electronic'),
        'humidifier@furnace',
        'board',
    );
    $match = EquipmentMatch::of($read($answered, $key)->answers, House::shelf(), $key);

    expect(array_keys($asked))
        ->toContain('inputs@furnace', 'inputs@air-handler', 'motor@air-handler', 'control')
        ->not->toContain('inputs', 'motor')
        ->and(said($asked['motor@air-handler']))
        ->toBe('Indoor motor?: Air handler')
        ->and($match->id)
        ->toBe('furnace:inputs=electronic,humidifier=driven+air-handler@indoor-2+condenser');
});

it('keeps the figures of a supply with the supply, whatever else comes', function (): void {
    $facts = (new Facts(transformerVa: 75.0, tapVolts: 208.0))->carried(
        House::archetype('furnace-gas-1h-1c')->transformers,
        House::archetype('zone-panel-gas-1h-1c')->transformers,
    );
    $two = new Facts(transformerVa: 40.0, further: ['T2' => new SupplyFacts(transformerVa: 20.0)]);
    $humidifier = House::archetype('furnace+condenser+humidifier')->transformers;
    $attic = House::archetype('furnace+air-handler@indoor-2+condenser+humidifier')->transformers;
    $carried = $two->carried($humidifier, $attic);

    expect([
        $facts->transformerVa,
        $facts->further['T2']->transformerVa ?? null,
        $facts->further['T2']->tapVolts ?? null,
    ])
        ->toBe([null, 75.0, 208.0])
        ->and([
            $carried->transformerVa,
            array_map(static fn (SupplyFacts $f): ?float => $f->transformerVa, $carried->further),
        ])
        ->toBe([40.0, ['T3' => 20.0]])
        ->and($carried->carried($attic, $humidifier))
        ->toEqual($two);
});
