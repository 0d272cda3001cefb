<?php

declare(strict_types=1);

use App\Handover\HandoverPage;
use App\House\House;
use App\Models\Job;
use App\Models\Record\Observation;
use App\Records\Progress\Progress;
use App\Records\Step\StepRecord;
use Illuminate\Testing\TestResponse;
use Unionbit\Core\Proving\Route\Route;
use Unionbit\Core\Proving\Route\School;
use Unionbit\Core\Proving\Step\Sign;
use Unionbit\Core\Proving\Step\Waits;

// The edges of a proof: what is neither yes nor no, a call that is forced, a supply that nothing protects, a short that
// was found, the same jumper at both ends.

function inStep(Job $job, string $step, string $path, array $body): TestResponse
{
    return test()->postJson("/jobs/{$job->id}/{$path}", ['id' => newId(), 'step' => $step, ...$body]);
}

/** @return list<string> ids of the single faults that give what was seen so far */
function fitting(Job $job): array
{
    return array_column(
        test()
            ->getJson("/jobs/{$job->id}/pattern")
            ->json('fits'),
        'id',
    );
}

it(
    'keeps what is neither yes nor no with its meaning, and what the circuit knows of it parts the suspects',
    function (string $how, string $means): void {
        $job = landedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
        inStep($job, 'cool-1.voltage', 'steps', ['event' => 'start'])->assertCreated();
        $this->travel(700)->seconds();
        inStep($job, 'cool-1.voltage', 'signs', ['sign' => 'outdoor-unit', 'seen' => false])->assertCreated();
        $no = fitting($job);
        inStep($job, 'cool-1.voltage', 'signs', ['sign' => 'outdoor-unit', 'seen' => false, 'how' => $how])
            ->assertCreated()
            ->assertJsonPath('outcome', 'fail');
        $row = Observation::query()->where('job_id', $job->id)->orderByDesc('seq')->firstOrFail();

        expect($row->reason)
            ->toContain($means)
            ->and(StepRecord::all($job)['cool-1.voltage']->state())
            ->toBe('failed')
            ->and(fitting($job))
            ->not->toBe($no);
    },
)->with([
    'chatters' => ['chatters', 'too little voltage'],
    'hums' => ['hums', 'does not pull through'],
]);

it('calls nothing cold before its delay is over', function (): void {
    $job = landedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
    inStep($job, 'heat-1.voltage', 'steps', ['event' => 'start'])->assertCreated();
    $cold = static fn (): string => inStep($job, 'heat-1.voltage', 'signs', [
        'sign' => 'burner',
        'seen' => false,
        'how' => 'cold',
    ])
        ->assertCreated()
        ->json('outcome');
    expect($cold())->toBe('too-early');
    $this->travel(200)->seconds();
    expect($cold())->toBe('fail');
});

it('takes no word for a sign that it cannot be', function (): void {
    $job = landedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
    inStep($job, 'fan.voltage', 'steps', ['event' => 'start'])->assertCreated();
    $this->travel(20)->seconds();
    inStep($job, 'fan.voltage', 'signs', ['sign' => 'blower', 'seen' => false, 'how' => 'flashes'])
        ->assertStatus(422)
        ->assertJsonValidationErrors('how');
    inStep($job, 'fan.voltage', 'signs', ['sign' => 'display', 'seen' => false, 'how' => 'blinks'])
        ->assertCreated()
        ->assertJsonPath('outcome', 'neutral');
});

it(
    'waits for a forced call as the test menu does, and for one that was asked as the thermostat does',
    function (): void {
        $job = landedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
        $left = static fn (): int => StepRecord::all($job->refresh())['cool-1.voltage']->secondsLeft();
        raiseFlag($job, 'isolated', '0.0');
        raiseFlag($job, 'live', '26.5');
        inStep($job, 'cool-1.voltage', 'steps', ['event' => 'start'])->assertCreated();
        expect($left())->toBeGreaterThan(200);
        inStep($job, 'cool-1.voltage', 'steps', ['event' => 'end'])->assertCreated();
        inStep($job, 'fan.voltage', 'steps', ['event' => 'forced'])->assertCreated();
        expect(StepRecord::all($job->refresh())['fan.voltage']->secondsLeft())->toBe(30);

        $plain = landedHouse('furnace-gas-1h-1c', 'battery-1h-1c');
        inStep($plain, 'fan.voltage', 'steps', ['event' => 'forced'])
            ->assertStatus(422)
            ->assertJsonValidationErrors('event');
    },
);

it('proves a call by its current where nothing would blow', function (): void {
    $keys = static fn (Job $job): array => array_map(
        static fn ($p): string => "{$p->mode->value} {$p->a}",
        StepRecord::all($job)['cool-1.voltage']->step->needed(),
    );
    $fused = $keys(landedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c'));
    $job = landedHouse('furnace-gas-1h-1c-electronic', 'c-powered-1h-1c');
    $amps = array_values(array_filter($keys($job), static fn (string $k): bool => $k[0] === 'A'));

    expect(array_filter($fused, static fn (string $k): bool => $k[0] === 'A'))->toBe([])->and($amps)->toHaveCount(1);
    inStep($job, 'cool-1.voltage', 'steps', ['event' => 'start'])->assertCreated();
    $this->travel(700)->seconds();
    $read = static fn (string $value) => inStep($job, 'cool-1.voltage', 'readings', [
        'stage' => 'prove',
        'mode' => 'A',
        'a' => substr($amps[0], 2),
        'b' => substr($amps[0], 2),
        'value' => $value,
    ]);
    $read('0.46')->assertCreated()->assertJsonPath('outcome', 'pass');
    $read('1.80')->assertCreated()->assertJsonPath('outcome', 'fail');
});

it('proves a call by its current once a short was found and is gone', function (): void {
    $job = plannedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
    $needs = static fn (): bool => array_any(
        StepRecord::all($job->refresh())['heat-1.voltage']->step->needed(),
        static fn ($p): bool => $p->mode->value === 'A',
    );
    raiseFlag($job, 'isolated', '0.0');
    inStep($job, 'idle.pre-check', 'steps', ['event' => 'start'])->assertCreated();
    $probe = StepRecord::all($job)['idle.pre-check']->step->probes[1];
    $pair = ['stage' => 'prove', 'mode' => 'O', 'a' => $probe->a, 'b' => $probe->b];
    $nominal = (float) inStep($job, 'idle.pre-check', 'expect', $pair)->json('nominal');
    inStep($job, 'idle.pre-check', 'readings', [...$pair, 'value' => '0.2'])->assertJsonPath('outcome', 'fail');
    expect($needs())->toBeFalse();
    $this->get("/jobs/{$job->id}/prove")->assertOk();
    inStep($job, 'idle.pre-check', 'readings', [
        ...$pair,
        'value' => number_format($nominal, 1, '.', ''),
    ])->assertJsonPath('outcome', 'pass');
    // What was kept for the page of before does not stand for this one.
    $steps = array_column(
        $this->get("/jobs/{$job->id}/prove")
            ->assertOk()
            ->inertiaProps('steps'),
        'probes',
        'key',
    );
    expect($needs())->toBeTrue()->and(array_column($steps['heat-1.voltage'], 'mode'))->toContain('A');
});

it('brackets a call by the same jumper at both ends, and isolates once for what stays isolated', function (): void {
    $job = landedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
    $jumper = static function (string $step, bool $works) use ($job): void {
        raiseFlag($job, 'isolated', '0.0');
        inStep($job, $step, 'steps', ['event' => 'start'])->assertCreated();
        raiseFlag($job, 'live', '26.5');
        test()->travel(700)->seconds();
        $record = StepRecord::all($job->refresh())[$step];
        foreach ($record->step->probes as $probe) {
            $pair = ['stage' => 'prove', 'mode' => 'V', 'a' => $probe->a, 'b' => $probe->b];
            $nominal = (float) inStep($job, $step, 'expect', $pair)->json('nominal');
            $value = $works ? number_format($nominal, 1, '.', '') : '0.0';
            inStep($job, $step, 'readings', [...$pair, 'value' => $value])->assertCreated();
        }
        foreach ($record->step->signs as $sign) {
            inStep($job, $step, 'signs', ['sign' => $sign->key, 'seen' => $works])->assertCreated();
        }
        raiseFlag($job, 'isolated', '0.0');
        inStep($job, $step, 'steps', ['event' => 'end'])->assertCreated();
    };
    $jumper('fan.jumper', false);
    // The flag still says isolated: the next set-up begins on it.
    inStep($job, 'fan.board-jumper', 'steps', ['event' => 'start'])->assertCreated();
    inStep($job, 'fan.board-jumper', 'steps', ['event' => 'end'])->assertCreated();
    $jumper('fan.board-jumper', true);
    $bracket = $this->getJson("/jobs/{$job->id}/pattern")->json('brackets.0');

    expect([$bracket['call'], $bracket['wall'], $bracket['board']])
        ->toBe(['Fan', 'failed', 'passed'])
        ->and(array_keys($bracket['places']))
        ->toContain('cable')
        ->not->toContain('indoor', 'supply');
});

it('takes no volts for the amperes of the same conductor', function (): void {
    $job = landedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
    inStep($job, 'idle.at-rest', 'steps', ['event' => 'start'])->assertCreated();
    $this->travel(200)->seconds();
    $clamp = array_find(
        StepRecord::all($job)['idle.at-rest']->step->probes,
        static fn ($p): bool => $p->mode->value === 'A',
    );
    $read = static fn (string $mode, string $value) => inStep($job, 'idle.at-rest', 'readings', [
        'stage' => 'prove',
        'mode' => $mode,
        'a' => $clamp->a,
        'b' => $clamp->b,
        'value' => $value,
    ])->assertCreated();
    $taken = static fn (): array => array_keys(StepRecord::all($job->refresh())['idle.at-rest']->readings);
    $read('V', '0.0');
    expect($taken())->not->toContain($clamp->key());
    $read('A', '0.18');
    expect($taken())->toContain($clamp->key());
});

it('builds a jumper up screw by screw, and says what each brings in', function (): void {
    $job = landedHouse('heat-pump-o-1c-1aux', 'c-powered-3h-2c');
    $steps = array_column($this->get("/jobs/{$job->id}/prove")->inertiaProps('steps'), 'buildUp', 'key');

    expect($steps['cool-1.jumper'])
        ->toBe(['G: blower relay', 'O/B: reversing valve', 'Y1: outdoor Y input and contactor'])
        ->and($steps['fan.jumper'])
        ->toBe([]);
});

it('reads one figure of an ended rest again by itself', function (): void {
    $job = houseToProve();
    proveStep($job, 'idle.at-rest');
    $probe = StepRecord::all($job->refresh())['idle.at-rest']->step->probes[0];
    $read = fn (string $step, $probe, string $value) => $this->postJson("/jobs/{$job->id}/readings", [
        'id' => newId(),
        'stage' => 'prove',
        'step' => $step,
        'mode' => $probe->mode->value,
        'a' => $probe->a,
        'b' => $probe->b,
        'value' => $value,
    ]);
    $read('idle.at-rest', $probe, '12.0')->assertCreated()->assertJsonPath('outcome', 'fail');
    expect(StepRecord::all($job->refresh())['idle.at-rest']->state())->toBe('failed');
    $read('idle.at-rest', $probe, '0.1')->assertCreated()->assertJsonPath('outcome', 'pass');
    expect(StepRecord::all($job->refresh())['idle.at-rest']->state())->toBe('passed');
    // What is read while something stands that alters the circuit proves nothing, after the end neither.
    raiseFlag($job, 'isolated', '0.0');
    $this->postJson("/jobs/{$job->id}/temporary-things", [
        'id' => newId(),
        'kind' => 'jumper',
        'a' => 'wall.Rc',
        'b' => 'wall.G',
        'stands' => true,
    ])->assertCreated();
    raiseFlag($job, 'live', '26.5');
    $read('idle.at-rest', $probe, '0.1');
    expect(StepRecord::all($job->refresh())['idle.at-rest']->state())->not->toBe('passed');
});

it('calls an ended step again for what is missing, and what was taken in it stays', function (): void {
    $job = landedHouse('heat-pump-o-1c-1aux', 'c-powered-3h-2c');
    $now = static fn (string $key): StepRecord => StepRecord::all($job->refresh())[$key];
    $calls = array_filter(StepRecord::all($job), static fn (StepRecord $r): bool => $r->step->dropOff !== null);
    expect(count($calls))->toBeGreaterThan(5);
    foreach (['fan.voltage', 'cool-1.voltage', 'aux-1.voltage'] as $key) {
        inStep($job, $key, 'steps', ['event' => 'again'])->assertJsonValidationErrors('event');
        proveStep($job, $key);
        $sign = array_key_first($now($key)->signs);
        $probe = $now($key)->step->probes[0];
        $pair = ['stage' => 'prove', 'mode' => $probe->mode->value, 'a' => $probe->a, 'b' => $probe->b];
        $read = static fn (string $value): TestResponse => inStep($job, $key, 'readings', [
            'value' => $value,
            ...$pair,
        ]);
        $good = (string) round(inStep($job, $key, 'expect', $pair)->json('nominal'), 1);
        // Ended: a call has to be made for its figures.
        $read($good)->assertJsonValidationErrors('step');
        $kept = count($now($key)->readings) + count($now($key)->signs);

        inStep($job, $key, 'steps', ['event' => 'again'])->assertCreated();
        expect($now($key)->isRunning())->toBeTrue();
        // The delay runs anew: the compressor has rested no longer than it has.
        expect($now($key)->secondsLeft())->toBe($now($key)->step->wait->seconds);
        $this->travel($now($key)->step->wait->seconds + 1)->seconds();
        $read('1.0')->assertCreated()->assertJsonPath('outcome', 'fail');
        inStep($job, $key, 'steps', ['event' => 'end'])->assertCreated();
        expect([$key, $now($key)->state()])->toBe([$key, 'failed']);

        inStep($job, $key, 'steps', ['event' => 'again'])->assertCreated();
        $this->travel($now($key)->step->wait->seconds + 1)->seconds();
        $read($good)->assertCreated()->assertJsonPath('outcome', 'pass');
        inStep($job, $key, 'signs', ['sign' => $sign, 'seen' => true])->assertCreated();
        inStep($job, $key, 'steps', ['event' => 'end'])->assertCreated();
        expect([$key, $now($key)->state()])->toBe([$key, 'passed']);
        expect(count($now($key)->readings) + count($now($key)->signs))->toBe($kept);
    }
    // Begun anew nothing of the run before counts.
    inStep($job, 'fan.voltage', 'steps', ['event' => 'start'])->assertCreated();
    expect($now('fan.voltage')->readings)->toBe([]);
});

it('names a defrost that was not run as an open matter, until it is left out with a reason', function (): void {
    $job = landedHouse('heat-pump-o-1c-1aux', 'c-powered-3h-2c');
    $open = static fn (): string => implode(' ', said(HandoverPage::props($job->refresh()))['open']);
    expect($open())->toContain('Defrost was not run');
    $this->postJson("/jobs/{$job->id}/waivers", [
        'id' => newId(),
        'call' => 'defrost',
        'note' => 'no test pins',
    ])->assertCreated();
    $page = said(HandoverPage::props($job->refresh()));
    expect(implode(' ', $page['open']))
        ->not->toContain('Defrost')
        ->and(array_column($page['waived'], 'reason'))
        ->toContain('no test pins');
    // A house that has none is asked for none.
    $furnace = landedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
    expect(implode(' ', said(HandoverPage::props($furnace))['open']))->not->toContain('Defrost');
});

it('is through after exactly what the short form promises', function (string $house, string $thermostat): void {
    $job = landedHouse($house, $thermostat);
    $page = fn (): array => $this->get("/jobs/{$job->id}/prove")->inertiaProps();
    $way = $page()['routes']['short'];
    [$read, $answered] = [0, 0];
    foreach ($way['keys'] as $key) {
        inStep($job, $key, 'steps', ['event' => 'start'])->assertCreated();
        $this->travel(700)->seconds();
        // What the page asks for, no more: rows that may be left open are left open.
        $step = array_find($page()['steps'], static fn (array $s): bool => $s['key'] === $key);
        foreach (array_filter($step['probes'], static fn (array $p): bool => ! $p['optional']) as $probe) {
            $pair = ['stage' => 'prove', 'mode' => $probe['mode'], 'a' => $probe['a'], 'b' => $probe['b']];
            $sound = round(inStep($job, $key, 'expect', $pair)->json('nominal'), $probe['mode'] === 'A' ? 2 : 1);
            inStep($job, $key, 'readings', [...$pair, 'value' => (string) $sound])->assertJsonPath(
                'outcome',
                'pass',
            );
            $read++;
        }
        $asked = array_column(array_filter($step['signs'], static fn (array $s): bool => ! $s['optional']), 'key');
        $answered += count($asked);
        foreach (array_diff($asked, [Sign::DROP_OFF]) as $sign) {
            inStep($job, $key, 'signs', ['sign' => $sign, 'seen' => true])->assertCreated();
        }
        if (! in_array(Sign::DROP_OFF, $asked, true)) {
            inStep($job, $key, 'steps', ['event' => 'end'])->assertCreated();

            continue;
        }
        inStep($job, $key, 'steps', ['event' => 'off'])->assertCreated();
        $this->travel(300)->seconds();
        inStep($job, $key, 'signs', ['sign' => Sign::DROP_OFF, 'seen' => true])->assertCreated();
    }
    $promised = Route::of(
        StepRecord::steps($job),
        School::Short,
        new Waits(House::of($job)->installation),
        ['idle.pre-check'],
        StepRecord::all($job)['idle.at-rest']->step,
    );
    expect([$promised->readings, $promised->answers])
        ->toBe([$read, $answered])
        ->and($page()['routes']['short']['keys'])
        ->toBe([])
        ->and(array_column(Progress::of($job->refresh())->proofs(), 'proved'))
        ->not->toContain(false);
})->with([
    'two stages over a kit' => ['furnace-gas-2h-1c', 'c-powered-shared-kit-2h-2c'],
    'a heat pump with strips' => ['heat-pump-o-1c-1aux', 'c-powered-3h-2c'],
]);
