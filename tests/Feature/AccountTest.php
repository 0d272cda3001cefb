<?php

declare(strict_types=1);

use App\Crew\Door\DoorLinks;
use App\Jobs\Screen\JobSummaries;
use App\Models\Crew\Role;
use App\Models\Crew\User;
use App\Models\Job;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

// What is a person's own: how they like it, their devices, what is kept of them.

it('keeps how somebody likes it, for them alone', function (): void {
    seedDemo();
    $job = Job::at('Tollhouse');
    $user = installer($job);
    $other = User::query()->where('crew_id', $job->crew_id)->orderByDesc('id')->firstOrFail();
    $cable = function (User $who) use ($job): string {
        // A busy machine leaves some for the next look.
        do {
            $page = $this->actingAs($who)->get('/jobs')->assertOk();
        } while ($page->inertiaProps('waiting') > 0);

        return collect($page->inertiaProps('jobs'))->firstWhere('id', $job->id)['cable'];
    };
    expect($cable($user))->toContain('ft');
    $bad = [
        'units' => 'leagues',
        'theme' => 'neon',
        'school' => 'none',
        'hand' => 'both',
        'language' => 'en-XA',
        'singleKeys' => 'no',
    ];
    foreach ($bad as $key => $value) {
        $this->postJson('/account/settings', [$key => $value])->assertJsonValidationErrors($key);
    }
    $this->postJson('/account/settings', ['units' => 'metric', 'school' => 'jumper'])->assertOk();
    $this->postJson('/account/settings', ['hand' => 'left', 'singleKeys' => false])
        ->assertOk()
        ->assertJson(['units' => 'metric', 'school' => 'jumper', 'hand' => 'left', 'singleKeys' => false]);

    expect($cable($user->refresh()))
        ->toContain(' m')
        ->not->toContain('ft')
        ->and($cable($other))
        ->toContain('ft')
        ->and(DB::table('job_summaries')->where('job_id', $job->id)->pluck('said')->all())
        ->toEqualCanonicalizing(['en/us', 'en/metric']);
});

it('lists the devices that somebody is signed in on, and ends them', function (): void {
    config(['session.driver' => 'database']);
    $user = person(Role::Installer);
    $agent = 'Mozilla/5.0 (Linux; Android 14) Chrome/130.0 Mobile';
    foreach (
        ['phone' => $user->id, 'van' => $user->id, 'theirs' => User::factory()->create()->id] as $id => $whose
    ) {
        DB::table('sessions')->insert([
            'id' => $id,
            'user_id' => $whose,
            'user_agent' => $agent,
            'payload' => '',
            'last_activity' => time(),
        ]);
    }
    $devices = collect($this->get('/account')->assertOk()->inertiaProps('devices'))->where('here', false);
    expect($devices)
        ->toHaveCount(2)
        ->and($devices->first())
        ->toMatchArray(['browser' => 'Chrome', 'system' => 'Android']);
    $token = $user->refresh()->remember_token;
    $this->postJson('/account/devices', ['device' => $devices->first()['id']])
        ->assertOk()
        ->assertJson(['ended' => 1]);
    expect(
        DB::table('sessions')
            ->whereIn('id', ['phone', 'van'])
            ->count(),
    )
        ->toBe(1)
        ->and($user->refresh()->remember_token)
        ->not->toBe($token);
    $this->postJson('/account/devices')->assertOk();
    expect(
        DB::table('sessions')
            ->whereIn('id', ['phone', 'van', 'theirs'])
            ->pluck('id')
            ->all(),
    )->toBe(['theirs']);
});

it('takes out all that is kept of somebody, and no secret', function (): void {
    $job = houseToProve();
    proveStep($job, 'fan.voltage');
    $user = User::query()->where('crew_id', $job->crew_id)->oldest('id')->firstOrFail();
    DB::table('sessions')->insert([
        ...['id' => 'a-session-of-theirs', 'user_id' => $user->id, 'payload' => 'x', 'last_activity' => time()],
    ]);
    $data = json_decode((string) $this->actingAs($user)->get('/account/data')->assertOk()->getContent(), true);

    expect($data['person']['email'])
        ->toBe($user->email)
        ->and($data['rows']['readings'])
        ->toHaveCount(DB::table('readings')->where('user_id', $user->id)->count())
        ->and($data['rows'])
        ->toHaveKeys(['sessions', 'observations', 'power_events', 'job_revisions', 'step_events']);
    $flat = (string) json_encode($data);
    expect($flat)
        ->not->toContain('a-session-of-theirs')
        ->not->toContain($user->password)
        ->not->toContain('remember_token');
});

it('forgets a person: no table names them any more, and every row of the record stands', function (): void {
    seedDemo();
    $job = Job::at('Lock Keeper\'s Row 4');
    $wren = User::query()->where('name', 'Wren Halyard')->sole();
    $sedge = User::query()->where('name', 'Sedge Barrow')->sole();
    $survey = DB::table('jobs')->where('id', $job->id)->value('survey');
    DB::table('jobs')
        ->where('id', $job->id)
        ->update([
            'survey' => json_encode([
                ...(array) json_decode((string) $survey, true),
                'overrides' => ['SC07' => 'seen (Wren Halyard)'],
            ]),
        ]);
    DB::table('readings')
        ->where('job_id', $job->id)
        ->limit(1)
        ->update(['from_file' => 'Wren Halyard']);
    $this->actingAs($wren);
    // They had another name for a while, which is written where they were then.
    $this->postJson('/account/name', ['name' => 'Halyard Wrenfield'])->assertOk();
    expect(DB::table('jobs')->whereNull('handed_over_at')->where('who', 'Wren Halyard')->count())
        ->toBe(0)
        ->and(DB::table('jobs')->where('who', 'Halyard Wrenfield')->count())
        ->toBeGreaterThan(3);
    DoorLinks::newPassword($wren, $wren);
    JobSummaries::catchUp($wren->crew_id, INF);
    $tables = array_diff(Schema::getTableListing(schemaQualified: false), ['migrations']);
    $counts = fn (): array => array_map(
        static fn (string $t): int => DB::table($t)->count(),
        array_combine(
            $records = array_values(
                array_filter($tables, static fn (string $t): bool => Schema::hasColumn($t, 'job_id')),
            ),
            $records,
        ),
    );
    $before = $counts();
    $this->postJson('/account/forget', ['password' => 'saltmarsh'])->assertJsonValidationErrors('person');
    $sedge->forceFill(['role' => Role::Lead])->save();
    $this->postJson('/account/forget', ['password' => 'wrong'])->assertJsonValidationErrors('password');
    $this->postJson('/account/forget', ['password' => 'saltmarsh'])->assertOk();
    JobSummaries::catchUp($wren->crew_id, INF);

    expect($counts())->toBe($before);
    foreach ($tables as $table) {
        if (str_starts_with($table, 'job_words_')) {
            continue;
        }
        $all = json_encode(DB::table($table)->get(), JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE);
        expect(
            str_contains(mb_strtolower((string) $all), 'halyard') || str_contains((string) $all, 'wren@'),
        )->toBeFalse("{$table} still names them");
    }
    $this->post('/sign-in', [
        'email' => 'wren@ebb-and-sluice.example',
        'password' => 'saltmarsh',
    ])->assertSessionHasErrors('email');
    $this->actingAs($sedge->refresh())
        ->postJson("/crew/{$wren->id}/active", ['active' => true])
        ->assertNotFound();
    expect(sheet($job->refresh()))->toContain("Former member {$wren->id}");
});
