<?php

declare(strict_types=1);

use App\House\House;
use App\Models\Job;
use App\Records\Power\PowerFlag;
use App\Records\Progress\Progress;
use App\Records\Step\StepRecord;
use Database\Seeders\DatabaseSeeder;

it('carries a house of each kind to handover, every call proved by voltage', function (
    string $archetype,
    string $profile,
    int $calls,
): void {
    $job = landedHouse($archetype, $profile);
    foreach (
        array_filter(
            test()
                ->get("/jobs/{$job->id}/set")
                ->inertiaProps('settings'),
            static fn (array $s): bool => $s['lacking'] === null,
        ) as $setting
    ) {
        $this->postJson("/jobs/{$job->id}/settings", [
            'id' => newId(),
            'key' => $setting['key'],
            'value' => $setting['value'],
        ])->assertCreated();
    }
    $steps = array_filter(
        StepRecord::all($job),
        static fn (StepRecord $r): bool => $r->step->method->value === 'voltage',
    );
    expect(array_filter($steps, static fn (StepRecord $r): bool => $r->step->call->mode() === null))->toHaveCount(
        $calls,
    );

    foreach (array_keys($steps) as $key) {
        proveStep($job, $key);
    }
    expect($this->postJson("/jobs/{$job->id}/handover")->json('errors.handover.0'))->toContain('at rest');
    proveStep($job, 'idle.at-rest');

    expect(
        $this->postJson("/jobs/{$job->id}/handover")
            ->assertUnprocessable()
            ->json('errors.signatures.0'),
    )->toContain('installer and customer');
    signBoth($job);
    $this->postJson("/jobs/{$job->id}/handover")->assertOk();
    $record = $this->get("/jobs/{$job->id}/handover")
        ->assertOk()
        ->inertiaProps();
    expect(array_column($record['proofs'], 'state'))
        ->each->toBe('passed')
        ->and(array_column($record['lines'], 'done'))
        ->each->toBeTrue()
        ->and($record['wiring'])
        ->not->toBe([])
        ->and($record['restore'])
        ->toBe([]);
})->with([
    'heat pump with strips' => ['heat-pump-o-1c-1aux', 'c-powered-3h-2c', 5],
    'two transformers' => ['boiler-zone-valve-1c', 'c-powered-3h-2c', 3],
    'dual fuel' => ['dual-fuel-o-1c-1h', 'c-powered-3h-2c', 4],
    'electric heat, battery' => ['air-handler-electric-1h-1c', 'battery-1h-1c', 3],
    'heat only' => ['furnace-gas-2h', 'c-or-battery-2h-2c', 2],
]);

it('keeps a failing call on the record, open until it passes', function (): void {
    $job = landedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
    $this->postJson("/jobs/{$job->id}/steps", [
        'id' => newId(),
        'step' => 'fan.voltage',
        'event' => 'start',
    ])->assertCreated();
    $this->travel(10)->seconds();
    $measure = fn (string $value) => $this->postJson("/jobs/{$job->id}/readings", [
        'id' => newId(),
        'stage' => 'prove',
        'step' => 'fan.voltage',
        'mode' => 'V',
        'a' => 'indoor.G',
        'b' => 'indoor.C',
        'value' => $value,
    ])->assertCreated();

    expect($measure('0.0')->json('candidates'))->toContain('3 green is open in the cable', 'the 3 A fuse is open');
    expect(Progress::of($job)->tape()[3]['state'])
        ->toBe('stuck')
        ->and(implode(' ', $this->get("/jobs/{$job->id}/handover")->inertiaProps('open')))
        ->toContain('Fan, By voltage: 0.0 V where');
    $this->get('/jobs')->assertInertia(fn ($page) => $page->where('jobs.0.tape.3.state', 'stuck'));
    $this->travel(5)->seconds();
    $measure('26.0');
    expect(Progress::of($job)->tape()[3]['state'])
        ->toBe('next')
        ->and(Progress::of($job)->calls()['fan']['failed'])
        ->toBeFalse()
        ->and(implode(' ', $this->get("/jobs/{$job->id}/handover")->inertiaProps('open')))
        ->not->toContain('Fan, By voltage');
    expect($job->readings()->where('step', 'fan.voltage')->count())->toBe(2, 'the failed reading stays on record');
});

it('starts a step anew without its earlier readings', function (): void {
    $job = landedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
    $step = fn (string $event) => $this->postJson("/jobs/{$job->id}/steps", [
        'id' => newId(),
        'step' => 'fan.voltage',
        'event' => $event,
    ])->assertCreated();
    $step('start');
    $this->travel(10)->seconds();
    $this->postJson("/jobs/{$job->id}/readings", [
        'id' => newId(),
        'stage' => 'prove',
        'step' => 'fan.voltage',
        'mode' => 'V',
        'a' => 'indoor.G',
        'b' => 'indoor.C',
        'value' => '26',
    ])->assertCreated();
    $step('end');
    expect(StepRecord::all($job)['fan.voltage']->readings)->toHaveCount(1);
    $this->travel(10)->seconds();
    $step('start');

    expect(StepRecord::all($job)['fan.voltage']->readings)
        ->toBe([])
        ->and(StepRecord::all($job)['fan.voltage']->isRunning())
        ->toBeTrue()
        ->and($job->readings()->count())
        ->toBe(1);
});

it('counts a compressor\'s delay from the last power-on, whoever starts the step', function (): void {
    $job = landedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
    $this->travel(200)->seconds();
    $this->postJson("/jobs/{$job->id}/steps", [
        'id' => newId(),
        'step' => 'cool-1.voltage',
        'event' => 'start',
    ])->assertCreated();

    expect(StepRecord::all($job)['cool-1.voltage']->secondsLeft())
        ->toBeGreaterThan(95)
        ->toBeLessThanOrEqual(100);
    raiseFlag($job, 'isolated', '0');
    $this->travel(30)->seconds();
    raiseFlag($job, 'live', '26.4');
    expect(StepRecord::all($job)['cool-1.voltage']->secondsLeft())
        ->toBeGreaterThan(295)
        ->and(PowerFlag::of($job)->isLive())
        ->toBeTrue();
});

it('keeps the restore list from a jumper until it is out', function (): void {
    $job = landedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
    raiseFlag($job, 'isolated', '0');
    $this->postJson("/jobs/{$job->id}/steps", [
        'id' => newId(),
        'step' => 'heat-1.jumper',
        'event' => 'start',
    ])->assertCreated();

    expect(Progress::of($job)->restore())->toBe(['Jumper Rc to W1 out', 'Face back on its base']);
    $this->get('/jobs')->assertInertia(
        fn ($page) => $page->where('jobs.0.restore', ['Jumper Rc to W1 out', 'Face back on its base']),
    );
    expect(
        $this->postJson("/jobs/{$job->id}/handover")
            ->assertUnprocessable()
            ->json('errors.handover.0'),
    )->toContain('Everything temporary put back');
    $this->postJson("/jobs/{$job->id}/steps", [
        'id' => newId(),
        'step' => 'heat-1.jumper',
        'event' => 'end',
    ])->assertCreated();
    expect(Progress::of($job)->restore())->toBe([]);
});

it('seeds the demo houses through its own actions, the finished one whole', function (): void {
    $this->seed(DatabaseSeeder::class);
    $this->seed(DatabaseSeeder::class);
    $finished = Job::at('Lock Keeper\'s Row 4');

    expect(Job::query()->count())
        ->toBe(11)
        ->and($finished->handed_over_at)
        ->not->toBeNull()
        ->and($finished->readings()->where('outcome', '!=', 'pass')->count())
        ->toBe(0)
        ->and(array_column(Progress::of($finished)->handover(), 'done'))
        ->each->toBeTrue();
    foreach (['Tollhouse' => 9, 'The Old Chandlery' => 4, 'Dredger Cottage' => 7] as $site => $calls) {
        $plan = House::of(Job::at($site))->plan ?? throw new LogicException("{$site} has no plan");
        $proofs = Unionbit\Core\Planning\Proof\Simulation::prove($plan);
        expect($proofs)
            ->toHaveCount($calls)
            ->and(array_filter($proofs, static fn ($p): bool => ! $p->isProved()))
            ->toBe([], $site);
    }
});
