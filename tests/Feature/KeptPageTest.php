<?php

declare(strict_types=1);

use App\Models\Crew\Role;
use App\Models\Crew\User;
use App\Models\Job;
use App\Models\Photo;
use App\Records\Step\StepRecord;
use App\Words\Units;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;

// A page that is kept is the page that would be worked out: whatever it shows is in the mark that it is kept under.

/** @return array<string, mixed> a stage of a job, without what is of the moment alone */
function stagePage(Job $job, string $stage): array
{
    $props = test()
        ->get("/jobs/{$job->id}/{$stage}")
        ->assertOk()
        ->inertiaProps();
    unset($props['now']);

    return $props;
}

it('shows what would be worked out anew after any change', function (Closure $change): void {
    $job = landedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
    $this->travel(2)->hours();
    $user = User::query()->where('crew_id', $job->crew_id)->oldest('id')->firstOrFail();
    $stages = ['survey', 'plan', 'set', 'prove', 'handover', 'trace'];
    foreach ($stages as $stage) {
        stagePage($job, $stage);
    }
    $before = array_map(fn (string $s): array => stagePage($job, $s), $stages);
    $change($job, $user);
    $this->actingAs($user->refresh());
    $kept = array_map(fn (string $s): array => stagePage($job, $s), $stages);
    Cache::flush();
    $anew = array_map(fn (string $s): array => stagePage($job, $s), $stages);

    expect($kept)->toBe($anew)->and($kept)->not->toBe($before);
})->with([
    'a reading' => fn (Job $job) => test()
        ->postJson("/jobs/{$job->id}/readings", [
            'id' => newId(),
            'stage' => 'survey',
            'mode' => 'V',
            'a' => 'indoor.R',
            'b' => 'indoor.C',
            'value' => '26',
        ])
        ->assertCreated(),
    'an edit' => fn (Job $job) => editSurvey($job, 'set-cable', [
        'cable' => 'A',
        'gauge' => 18,
        'feet' => 61,
    ])->assertOk(),
    'a power flag' => fn (Job $job) => raiseFlag($job, 'isolated', '0.0'),
    'a power flag that lapses' => function (Job $job): void {
        raiseFlag($job, 'isolated', '0.0');
        stagePage($job, 'survey');
        test()->travel(31)->minutes();
    },
    'a live reading that grows old' => fn () => test()->travel(11)->hours(),
    'a call that runs, and its seconds' => function (Job $job): void {
        test()
            ->postJson("/jobs/{$job->id}/steps", ['id' => newId(), 'step' => 'fan.voltage', 'event' => 'start'])
            ->assertSuccessful();
        stagePage($job, 'prove');
        test()->travel(7)->seconds();
    },
    'the wait after power that came back, under a call that was read' => function (Job $job): void {
        $step = 'cool-1.voltage';
        $post = static fn (string $path, array $body): TestResponse => test()
            ->postJson("/jobs/{$job->id}/{$path}", ['id' => newId(), 'step' => $step, ...$body])
            ->assertSuccessful();
        $post('steps', ['event' => 'start']);
        test()->travel(20)->minutes();
        foreach (StepRecord::all($job)[$step]->step->probes as $probe) {
            $pair = ['stage' => 'prove', 'mode' => $probe->mode->value, 'a' => $probe->a, 'b' => $probe->b];
            $post('readings', ['value' => (string) $post('expect', $pair)->json('nominal'), ...$pair]);
        }
        test()->travel(2)->hours();
        raiseFlag($job, 'isolated', '0.0');
        raiseFlag($job, 'live', '26.5');
        foreach (['prove', 'handover'] as $stage) {
            stagePage($job, $stage);
        }
        test()->travel(10)->minutes();
    },
    'a setting' => fn (Job $job) => test()
        ->postJson("/jobs/{$job->id}/settings", [
            'id' => newId(),
            'key' => 'fan-in-heat',
            'value' => 'equipment',
            'reason' => 'as the furnace is set',
        ])
        ->assertSuccessful(),
    'a name of the site' => fn (Job $job) => test()
        ->postJson("/jobs/{$job->id}/details", [
            'id' => newId(),
            'version' => $job->refresh()->version,
            'op' => 'details',
            'site' => 'Winch House',
            'address' => '',
            'system' => 'System',
            'kind' => 'replacement',
        ])
        ->assertOk(),
    'a name of a person, twice in a second' => function (Job $job): void {
        test()
            ->postJson('/account/name', ['name' => 'Wren Halyard'])
            ->assertOk();
        stagePage($job, 'set');
        test()
            ->postJson('/account/name', ['name' => 'Sedge Barrow'])
            ->assertOk();
    },
    'a role' => fn (Job $job, User $user) => $user->forceFill(['role' => Role::Reader])->save(),
    'units of a person' => fn () => test()
        ->postJson('/account/settings', ['units' => 'metric'])
        ->assertOk(),
    'units of the crew' => fn (Job $job, User $user) => $user->crew->forceFill(['units' => Units::Metric])->save(),
    'a name of the crew' => fn (Job $job, User $user) => $user->crew
        ->forceFill(['name' => 'Sounding Pole Services'])
        ->save(),
    'another job of the house' => function (Job $job): void {
        test()->travel(2)->seconds();
        test()
            ->postJson("/jobs/{$job->id}/copies", [
                'id' => newId(),
                'as' => 'visit',
                'kind' => 'follow-up',
                'name' => '',
            ])
            ->assertCreated();
    },
    'a thermostat of the crew\'s own' => fn () => test()
        ->postJson('/profiles', [
            'title' => 'Hallway, two heat',
            'screws' => 'R C Y W G',
            'power' => 'common',
            'va' => '2',
            'remote' => 'none',
            'switches' => 'face',
            'link' => 'automatic',
            'heat' => 1,
            'cool' => 1,
        ])
        ->assertOk(),
    'handed over' => fn (Job $job) => DB::table('jobs')
        ->where('id', $job->id)
        ->update([
            'handed_over_at' => now(),
            'handed_over_as' => '{"site":"A","address":"","system":"B","crew":"C","unsigned":[]}',
        ]),
]);

it('keeps a page, and works it out once', function (): void {
    $job = landedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
    $this->travel(2)->hours();
    stagePage($job, 'handover');
    $queries = 0;
    DB::listen(function () use (&$queries): void {
        $queries++;
    });
    stagePage($job, 'handover');
    $kept = $queries;
    Cache::flush();
    stagePage($job, 'handover');

    expect($queries - $kept)
        ->toBeGreaterThan(2 * $kept)
        ->and(Photo::query()->count())
        ->toBe(2);
});
