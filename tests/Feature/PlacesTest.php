<?php

declare(strict_types=1);

use App\House\House;
use App\Models\Job;
use App\Survey\SurveyPage;
use Unionbit\Core\Planning\Plan\LetterToLetter;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Proof\Simulation;

/** @return array<string, array<string, mixed>> the places of a job's survey page, by place */
function placesOf(Job $job): array
{
    return array_column(said(SurveyPage::props($job->refresh()))['map']['places'], null, 'place');
}

it(
    'holds a furnace in the basement and an air handler in the attic, from the answers to the proof',
    function (): void {
        $job = Job::factory()->create();
        installer($job);
        foreach (
            [
                'outdoor' => 'cools',
                'coolStages' => '1',
                'heatSource' => 'gas',
                'heatStages' => '1',
                'coolAir' => 'own',
            ] as $key => $value
        ) {
            editSurvey($job, 'answer', ['key' => $key, 'value' => $value])->assertOk();
        }
        $match = said(SurveyPage::props($job->refresh()))['match'];
        expect($match['id'])->toBe('furnace-and-attic-air-handler-1c');
        editSurvey($job, 'set-archetype', ['archetype' => $match['id']])->assertOk();
        editSurvey($job, 'name-place', ['place' => 'indoor-2', 'name' => 'Attic air handler'])->assertOk();
        editSurvey($job, 'remove-cable', ['cable' => 'B'])->assertOk();
        editSurvey($job, 'add-cable', [
            'line' => 'second wall cable 18/4 to the attic air handler, 36 ft',
        ])->assertOk();
        editSurvey($job, 'add-cable', ['line' => '18/2 attic air handler > outdoor unit 41 ft'])->assertOk();

        $places = placesOf($job);
        expect(array_keys($places))
            ->toBe(['wall', 'indoor', 'indoor-2', 'outdoor'])
            ->and($places['indoor-2'])
            ->toMatchArray([
                'name' => 'Attic air handler',
                'units' => ['Air handler'],
                'supplies' => ['T2 40 VA, fuse 5 A'],
            ])
            ->and($places['indoor']['supplies'])
            ->toBe(['T1 40 VA, fuse 3 A']);

        $lines = [
            'A' => ['red R>R !', 'white W>W !', 'green - > - spare', 'yellow - > - spare', 'blue - > - spare'],
            'B' => ['red R>R !', 'white Y>Y !', 'green G>G !', 'yellow C>C !'],
            'C' => ['red Y>Y !', 'white C>C !'],
        ];
        foreach ($lines as $cable => $conductors) {
            foreach ($conductors as $index => $line) {
                editSurvey($job, 'change-conductor', [
                    'cable' => $cable,
                    'number' => $index + 1,
                    'line' => $line,
                ])->assertOk();
            }
        }
        $house = House::of($job->refresh())->installation;
        $profile = app(App\House\Catalog::class)->profile('c-powered-3h-2c');
        $plan = new Plan($house, $profile, LetterToLetter::landing($house, $profile));
        expect(
            array_map(
                static fn ($end): ?string => $end->terminal,
                array_filter($plan->landing->wall, static fn ($end): bool => $end->isLanded()),
            ),
        )
            ->toBe(['A1' => 'Rh', 'A2' => 'W1', 'B1' => 'Rc', 'B2' => 'Y1', 'B3' => 'G', 'B4' => 'C'])
            ->and(array_filter(Simulation::prove($plan), static fn ($p): bool => ! $p->isProved()))
            ->toBe([]);
        $this->get("/jobs/{$job->id}/plan")->assertOk();

        // The furnace's own common gives the thermostat nothing: it is landed neither by letter nor without a word.
        $wrong = $plan->landed($plan->landing->onWall('B4', Unionbit\Core\Wiring\End::free()));
        expect(array_filter(Simulation::prove($wrong), static fn ($p): bool => $p->isProved()))->toBe([]);
    },
);

it('adds a place with its unit, moves one of the house, and takes both out again', function (): void {
    $job = Job::factory()->create();
    installer($job);
    editSurvey($job, 'add-place', [
        'place' => 'zone-panel',
        'unit' => 'zone-panel',
        'name' => 'Panel in the closet',
    ])->assertOk();
    $house = House::of($job->refresh())->installation;
    expect($house->archetype->id)
        ->toBe('zone-panel+furnace+condenser:pressure=no')
        ->and($house->archetype->boards[0]->value)
        ->toBe('zone-panel')
        ->and(placesOf($job)['zone-panel']['units'])
        ->toBe(['Zone panel']);
    // Another answer keeps what was added.
    editSurvey($job, 'answer', ['key' => 'heatStages', 'value' => '2'])->assertOk();
    foreach (['outdoor' => 'cools', 'coolStages' => '1', 'heatSource' => 'gas'] as $key => $value) {
        editSurvey($job, 'answer', ['key' => $key, 'value' => $value])->assertOk();
    }
    expect(said(SurveyPage::props($job->refresh()))['match']['id'])->toBe('zone-panel+furnace:stages=2+condenser');

    editSurvey($job, 'remove-place', ['place' => 'zone-panel'])->assertOk();
    expect(House::of($job->refresh())->installation->archetype->id)
        ->toBe('furnace-gas-1h-1c')
        ->and(placesOf($job))
        ->not->toHaveKey('zone-panel');

    editSurvey($job, 'add-place', ['place' => 'boiler', 'name' => ''])->assertOk();
    expect(placesOf($job)['boiler'])->toMatchArray(['name' => '', 'units' => []]);
    editSurvey($job, 'add-cable', ['line' => '18/2 to the boiler'])->assertOk();
    $refused = editSurvey($job, 'remove-place', ['place' => 'boiler'])->assertUnprocessable();
    expect($refused->json('errors.place.0'))->toContain('Cable C ends at the boiler');
});

it('adds a supply by one line: its figures where it stands, with its unit where none does', function (): void {
    $job = Job::factory()->create();
    installer($job);
    foreach (
        ['outdoor' => 'cools', 'coolStages' => '1', 'heatSource' => 'gas', 'heatStages' => '1'] as $key => $value
    ) {
        editSurvey($job, 'answer', ['key' => $key, 'value' => $value])->assertOk();
    }
    editSurvey($job, 'add-supply', ['line' => '40 VA at the humidifier, tap 208, line 240'])->assertOk();
    editSurvey($job, 'add-supply', ['line' => '75 VA basement, 5 A'])->assertOk();
    $house = House::of($job->refresh())->installation;
    [$first, $second] = $house->transformers();
    $said = array_column(said(SurveyPage::props($job))['questions'], 'said', 'key');

    expect([$first->ratingVa, $first->fuseAmps, $house->facts->transformerVa])
        ->toBe([75.0, 5.0, 75.0])
        ->and([$second->place()->value, $second->ratingVa, $second->fuseAmps])
        ->toBe(['humidifier', 40.0, null])
        ->and($second->idle())
        ->toEqualWithDelta((24.0 * 1.12 * 240.0) / 208.0, 0.01)
        ->and($said)
        ->toMatchArray(['tapVolts@T2' => '208 V', 'fuseAmps@T2' => null, 'transformerVa' => '75 VA'])
        ->and(said(SurveyPage::props($job))['assumes'])
        ->not->toContain('T2: the line is 240 V: not measured')
        ->and(placesOf($job)['humidifier']['units'])
        ->toBe(['Humidifier on its own supply']);

    // Taken back, the default stands again and is said.
    editSurvey($job, 'answer', ['key' => 'tapVolts@T2', 'value' => null])->assertOk();
    expect(House::of($job->refresh())->installation->transformers()[1]->tapVolts)
        ->toBe(120.0)
        ->and(said(SurveyPage::props($job))['assumes'])
        ->toContain('T2: the 120 V tap is in use: not looked at');
});

it('holds by its answers what the design asks for: humidity, load shedding, what is not served', function (
    array $answers,
    ?string $equipment,
    ?string $code,
    bool $stops,
): void {
    $job = Job::factory()->create();
    installer($job);
    foreach ($answers as $key => $value) {
        editSurvey($job, 'answer', ['key' => $key, 'value' => $value])->assertOk();
    }
    $page = said(SurveyPage::props($job->refresh()));
    expect($page['match']['id'])->toBe($equipment);
    if ($code !== null) {
        expect(array_column($page['findings'], 'severity', 'code')[$code] ?? null)->toBe($stops ? 'stop' : 'note');
    }
    $choose = $this->postJson("/jobs/{$job->id}/plan-edits", [
        'id' => newId(),
        'version' => $job->version,
        'op' => 'choose',
        'profile' => 'c-powered-humidity',
    ]);
    expect($choose->status() === 200)->toBe(! $stops);
    if ($equipment !== null) {
        $archetype = app(App\House\Catalog::class)->archetype($equipment);
        $house = Unionbit\Core\Job\File\ExampleHouse::of($archetype);
        $house = Unionbit\Core\Job\File\SurveyFile::read(
            [...Unionbit\Core\Job\File\SurveyFile::write($house), 'answers' => $job->survey['answers']],
            $archetype,
        );
        $profile = app(App\House\Catalog::class)->profile('c-powered-humidity');
        $plan = new Plan($house, $profile, LetterToLetter::landing($house, $profile));
        expect(array_filter(Simulation::prove($plan), static fn ($p): bool => ! $p->isProved()))->toBe([]);
    }
})->with(function (): iterable {
    $gas = [
        'outdoor' => 'cools',
        'coolStages' => '1',
        'heatSource' => 'gas',
        'heatStages' => '1',
        'pressure' => 'yes',
    ];
    yield '13: HUM and a DEH that opens' => [
        [...$gas, 'humidifier' => 'board', 'dehumidify' => 'opens'],
        'furnace-gas-1h-1c-dehumidify-opens',
        null,
        false,
    ];
    yield '14: load shedding' => [[...$gas, 'shedding' => 'shed'], 'furnace+condenser', null, false];
    yield '18: three phases' => [[...$gas, 'phases' => 'three'], 'furnace+condenser', 'SC21', false];
    yield '18: ductless' => [['outdoor' => 'ductless', 'heatSource' => 'none'], null, 'SC21', true];
    yield '18: baseboard' => [['outdoor' => 'none', 'heatSource' => 'line'], null, 'SC21', true];
});

it('refuses what no house has, at its place, and changes nothing', function (
    array $edit,
    string $field,
    string $says,
): void {
    $job = Job::factory()->create();
    installer($job);
    $before = $job->refresh()->survey;
    [$op, $fields] = $edit;

    expect(
        editSurvey($job, $op, $fields)
            ->assertUnprocessable()
            ->json("errors.{$field}.0"),
    )
        ->toContain($says)
        ->and($job->refresh()->survey)
        ->toBe($before);
})->with([
    'a supply where nothing brings one' => [
        ['add-supply', ['line' => '40 VA at the ventilator']],
        'line',
        'No supply stands at the ventilator',
    ],
    [['add-cable', ['line' => '18/5 to the moon']], 'line', 'Say where it goes: wall'],
    [['add-cable', ['line' => '17/5 outdoor']], 'line', 'no gauge 17'],
    [['remove-cable', ['cable' => 'A']], 'cable', 'the only one at the wall'],
    [['add-place', ['place' => 'boiler', 'unit' => 'zone-valve']], 'unit', 'two heat sources'],
    [['add-place', ['place' => 'cellar']], 'place', 'none of those'],
    [['add-place', ['place' => 'boiler', 'unit' => 'stove']], 'unit', 'no unit stove'],
]);
