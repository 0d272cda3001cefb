<?php

declare(strict_types=1);

use App\Models\Job;
use App\Models\Record\Reading;

function reading(Job $job, array $fields): Illuminate\Testing\TestResponse
{
    return test()->postJson("/jobs/{$job->id}/readings", [
        ...[
            'id' => newId(),
            'stage' => 'survey',
            'mode' => 'V',
            'a' => 'indoor.R',
            'b' => 'indoor.C',
            'value' => '26.9',
        ],
        ...$fields,
    ]);
}

function runStep(Job $job, string $step, string $event): Illuminate\Testing\TestResponse
{
    return test()->postJson("/jobs/{$job->id}/steps", ['id' => newId(), 'step' => $step, 'event' => $event]);
}

it('keeps a reading with its expectation, once however often it is sent, and never changes it', function (): void {
    $job = Job::factory()->create();
    installer($job);
    $body = [
        'id' => newId(),
        'stage' => 'survey',
        'mode' => 'V',
        'a' => 'indoor.R',
        'b' => 'indoor.C',
        'value' => '26,9',
    ];

    $this->postJson("/jobs/{$job->id}/readings", $body)
        ->assertCreated()
        ->assertJson(['value' => 26.9, 'outcome' => 'pass']);
    $this->postJson("/jobs/{$job->id}/readings", [...$body, 'value' => '11'])
        ->assertCreated()
        ->assertJson(['value' => 26.9]);
    $row = Reading::query()->sole();
    expect($row->expected['reason'])
        ->toContain('Full transformer voltage')
        ->and(fn () => $row->update(['value' => 1.0]))
        ->toThrow(LogicException::class)
        ->and(fn () => $row->delete())
        ->toThrow(LogicException::class);
});

it('takes a correction as a new row that points at the old', function (): void {
    $job = Job::factory()->create();
    installer($job);
    $first = reading($job, ['value' => '2.7'])
        ->assertCreated()
        ->json('id');

    reading($job, ['value' => '27.0', 'corrects' => $first])
        ->assertCreated()
        ->assertJson(['corrects' => $first, 'outcome' => 'pass']);
    expect($job->readings()->count())->toBe(2);
    $this->get("/jobs/{$job->id}/survey")->assertInertia(
        fn ($page) => $page->where('findings.0.code', 'SC03')->where('findings.0.severity', 'good'),
    );
});

it('refuses what no meter shows, naming value and range', function (
    array $fields,
    string $field,
    string $says,
): void {
    $job = Job::factory()->create();
    installer($job);

    expect(
        reading($job, $fields)
            ->assertUnprocessable()
            ->json("errors.{$field}.0"),
    )->toContain($says);
    expect(Reading::query()->count())->toBe(0);
})->with([
    'words' => [['value' => 'abc'], 'value', '"abc" is no reading. Use a number from 0 to 600 V'],
    'negative' => [['value' => '-5'], 'value', '-5 V is not possible'],
    'too much' => [['value' => '26000'], 'value', 'out of range'],
    'OL in volts' => [['value' => 'OL'], 'value', 'OL is no reading in V'],
    'ohms live' => [['mode' => 'O', 'value' => '14'], 'value', 'power off'],
    'no such point' => [['a' => 'wall.Q'], 'a', 'no point wall.Q'],
    'the middle of a cable' => [['a' => 'A1.mid'], 'a', 'no point A1.mid'],
]);

it('asks for the dead reading and the proof of the meter', function (
    array $fields,
    string $field,
    string $says,
): void {
    $job = Job::factory()->create();
    installer($job);

    expect(
        $this->postJson("/jobs/{$job->id}/power", ['id' => newId(), ...$fields])
            ->assertUnprocessable()
            ->json("errors.{$field}.0"),
    )->toContain($says);
    expect($job->powerEvents()->count())->toBe(0);
})->with([
    'no reading' => [['state' => 'isolated', 'meter_proved' => true], 'volts', 'dead reading'],
    'not dead' => [['state' => 'isolated', 'volts' => '24', 'meter_proved' => true], 'volts', '24.0 V is not dead'],
    'meter not proved' => [['state' => 'isolated', 'volts' => '0'], 'meter_proved', 'Prove the meter'],
    'not live' => [['state' => 'live', 'volts' => '3'], 'volts', '3.0 V is not live'],
    'line voltage' => [['state' => 'live', 'volts' => '120'], 'volts', 'licensed person'],
    'nonsense' => [['state' => 'live', 'volts' => 'x'], 'volts', '"x" is no reading'],
]);

it('lets "proved dead" lapse after thirty minutes', function (): void {
    $job = Job::factory()->planned()->create();
    installer($job);
    skipPhotos($job);
    raiseFlag($job, 'isolated', '0.0');
    $move = fn () => $this->postJson("/jobs/{$job->id}/moves", [
        'id' => newId(),
        'move' => 'link:in',
        'done' => true,
    ]);

    $move()->assertCreated();
    $this->travel(31)->minutes();
    expect($move()->assertUnprocessable()->json('errors.power.0'))->toContain('lapsed');
});

it('moves no conductor while the flag says live', function (): void {
    $job = Job::factory()->planned()->create();
    installer($job);
    raiseFlag($job, 'live', '26.5');

    expect(
        $this->postJson("/jobs/{$job->id}/moves", ['id' => newId(), 'move' => 'link:in', 'done' => true])
            ->assertUnprocessable()
            ->json('errors.power.0'),
    )->toContain('the power flag says LIVE');
    $this->postJson("/jobs/{$job->id}/moves", ['id' => newId(), 'move' => 'A9:Q', 'done' => true])
        ->assertUnprocessable()
        ->assertJsonValidationErrorFor('move');
});

it('gates a proving step by the power flag and by the step before', function (): void {
    $job = Job::factory()->planned()->create();
    installer($job);
    raiseFlag($job, 'live', '26.5');

    expect(runStep($job, 'fan.jumper', 'start')->assertUnprocessable()->json('errors.power.0'))->toContain(
        'the power flag says LIVE. Isolate first',
    );
    reading($job, ['stage' => 'prove', 'step' => 'fan.jumper', 'a' => 'indoor.G'])
        ->assertUnprocessable()
        ->assertJsonValidationErrorFor('step');
    raiseFlag($job, 'isolated', '0');
    runStep($job, 'fan.jumper', 'start')->assertCreated();
    expect(
        reading($job, ['stage' => 'prove', 'step' => 'fan.jumper', 'a' => 'indoor.G', 'value' => '26'])
            ->assertUnprocessable()
            ->json('errors.power.0'),
    )->toContain('ISOLATED');
    raiseFlag($job, 'live', '26.4');
    runStep($job, 'cool-1.voltage', 'start')->assertUnprocessable()->assertJsonValidationErrorFor('step');
    runStep($job, 'fan.jumper', 'end')->assertUnprocessable()->assertJsonValidationErrorFor('power');
    runStep($job, 'heat-9.jumper', 'start')->assertUnprocessable()->assertJsonValidationErrorFor('step');
});

it('judges cooling: too early, then the open switch, then the call', function (): void {
    $job = Job::factory()->planned()->create();
    installer($job);
    raiseFlag($job, 'live', '26.5');
    runStep($job, 'cool-1.voltage', 'start')->assertCreated();
    $measure = fn (string $value) => reading($job, [
        'stage' => 'prove',
        'step' => 'cool-1.voltage',
        'a' => 'wall.Rc',
        'b' => 'wall.Y1',
        'value' => $value,
    ])->assertCreated();

    expect($measure('24')->json('outcome'))->toBe('too-early');
    $this->travel(301)->seconds();
    expect($measure('24')->json('reason'))->toContain(
        'the thermostat\'s Y1 switch is open',
        'The full voltage is across',
    );
    expect($measure('0.0')->json('outcome'))->toBe('pass');
    $sign = fn (bool $seen) => $this->postJson("/jobs/{$job->id}/signs", [
        'id' => newId(),
        'step' => 'cool-1.voltage',
        'sign' => 'outdoor-unit',
        'seen' => $seen,
    ])->assertCreated();
    expect($sign(false)->json())
        ->toMatchArray(['outcome' => 'fail'])
        ->and($sign(false)->json('reason'))
        ->toContain('contactor pulled in at')
        ->and($sign(true)->json('outcome'))
        ->toBe('pass');
});

it('enters settings as a history and shows a wrong one in the call table', function (): void {
    $job = Job::factory()->planned()->create();
    installer($job);
    $enter = fn (string $value) => $this->postJson("/jobs/{$job->id}/settings", [
        'id' => newId(),
        'key' => 'fan-in-heat',
        'value' => $value,
    ]);

    $enter('thermostat')->assertCreated();
    $this->get("/jobs/{$job->id}/set")->assertInertia(
        fn ($page) => $page
            ->where(
                'findings.0.title',
                'Fan in heat is set to "The thermostat runs it", should be "The equipment runs it"',
            )
            ->where('table.rows.3.cells.4', ['closed' => true, 'needed' => false]),
    );
    $enter('equipment')->assertCreated();
    expect($enter('sideways')->assertUnprocessable()->json('errors.value.0'))->toContain(
        'cannot be sideways',
        'none, equipment and thermostat',
    );
    expect($job->settingEntries()->pluck('old_value', 'value')->all())->toBe([
        'thermostat' => null,
        'equipment' => 'thermostat',
    ]);
    $this->get("/jobs/{$job->id}/set")->assertInertia(fn ($page) => $page->where('findings', []));
});

it('hands over only a job with every line done', function (): void {
    $job = Job::factory()->planned()->create();
    installer($job);

    expect(
        $this->postJson("/jobs/{$job->id}/handover")
            ->assertUnprocessable()
            ->json('errors.handover.0'),
    )->toContain('Every call proved');
    expect($job->refresh()->handed_over_at)->toBeNull();
});

it('shows beside the flag what was read since it was raised, as long as it stands', function (): void {
    $job = houseToProve();
    $read = fn (): ?array => $this->get("/jobs/{$job->id}/survey")->inertiaProps('power.read');
    $post = fn (string $a, string $value, ?string $corrects = null): string => $this->postJson(
        "/jobs/{$job->id}/readings",
        [
            'id' => newId(),
            'stage' => 'survey',
            'mode' => 'V',
            'a' => $a,
            'b' => 'indoor.C',
            'value' => $value,
            'corrects' => $corrects,
        ],
    )
        ->assertCreated()
        ->json('id');
    expect($read())->toBeNull();
    $post('indoor.G', '0.1');
    expect($read())->toBeNull();
    $first = $post('indoor.R', '27.1');
    expect($read()['volts'])->toBe(27.1);
    $post('indoor.R', '26.1', $first);
    expect($read()['volts'])->toBe(26.1);
    raiseFlag($job, 'isolated', '0.0');
    expect($read())->toBeNull();
});
