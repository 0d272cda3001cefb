<?php

declare(strict_types=1);

use App\Handover\HandoverPage;
use App\Models\Job;
use App\Records\Progress\Progress;
use App\Records\Step\StepRecord;

// Proved on the thermostat that hangs there, before a screw is turned: a fault call, a maintenance visit, a baseline.

/** An example house on a visit of this kind, with what the old thermostat runs on and where it switches. */
function foundHouse(string $kind, string $power = 'battery', string $switches = 'base'): Job
{
    installer();
    $id = newId();
    test()
        ->postJson('/jobs', [
            'id' => $id,
            'site' => 'Winding Hole 2',
            'kind' => $kind,
            'archetype' => 'air-handler-electric-1h-1c',
            'feet' => '38',
            'example' => true,
        ])
        ->assertCreated();
    $job = Job::query()->findOrFail($id);
    $answers = ['heatSource' => 'electric', 'oldPower' => $power, 'oldSwitches' => $switches];
    foreach ($answers as $key => $value) {
        editSurvey($job, 'answer', ['key' => $key, 'value' => $value])->assertOk();
    }

    return $job->refresh();
}

function failHeat(Job $job): void
{
    $post = static fn (string $path, array $body) => test()
        ->postJson("/jobs/{$job->id}/{$path}", ['id' => newId(), 'step' => 'heat-1.voltage', ...$body])
        ->assertSuccessful();
    $post('steps', ['event' => 'start']);
    test()->travel(200)->seconds();
    $post('signs', ['sign' => 'blower', 'seen' => false]);
    $post('steps', ['event' => 'off']);
    test()->travel(200)->seconds();
    $post('signs', ['sign' => 'drop-off', 'seen' => true]);
}

it('asks for two answers, then proves each call on the plate that hangs there', function (): void {
    installer();
    $job = foundHouse('fault call');
    $before = editSurvey($job, 'answer', ['key' => 'oldSwitches', 'value' => null])->assertOk();
    expect($before->json('version'))->toBe($job->refresh()->version);
    $asked = $this->get("/jobs/{$job->id}/prove")->assertOk();
    expect($asked->inertiaPage()['component'])
        ->toBe('AsFound')
        ->and($asked->inertiaProps('asFound.says'))
        ->toBeNull()
        ->and(array_column($asked->inertiaProps('asFound.letters'), 'printed'))
        ->toContain('R', 'W', 'Y', 'G');

    editSurvey($job, 'answer', ['key' => 'oldSwitches', 'value' => 'base'])->assertOk();
    $page = $this->get("/jobs/{$job->id}/prove")->assertOk();
    expect($page->inertiaPage()['component'])
        ->toBe('Prove')
        ->and($page->inertiaProps('asFound.says'))
        ->toBe('A thermostat of this house: batteries, 1 heat 1 cool, switches in the base.')
        ->and(array_column($page->inertiaProps('calls'), 'call'))
        ->toBe(['idle', 'fan', 'cool-1', 'heat-1'])
        ->and(array_column($page->inertiaProps('tape'), 'name'))
        ->toContain('As found')
        ->and(array_column(array_filter($page->inertiaProps('tape'), static fn ($s): bool => $s['folded']), 'key'))
        ->toBe(['plan', 'set']);
});

it('hands over a fault call without plan, moves or settings, once every call is proved or told', function (): void {
    $job = foundHouse('fault call');
    editSurvey($job, 'finish')->assertOk();
    skipPhotos($job);
    raiseFlag($job, 'live', '26.5');
    foreach (['fan.voltage', 'cool-1.voltage'] as $step) {
        proveStep($job, $step);
    }
    failHeat($job);
    proveStep($job, 'idle.at-rest');
    $lines = static fn (): array => array_column(Progress::of($job->refresh())->handover(), 'done');

    expect($lines())
        ->toBe([true, false, true])
        ->and(Progress::of($job)->calls()['heat-1']['failed'])
        ->toBeTrue();
    $this->postJson("/jobs/{$job->id}/waivers", [
        'id' => newId(),
        'call' => 'heat-1',
        'note' => 'Customer told before the work',
    ])->assertCreated();
    expect($lines())->toBe([true, true, true]);
    $this->postJson("/jobs/{$job->id}/handover", ['unsigned' => true])->assertSuccessful();
    expect($job->refresh()->handed_over_at)->not->toBeNull();
});

it('certifies nothing of the new thermostat by what was proved on the old one, and keeps both', function (): void {
    $job = foundHouse('replacement');
    raiseFlag($job, 'live', '26.5');
    proveStep($job, 'fan.voltage');
    failHeat($job);
    $this->postJson("/jobs/{$job->id}/plan-edits", [
        'id' => newId(),
        'version' => $job->refresh()->version,
        'op' => 'choose',
        'profile' => 'c-powered-1h-1c',
    ])->assertOk();
    $job->refresh();

    expect(StepRecord::all($job)['fan.voltage']->startedAt)
        ->toBeNull()
        ->and(Progress::of($job)->calls()['heat-1']['failed'])
        ->toBeFalse()
        ->and(StepRecord::asFound($job)['fan.voltage']->state())
        ->toBe('passed');
    $baseline = said(HandoverPage::props($job)['baseline']);
    expect(array_column($baseline, 'state'))
        ->toBe(['passed', 'failed'])
        ->and(sheet($job))
        ->toContain('As found, before the work', 'Heat 1: did not work');

    // In a job file and out of it again: the same two thermostats.
    $out = (string) $this->get("/jobs/{$job->id}/job-file")->getContent();
    $again = Job::query()->findOrFail(importFiles(['house.json' => $out])[0]['job']['id']);
    expect(array_column(said(HandoverPage::props($again)['baseline']), 'state'))->toBe(['passed', 'failed']);
});

it('says what it takes where nobody could tell', function (string $power, string $switches, array $says): void {
    $job = foundHouse('maintenance', $power, $switches);
    $view = $this->get("/jobs/{$job->id}/prove")->inertiaProps('asFound');

    expect($view['assumptions'])->toBe($says);
})->with([
    'all known' => ['battery', 'face', []],
    'what powers it' => [
        'unknown',
        'base',
        [
            'Nobody saw what powers it: taken as R and C, because C holds a conductor.',
            'What it draws is taken as 3 VA: no current at rest is expected of it.',
        ],
    ],
    'where it switches' => [
        'mechanical',
        'unknown',
        [
            'Where its switches are is not known: taken as in the face. With them in the base a jumper stands beside '.
            'a closed switch.',
        ],
    ],
    'a receiver' => ['battery', 'receiver', ['Its receiver is taken as wired letter to letter with the board.']],
]);
