<?php

declare(strict_types=1);

use App\House\House;
use App\Models\Job;
use App\Prove\Coverage\CoverageSheet;
use App\Records\Live\BeforeLive;
use App\Records\Progress\Progress;
use App\Records\SetUp\SetupStrip;
use App\Records\Step\StepRecord;
use Illuminate\Testing\TestResponse;

// Anything temporary by one tap: circuit, meter, pattern and the list of what goes back read it.

function putOn(Job $job, string $kind, string $a = '', string $b = '', bool $stands = true): TestResponse
{
    return test()->postJson("/jobs/{$job->id}/temporary-things", [
        'id' => newId(),
        'kind' => $kind,
        'a' => $a,
        'b' => $b,
        'stands' => $stands,
    ]);
}

function expectVolts(Job $job, string $a, string $b): ?float
{
    return test()
        ->postJson("/jobs/{$job->id}/expect", [
            'stage' => 'prove',
            'step' => null,
            'call' => 'idle',
            'mode' => 'V',
            'a' => $a,
            'b' => $b,
        ])
        ->assertOk()
        ->json('nominal');
}

it('asks for the power off, refuses what is not there, and keeps what stands until it is back', function (): void {
    $job = landedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
    putOn($job, 'jumper', 'indoor.R', 'indoor.Y')->assertStatus(422)->assertJsonValidationErrors('power');
    putOn($job, 'door')->assertCreated();
    raiseFlag($job, 'isolated', '0.0');
    putOn($job, 'jumper', 'indoor.R', 'indoor.nowhere')->assertStatus(422)->assertJsonValidationErrors('a');
    putOn($job, 'jumper', 'indoor.R', 'indoor.Y')->assertCreated();
    putOn($job, 'jumper', 'indoor.Y', 'indoor.R')->assertStatus(422)->assertJsonValidationErrors('kind');

    $restore = said(Progress::of($job->refresh())->restore());
    expect($restore)
        ->toBe(['door switch held closed', 'jumper R to Y, indoor board'])
        ->and(implode(' ', said(BeforeLive::of($job))))
        ->toContain('jumper R to Y, indoor board')
        ->and(array_column(said(SetupStrip::view($job))['standing'], 'kind'))
        ->toBe(['door', 'jumper']);
    putOn($job, 'jumper', 'indoor.R', 'indoor.Y', false)->assertCreated();
    expect(said(Progress::of($job->refresh())->restore()))->toBe(['door switch held closed']);
});

it('reads every thing that stands in what it expects', function (
    string $kind,
    string $a,
    string $b,
    array $read,
): void {
    $job = landedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
    $pair = [$read[0], $read[1]];
    $before = expectVolts($job, ...$pair);
    raiseFlag($job, 'isolated', '0.0');
    putOn($job, $kind, $a, $b)->assertCreated();
    raiseFlag($job, 'live', '26.5');
    $after = expectVolts($job->refresh(), ...$pair);

    expect($before)
        ->toEqualWithDelta($read[2], 2.5)
        ->and($after)
        ->when($read[3] === null, static fn ($volts) => $volts->toBeNull())
        ->when($read[3] !== null, static fn ($volts) => $volts->toEqualWithDelta($read[3], 2.5));
})->with([
    'a jumper' => ['jumper', 'indoor.R', 'indoor.Y', ['indoor.Y', 'indoor.C', 0.0, 26.0]],
    'a lifted end' => ['lift', 'A1.far', '', ['wall.Rc', 'wall.C', 26.6, 0.0]],
    'a cable pulled, at the wall' => ['plug', 'A.far', '', ['wall.Rc', 'wall.C', 26.6, 0.0]],
    'a coil off' => ['coil', 'contactor', '', ['indoor.R', 'indoor.Y', 26.6, null]],
]);

it('proves nothing while something stood that the proof did not ask for', function (): void {
    $job = landedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
    raiseFlag($job, 'isolated', '0.0');
    putOn($job, 'jumper', 'wall.Rc', 'wall.G')->assertCreated();
    raiseFlag($job, 'live', '26.5');
    proveStep($job, 'fan.voltage');
    $fan = static fn (): string => StepRecord::all($job->refresh())['fan.voltage']->state();
    $share = static fn (): float => CoverageSheet::of(
        $job->refresh(),
        House::of($job)->standing ?? throw new LogicException('no plan'),
        Progress::of($job),
    )->coverage->share ?? -1.0;
    $under = $share();
    expect($fan())
        ->not->toBe('passed')
        ->and(Progress::of($job)->calls()['fan']['proved'])
        ->toBeFalse();

    raiseFlag($job, 'isolated', '0.0');
    putOn($job, 'jumper', 'wall.Rc', 'wall.G', false)->assertCreated();
    raiseFlag($job, 'live', '26.5');
    proveStep($job, 'fan.voltage');
    expect($fan())->toBe('passed')->and($share())->toBeGreaterThan($under);
});

it('explains what was seen in the set-up in which it was seen', function (): void {
    $job = landedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
    $post = static fn (string $path, array $body) => test()
        ->postJson("/jobs/{$job->id}/{$path}", ['id' => newId(), 'step' => 'cool-1.voltage', ...$body])
        ->assertSuccessful();
    $seeNothing = static function () use ($post): void {
        $post('steps', ['event' => 'start']);
        test()->travel(700)->seconds();
        $post('signs', ['sign' => 'outdoor-unit', 'seen' => false]);
    };
    $fits = static fn (): array => array_column(
        test()
            ->getJson("/jobs/{$job->id}/pattern")
            ->json('fits'),
        'id',
    );
    $seeNothing();
    $plain = $fits();
    $post('steps', ['event' => 'off']);
    test()->travel(200)->seconds();
    $post('signs', ['sign' => 'drop-off', 'seen' => true]);
    // The same with the contactor's lead off: that it stays out says nothing any more.
    raiseFlag($job, 'isolated', '0.0');
    putOn($job, 'coil', 'contactor')->assertCreated();
    raiseFlag($job, 'live', '26.5');
    $seeNothing();

    expect(count($fits()))->toBeGreaterThan(count($plain));
});

it('refuses a jumper that shorts, and names the screws where one would', function (): void {
    $job = landedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
    raiseFlag($job, 'isolated', '0.0');
    putOn($job, 'jumper', 'wall.Rc', 'wall.C')->assertStatus(422)->assertJsonValidationErrors('b');
    putOn($job, 'jumper', 'indoor.R', 'indoor.C')->assertStatus(422)->assertJsonValidationErrors('b');
    $steps = array_column($this->get("/jobs/{$job->id}/prove")->inertiaProps('steps'), 'beside', 'key');

    expect($steps['fan.voltage'])
        ->toBe([])
        ->and($steps['cool-1.board-jumper'])
        ->toBe(['Beside Y stands C: a slip opens the fuse.']);
});

it('opens every stage with each kind of thing on, and with all of them', function (): void {
    $job = landedHouse('furnace-gas-1h-1c', 'c-powered-3h-2c');
    raiseFlag($job, 'isolated', '0.0');
    $offered = [];
    foreach (said(SetupStrip::view($job))['others'] as $thing) {
        $offered[$thing['kind']] ??= $thing;
    }
    expect(array_keys($offered))->toContain('face', 'link', 'door', 'switch', 'breaker', 'plug', 'coil');
    foreach ($offered as $thing) {
        putOn($job, $thing['kind'], $thing['a'], $thing['b'])->assertCreated();
        foreach (['prove', 'trace', 'handover'] as $stage) {
            $this->get("/jobs/{$job->id}/{$stage}")->assertOk();
        }
        putOn($job, $thing['kind'], $thing['a'], $thing['b'], false)->assertCreated();
    }
    foreach ($offered as $thing) {
        putOn($job, $thing['kind'], $thing['a'], $thing['b'])->assertCreated();
    }
    foreach (['survey', 'plan', 'set', 'prove', 'trace', 'handover'] as $stage) {
        $this->get("/jobs/{$job->id}/{$stage}")->assertOk();
    }
});

it('opens every stage and works out every answer with a conductor on the cabinet', function (): void {
    $job = landedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
    editSurvey($job, 'change-conductor', ['cable' => 'A', 'number' => 4, 'line' => 'grn G>G cabinet'])->assertOk();
    expect($job->refresh()->survey['cables'][0]['conductors'][3]['condition'])->toBe(['cabinet']);
    foreach (['survey', 'plan', 'set', 'prove', 'trace', 'handover', 'coverage'] as $page) {
        $this->get("/jobs/{$job->id}/{$page}")->assertOk();
    }
    $step = array_key_first(StepRecord::all($job->refresh()));
    $this->getJson("/jobs/{$job->id}/cannot-tell?step={$step}")->assertOk();
});
