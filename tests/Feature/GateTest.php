<?php

declare(strict_types=1);

use App\Models\Job;
use App\Models\Record\PowerEvent;
use App\Records\Live\BeforeLive;
use App\Records\Power\PowerFlag;
use Illuminate\Support\Facades\DB;

/** @param  array<string, mixed>  $fields */
function power(Job $job, array $fields): Illuminate\Testing\TestResponse
{
    return test()->postJson("/jobs/{$job->id}/power", ['id' => newId(), ...$fields]);
}

it('proves each of two supplies dead by its own reading, and makes each live by its own', function (): void {
    $job = landedHouse('boiler-zone-valve-1c', 'c-or-battery-2h-2c');
    expect(PowerFlag::of($job)->isLive())->toBeTrue();
    $one = power($job, ['state' => 'isolated', 'volts' => '0.0', 'meter_proved' => true])
        ->assertUnprocessable()
        ->json('errors');
    expect($one)
        ->toHaveKeys(['supplies.T1', 'supplies.T2'])
        ->and($one['supplies.T2'][0])
        ->toStartWith('The supply of RH: ');
    $half = power($job, ['state' => 'isolated', 'supplies' => ['T1' => '0.0'], 'meter_proved' => true])
        ->assertUnprocessable()
        ->json('errors');
    expect($half)->toHaveKey('supplies.T2')->not->toHaveKey('supplies.T1');
    expect(
        power($job, ['state' => 'isolated', 'supplies' => ['T1' => '0.0', 'T2' => '24.0'], 'meter_proved' => true])
            ->assertUnprocessable()
            ->json('errors')['supplies.T2'][0],
    )
        ->toContain('24.0 V is not dead')
        ->and(PowerFlag::of($job)->isLive())
        ->toBeTrue();
    power($job, [
        'state' => 'isolated',
        'supplies' => ['T1' => '0,0', 'T2' => '0.2'],
        'meter_proved' => true,
    ])->assertCreated();
    expect(PowerFlag::of($job->refresh())->isIsolated())
        ->toBeTrue()
        ->and(
            power($job, ['state' => 'live', 'supplies' => ['T1' => '26.0']])
                ->assertUnprocessable()
                ->json('errors'),
        )
        ->toHaveKey('supplies.T2');
    power($job, [
        'state' => 'live',
        'supplies' => ['T1' => '26.0', 'T2' => '25.4'],
        'despite' => true,
    ])->assertCreated();
    expect(PowerEvent::query()->where('job_id', $job->id)->orderByDesc('seq')->first()->supplies)->toEqual([
        'T1' => 26.0,
        'T2' => 25.4,
    ]);
});

it('asks for the second supply that the survey counts, though the circuit does not know it', function (): void {
    $job = houseToProve();
    editSurvey($job, 'answer', ['key' => 'supplies', 'value' => '2'])->assertOk();
    expect(PowerFlag::of($job->refresh())->state)
        ->toBe(App\Models\Kind\PowerState::NotProved)
        ->and(PowerFlag::of($job)->says())
        ->toContain('second supply')
        ->and(
            power($job, ['state' => 'isolated', 'volts' => '0.0', 'meter_proved' => true])
                ->assertUnprocessable()
                ->json('errors'),
        )
        ->toHaveKey('supplies.second');
});

it('is opened by nothing but a proof of this job: future, volts, unproved meter, a file', function (
    array $event,
    string $says,
): void {
    $job = houseToProve();
    DB::table('power_events')->insert([
        'id' => newId(),
        'job_id' => $job->id,
        'user_id' => $this->app['auth']->id(),
        'seq' => 9999,
        'at' => now(),
        'created_at' => now(),
        'state' => 'isolated',
        'volts' => 0.0,
        'supplies' => '{"T1":0.0}',
        'meter_proved' => true,
        ...$event,
    ]);

    expect(PowerFlag::of($job)->state)
        ->toBe(App\Models\Kind\PowerState::NotProved)
        ->and(PowerFlag::of($job)->says())
        ->toContain($says);
    expect(
        $this->postJson("/jobs/{$job->id}/steps", ['id' => newId(), 'step' => 'fan.jumper', 'event' => 'start'])
            ->assertUnprocessable()
            ->json('errors'),
    )->toHaveKey('power');
})->with([
    'a time in the future' => fn () => [['at' => now()->addHour()], 'is in the future'],
    'isolated with volts' => fn () => [['volts' => 24.0, 'supplies' => '{"T1":24.0}'], 'proves nothing'],
    'isolated without a proved meter' => fn () => [['meter_proved' => false], 'proves nothing'],
    'live without volts' => fn () => [
        ['state' => 'live', 'volts' => null, 'supplies' => null],
        'no reading yet of the supply',
    ],
    'out of a file' => fn () => [['from_file' => 'Wren Halyard'], 'proves nothing here'],
]);

it('begins not proved after an import, whatever the file says', function (): void {
    $job = houseToProve();
    raiseFlag($job, 'isolated', '0.0');
    $file = (string) $this->get("/jobs/{$job->id}/job-file")->getContent();
    $again = Job::query()->findOrFail(importFiles(['house.json' => $file])[0]['job']['id']);

    expect(PowerFlag::of($job)->isIsolated())
        ->toBeTrue()
        ->and(PowerFlag::of($again)->state)
        ->toBe(App\Models\Kind\PowerState::NotProved)
        ->and(PowerEvent::query()->where('job_id', $again->id)->count())
        ->toBeGreaterThan(0);
});

it('orders two events of one second as the server took them, not by the client\'s ids', function (): void {
    $job = houseToProve();
    $this->freezeSecond();
    [$early, $late] = [newId(), '7ZZZZZZZZZZZZZZZZZZZZZZZZZ'];
    power($job, ['id' => $late, 'state' => 'isolated', 'volts' => '0.0', 'meter_proved' => true])->assertCreated();
    power($job, ['id' => $early, 'state' => 'live', 'volts' => '26.0'])->assertCreated();

    expect(PowerFlag::of($job)->isLive())->toBeTrue();
});

it('has one setting for the lapse, and says it everywhere', function (): void {
    config(['unionbit.isolated_minutes' => 12]);
    $job = houseToProve();
    raiseFlag($job, 'isolated', '0.0');
    $this->travel(13)->minutes();
    expect(PowerFlag::of($job)->says())
        ->toContain('after 12 minutes')
        ->and($this->get("/jobs/{$job->id}/prove")->inertiaProps('power'))
        ->toMatchArray(['lapsed' => true, 'lapseMinutes' => 12]);
});

it('says the age of a live reading', function (): void {
    $job = houseToProve();
    expect(PowerFlag::of($job)->toArray()['old'])->toBeFalse();
    $this->travel(5)->days();
    expect(PowerFlag::of($job)->toArray())->toMatchArray(['state' => 'live', 'old' => true]);
});

it(
    'warns before making live of failing ohms, a face off, a jumper placed and a landing half done, and asks',
    function (): void {
        $job = houseToProve();
        raiseFlag($job, 'isolated', '0.0');
        $this->postJson("/jobs/{$job->id}/steps", [
            'id' => newId(),
            'step' => 'idle.pre-check',
            'event' => 'start',
        ])->assertCreated();
        $this->postJson("/jobs/{$job->id}/readings", [
            'id' => newId(),
            'stage' => 'prove',
            'step' => 'idle.pre-check',
            'mode' => 'O',
            'a' => 'wall.Y1',
            'b' => 'wall.C',
            'value' => '0.2',
        ])->assertCreated();
        $open = power($job, ['state' => 'live', 'volts' => '26.0'])
            ->assertUnprocessable()
            ->json('errors.despite');
        expect(implode(' ', $open))
            ->toContain('Ohms wall.Y1 to wall.C failed: 0.2 Ω')
            ->toContain('Thermostat face back on its base')
            ->and(PowerFlag::of($job)->isIsolated())
            ->toBeTrue();
        $this->postJson("/jobs/{$job->id}/steps", [
            'id' => newId(),
            'step' => 'idle.pre-check',
            'event' => 'end',
        ])->assertCreated();
        $this->postJson("/jobs/{$job->id}/steps", [
            'id' => newId(),
            'step' => 'fan.jumper',
            'event' => 'start',
        ])->assertCreated();
        $move = $this->get("/jobs/{$job->id}/plan")->inertiaProps('plan.moves.0.key');
        $this->postJson("/jobs/{$job->id}/moves", [
            'id' => newId(),
            'move' => $move,
            'done' => false,
        ])->assertCreated();
        expect(joined(' ', BeforeLive::of($job->refresh())))
            ->toContain('Jumper Rc to G out')
            ->toContain('Landing half done');
        power($job, ['state' => 'live', 'volts' => '26.0', 'despite' => true])->assertCreated();
        expect(PowerFlag::of($job)->isLive())
            ->toBeTrue()
            ->and(PowerEvent::query()->where('job_id', $job->id)->orderByDesc('seq')->first()->despite)
            ->toHaveCount(4);
    },
);

it(
    'takes the reading of a call together with the others of its run, and says so everywhere it is shown',
    function (): void {
        $job = houseToProve();
        $this->postJson("/jobs/{$job->id}/steps", [
            'id' => newId(),
            'step' => 'fan.voltage',
            'event' => 'start',
        ])->assertCreated();
        $this->travel(20)->seconds();
        $read = fn (string $a, string $b, string $value) => $this->postJson("/jobs/{$job->id}/readings", [
            'id' => newId(),
            'stage' => 'prove',
            'step' => 'fan.voltage',
            'mode' => 'V',
            'a' => $a,
            'b' => $b,
            'value' => $value,
        ])->assertCreated();
        expect($read('indoor.G', 'indoor.C', '0.0')->json('candidates'))->toContain(
            "the thermostat's G switch is open",
        );
        $read('wall.G', 'wall.C', '26.0');
        $page = $this->get("/jobs/{$job->id}/prove");
        $shown = array_column(
            array_filter($page->inertiaProps('readings'), fn (array $r): bool => $r['outcome'] === 'fail'),
            'reason',
        );
        $cell = collect($page->inertiaProps('steps'))->firstWhere('key', 'fan.voltage')['probes'];
        $cell = collect($cell)->firstWhere('a', 'indoor.G')['reading'];

        expect($shown[0])
            ->toContain('It reads that way when 3 green is open')
            ->and($cell['reason'])
            ->toBe($shown[0])
            ->and($cell['candidates'])
            ->not->toContain("the thermostat's G switch is open")
            ->and((string) $this->get("/jobs/{$job->id}/readings.csv")->getContent())
            ->toContain($shown[0])
            ->and(implode(' ', $this->get("/jobs/{$job->id}/handover")->inertiaProps('open')))
            ->toContain($shown[0]);
    },
);

it('does not call early what is there at once, sign or reading', function (): void {
    $job = houseToProve();
    $this->postJson("/jobs/{$job->id}/steps", [
        'id' => newId(),
        'step' => 'cool-1.voltage',
        'event' => 'start',
    ])->assertCreated();
    $this->travel(30)->seconds();
    $sign = fn (string $sign) => $this->postJson("/jobs/{$job->id}/signs", [
        'id' => newId(),
        'step' => 'cool-1.voltage',
        'sign' => $sign,
        'seen' => false,
    ])
        ->assertCreated()
        ->json('outcome');
    $read = fn (string $a) => $this->postJson("/jobs/{$job->id}/readings", [
        'id' => newId(),
        'stage' => 'prove',
        'step' => 'cool-1.voltage',
        'mode' => 'V',
        'a' => $a,
        'b' => 'indoor.C',
        'value' => '0.0',
    ])
        ->assertCreated()
        ->json('outcome');

    expect($sign('outdoor-unit'))
        ->toBe('too-early')
        ->and($sign('blower'))
        ->toBe('fail')
        ->and($sign('display'))
        ->toBe('fail')
        ->and($read('indoor.Y'))
        ->toBe('too-early')
        ->and($read('indoor.G'))
        ->toBe('fail');
});

it(
    'takes readings outside the steps together too, of one call and since the power last changed',
    function (): void {
        $job = houseToProve();
        $read = fn (string $a, string $b, string $value) => $this->postJson("/jobs/{$job->id}/readings", [
            'id' => newId(),
            'stage' => 'prove',
            'call' => 'fan',
            'mode' => 'V',
            'a' => $a,
            'b' => $b,
            'value' => $value,
        ])
            ->assertCreated()
            ->json('candidates');
        $switch = "the thermostat's G switch is open";
        $shown = fn (): array => collect($this->get("/jobs/{$job->id}/prove")->inertiaProps('readings'))->firstWhere(
            'a',
            'indoor.G',
        )['candidates'];
        expect($read('indoor.G', 'indoor.C', '0.0'))->toContain($switch);
        $read('wall.G', 'wall.C', '26.0');
        expect($shown())
            ->not->toContain($switch)
            ->toContain('3 green is open in the cable')
            ->and($read('indoor.G', 'indoor.C', '0.1'))
            ->not->toContain($switch);
        raiseFlag($job, 'live', '26.4');
        expect($read('indoor.G', 'indoor.C', '0.0'))->toContain($switch);
    },
);
