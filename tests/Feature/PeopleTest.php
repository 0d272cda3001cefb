<?php

declare(strict_types=1);

use App\Crew\Door\DoorLinks;
use App\Models\Crew\Role;
use App\Models\Crew\User;
use App\Models\Job;
use Illuminate\Support\Facades\DB;

// What each role may, and what a lead does with the people of a crew.

it('lets each role do what it may and nothing more', function (Role $role, array $may): void {
    $job = houseToProve();
    $user = User::query()->where('crew_id', $job->crew_id)->oldest('id')->firstOrFail();
    $user->forceFill(['role' => $role])->save();
    $this->actingAs($user->refresh());
    $other = User::factory()->create(['crew_id' => $job->crew_id]);
    $tries = [
        'read' => ['GET', "/jobs/{$job->id}/prove", []],
        'take out' => ['GET', "/jobs/{$job->id}/job-file", []],
        'compute' => [
            'POST',
            "/jobs/{$job->id}/expect",
            ['stage' => 'prove', 'mode' => 'V', 'a' => 'indoor.R', 'b' => 'indoor.C'],
        ],
        'measure' => [
            'POST',
            "/jobs/{$job->id}/readings",
            [
                'id' => newId(),
                'stage' => 'prove',
                'mode' => 'V',
                'a' => 'indoor.R',
                'b' => 'indoor.C',
                'value' => '26',
            ],
        ],
        'edit' => [
            'POST',
            "/jobs/{$job->id}/survey-edits",
            ['id' => newId(), 'version' => $job->version, 'op' => 'finish'],
        ],
        'take a waiver back' => [
            'POST',
            "/jobs/{$job->id}/waivers",
            ['id' => newId(), 'call' => 'heat-1', 'note' => ''],
        ],
        'make a job' => [
            'POST',
            '/jobs',
            [
                'id' => newId(),
                'site' => 'Winch House',
                'kind' => 'replacement',
                'archetype' => 'furnace-gas-1h-1c',
                'feet' => '40',
                'example' => true,
            ],
        ],
        'practise' => ['POST', "/jobs/{$job->id}/practice", ['on' => true]],
        'sign as the customer' => [
            'POST',
            "/jobs/{$job->id}/signatures",
            ['id' => newId(), 'role' => 'customer', 'name' => 'R.', 'strokes' => [[[1, 1], [2, 2]]]],
        ],
        'leave a call' => [
            'POST',
            "/jobs/{$job->id}/waivers",
            ['id' => newId(), 'call' => 'heat-1', 'note' => 'no gas yet'],
        ],
        'sign as the installer' => [
            'POST',
            "/jobs/{$job->id}/signatures",
            ['id' => newId(), 'role' => 'installer', 'name' => 'T.', 'strokes' => [[[1, 1], [2, 2]]]],
        ],
        'share' => [
            'POST',
            "/jobs/{$job->id}/shares",
            ['label' => 'a colleague', 'parts' => ['wiring'], 'days' => 7],
        ],
        'put away' => ['POST', "/jobs/{$job->id}/shelf", ['to' => 'archive']],
        'hand over' => ['POST', "/jobs/{$job->id}/handover", ['unsigned' => true]],
        'invite' => ['POST', '/crew/links', ['email' => 'new@crew.example', 'role' => 'lead']],
        'change a role' => ['POST', "/crew/{$other->id}/role", ['role' => 'apprentice']],
        'set a password' => ['POST', "/crew/{$other->id}/password", []],
        'deactivate' => ['POST', "/crew/{$other->id}/active", ['active' => false]],
        'set units' => ['POST', '/crew/units', ['units' => 'metric']],
        'forget' => ['POST', "/crew/{$other->id}/forget", []],
    ];
    $done = [];
    foreach ($tries as $what => [$method, $url, $body]) {
        $status = $this->json($method, $url, $body)->status();
        // What is not there to be handed over yet is a matter of the house, not of the role.
        expect($status)->toBeIn([200, 201, 403, 422]);
        $status === 403 ?: ($done[] = $what);
    }

    expect($done)->toBe(array_slice(array_keys($tries), 0, $may[0]));
})->with([
    'lead' => [Role::Lead, [20]],
    'installer' => [Role::Installer, [14]],
    'apprentice' => [Role::Apprentice, [9]],
    'reader' => [Role::Reader, [3]],
]);

it('lets an apprentice go past no stop, and says whose it is to decide', function (): void {
    $job = Job::factory()->create(['survey' => Job::factory()->definition()['survey']]);
    $user = installer($job);
    $user->forceFill(['role' => Role::Apprentice])->save();
    $stop = fn () => editSurvey($job, 'override', ['code' => 'SC01', 'reason' => 'looked at it'])
        ->assertUnprocessable()
        ->json('errors.code.0');

    expect($stop())->toBe('This is for lead and installer to decide.');
    $user->forceFill(['role' => Role::Installer])->save();
    expect($stop())->not->toContain('to decide');
});

it('ends the sessions of who is deactivated, keeps their name, and keeps a lead', function (): void {
    $job = houseToProve();
    proveStep($job, 'fan.voltage');
    $gone = User::query()->where('crew_id', $job->crew_id)->oldest('id')->firstOrFail();
    $name = $gone->name;
    DB::table('sessions')->insert([
        'id' => 'x',
        'user_id' => $gone->id,
        'payload' => '',
        'last_activity' => time(),
    ]);
    $lead = person(Role::Lead, $gone->crew);
    $this->postJson("/crew/{$lead->id}/active", ['active' => false])->assertJsonValidationErrors('person');
    $this->postJson("/crew/{$lead->id}/role", ['role' => 'reader'])->assertJsonValidationErrors('person');
    $this->postJson("/crew/{$gone->id}/active", ['active' => false])->assertOk();

    expect(DB::table('sessions')->where('id', 'x')->exists())->toBeFalse();
    $this->actingAs($gone->refresh())->get('/jobs')->assertRedirect('/sign-in');
    $wrong = ['email' => $gone->email, 'password' => 'saltmarsh'];
    expect($this->post('/sign-in', $wrong)->getSession()->get('errors')->first('email'))->toContain('deactivated');
    $this->actingAs($lead);
    expect(
        $this->get("/jobs/{$job->id}/readings.csv")
            ->assertOk()
            ->getContent(),
    )->toContain($name);
    $this->postJson("/crew/{$gone->id}/password")->assertJsonValidationErrors('person');
    $this->postJson("/crew/{$gone->id}/active", ['active' => true])->assertOk();
    $this->post('/sign-out');
    $this->post('/sign-in', $wrong)->assertRedirect('/jobs');
});

it('lets no crew see or touch the people of another', function (): void {
    $theirs = User::factory()->create(['role' => Role::Lead]);
    $link = DoorLinks::invite($theirs->crew, 'new@crew.example', Role::Reader, $theirs)['link'];
    person(Role::Lead);

    $asked = ['role' => ['role' => 'reader'], 'active' => ['active' => false], 'password' => [], 'forget' => []];
    foreach ($asked as $what => $body) {
        $this->postJson("/crew/{$theirs->id}/{$what}", $body)->assertNotFound();
    }
    $this->postJson("/crew/links/{$link->id}/revoke")->assertNotFound();
    $page = $this->get('/crew')->assertOk();
    expect($page->inertiaProps('people'))
        ->toHaveCount(1)
        ->and($page->inertiaProps('links'))
        ->toBe([])
        ->and(json_encode($page->inertiaProps('log')))
        ->not->toContain('new@crew.example');
});
