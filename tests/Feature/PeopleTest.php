<?php

declare(strict_types=1);

use App\Crew\Door\DoorLinks;
use App\Crew\Door\FirstStart;
use App\Crew\Factor\SecondFactor;
use App\Jobs\Screen\JobSummaries;
use App\Models\Crew;
use App\Models\Door\DoorLink;
use App\Models\Job;
use App\Models\Role;
use App\Models\User;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Schema;
use Symfony\Component\Process\Process;

const GOOD_PASSWORD = 'ropewalk and three herons';

/** Somebody of a crew, signed in. */
function person(Role $role, ?Crew $crew = null): User
{
    $user = User::factory()->create(['role' => $role, ...$crew === null ? [] : ['crew_id' => $crew->id]]);
    test()->actingAs($user);

    return $user;
}

/** The code that a device with this secret shows at a moment. */
function shown(string $secret, int $at): string
{
    $device = new Process(['oathtool', '--totp', '--base32', "--now=@{$at}", '-'], input: "{$secret}\n");

    return trim($device->mustRun()->getOutput());
}

it('lets nobody but its first lead into an empty server, and them once', function (): void {
    $this->get('/sign-in')->assertRedirect('/first-start');
    $this->get('/first-start')->assertInertia(fn ($page) => $page->component('FirstStart'));
    $asked = [
        'code' => 'guessed',
        'crew' => 'Ebb & Sluice Heating',
        'name' => 'Wren Halyard',
        'email' => 'Wren@ebb-and-sluice.example',
        'password' => GOOD_PASSWORD,
    ];
    expect(decoct(fileperms(FirstStart::file()) & 0777))->toBe('600');
    $this->post('/first-start', $asked)->assertSessionHasErrors('code');
    $this->post('/first-start', [
        ...$asked,
        'code' => FirstStart::code(),
        'password' => 'saltmarsh',
    ])->assertSessionHasErrors('password');
    expect(User::query()->count())->toBe(0);
    $this->post('/first-start', [...$asked, 'code' => FirstStart::code()])->assertRedirect('/crew');

    $lead = User::query()->sole();
    expect($lead->role)
        ->toBe(Role::Lead)
        ->and($lead->email)
        ->toBe('wren@ebb-and-sluice.example')
        ->and(is_file(FirstStart::file()))
        ->toBeFalse();
    $this->post('/sign-out');
    $this->post('/first-start', [...$asked, 'email' => 'sedge@ebb-and-sluice.example'])->assertNotFound();
    $this->get('/first-start')->assertRedirect('/sign-in');
});

it('makes a crew from the command line, whose lead comes in by a link', function (): void {
    Artisan::call('unionbit:crew', ['name' => 'Sounding Pole Services', 'email' => 'lead@crew.example']);
    preg_match('#/door/(\S+)#', Artisan::output(), $found);
    $this->post("/door/{$found[1]}", ['name' => 'A lead', 'password' => GOOD_PASSWORD])->assertRedirect('/jobs');

    $lead = User::query()->sole();
    expect([$lead->role, $lead->crew->name])->toBe([Role::Lead, 'Sounding Pole Services']);
    expect(Artisan::call('unionbit:crew', ['name' => 'Another', 'email' => 'lead@crew.example']))->toBe(1);
    expect(Artisan::call('unionbit:crew', ['name' => 'Another', 'email' => 'nobody']))
        ->toBe(2)
        ->and(Crew::query()->count())
        ->toBe(1);
});

it('invites by a link that lets one person in, once, as what they were invited', function (): void {
    $lead = person(Role::Lead);
    $ask = ['email' => 'teal@ebb-and-sluice.example', 'role' => 'apprentice'];
    $url = $this->postJson('/crew/links', $ask)->assertCreated()->json('url');
    $token = basename($url);
    expect(DB::table('door_links')->where('token', $token)->exists())->toBeFalse();
    $this->post('/sign-out');
    $this->get("/door/{$token}")->assertInertia(
        fn ($page) => $page->component('Door')->where('kind', 'invitation')->where('role', 'apprentice'),
    );
    $in = ['name' => 'Teal Marl', 'password' => GOOD_PASSWORD];
    $this->post("/door/{$token}", [...$in, 'password' => 'short'])->assertSessionHasErrors('password');
    $this->post("/door/{$token}", [...$in, 'password' => 'teal@ebb-and-sluice'])->assertSessionHasErrors(
        'password',
    );
    $this->post("/door/{$token}", [...$in, 'password' => 'passwordpassword'])->assertSessionHasErrors('password');
    $this->post("/door/{$token}", [...$in, 'password' => 'q1w2e3r4t5y6'])->assertSessionHasErrors('password');
    $this->post("/door/{$token}", $in)->assertRedirect('/jobs');

    $teal = User::query()->where('email', $ask['email'])->sole();
    expect([$teal->role, $teal->crew_id])->toBe([Role::Apprentice, $lead->crew_id]);
    $this->post('/sign-out');
    $this->get("/door/{$token}")->assertStatus(410);
    $this->post("/door/{$token}", $in)->assertSessionHasErrors('password');
    $this->actingAs($lead)->postJson('/crew/links', $ask)->assertJsonValidationErrors('email');
});

it('ends a link by its time, by taking it back, and by a newer one', function (Closure $ends): void {
    $lead = person(Role::Lead);
    $made = DoorLinks::invite($lead->crew, 'teal@ebb-and-sluice.example', Role::Apprentice, $lead);
    $this->get('/door/'.basename($made['url']))->assertOk();
    $ends($made['link'], $lead);

    $this->get('/door/'.basename($made['url']))->assertStatus(410);
})->with([
    'time' => fn () => test()
        ->travel(7 * 24 * 60 + 1)
        ->minutes(),
    'taken back' => fn (DoorLink $l) => test()
        ->postJson("/crew/links/{$l->id}/revoke")
        ->assertOk(),
    'newer' => fn (DoorLink $l, User $by) => DoorLinks::invite($by->crew, $l->email, Role::Reader, $by),
]);

it('lets each role do what it may and nothing more', function (Role $role, array $may): void {
    $job = houseToProve();
    $user = User::query()->where('crew_id', $job->crew_id)->firstOrFail();
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
    $gone = User::query()->where('crew_id', $job->crew_id)->firstOrFail();
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

it('asks for the code of a device beside the password, takes each once, and ten on paper', function (): void {
    $this->freezeTime();
    $user = person(Role::Installer);
    $this->postJson('/account/factor', ['password' => 'wrong'])->assertJsonValidationErrors('password');
    $secret = $this->postJson('/account/factor', ['password' => 'saltmarsh'])
        ->assertOk()
        ->json('secret');
    $now = now()->getTimestamp();
    $this->postJson('/account/factor/confirm', ['code' => shown($secret, $now - 3600)])->assertJsonValidationErrors(
        'code',
    );
    $codes = $this->postJson('/account/factor/confirm', ['code' => shown($secret, $now)])
        ->assertOk()
        ->json('codes');
    expect($codes)
        ->toHaveCount(10)
        ->and((string) DB::table('users')->value('totp_secret'))
        ->not->toContain($secret);
    $this->post('/sign-out');

    $password = fn () => $this->post('/sign-in', [
        'email' => $user->email,
        'password' => 'saltmarsh',
    ])->assertRedirect('/sign-in/code');
    $code = fn (string $code) => $this->post('/sign-in/code', ['code' => $code]);
    $password();
    $this->assertGuest();
    // The one that put it on was taken.
    $code(shown($secret, $now))->assertSessionHasErrors('code');
    $this->assertGuest();
    $this->travel(30)->seconds();
    $code(shown($secret, $now + 30))->assertRedirect('/jobs');
    $this->assertAuthenticatedAs($user);
    $this->post('/sign-out');
    $password();
    $code(strtoupper($codes[3]))->assertRedirect('/jobs');
    $this->post('/sign-out');
    $password();
    $code($codes[3])->assertSessionHasErrors('code');
    foreach (range(1, 4) as $try) {
        $code('000000')->assertSessionHasErrors('code');
    }
    // The right one too: the tries are used up, whoever tries.
    $code($codes[4])->assertSessionHasErrors('code');
    $this->assertGuest();
    $this->travel(11)->minutes();
    $code($codes[4])->assertRedirect('/sign-in');
    expect($user->refresh()->recovery_codes)->toHaveCount(9);
});

it('sets a new password by a link, which opens no door past a second factor', function (): void {
    $user = User::factory()->create();
    $lead = person(Role::Lead, $user->crew);
    SecondFactor::begin($user);
    $user->forceFill(['totp_since' => now()])->save();
    DB::table('sessions')->insert([
        'id' => 'x',
        'user_id' => $user->id,
        'payload' => '',
        'last_activity' => time(),
    ]);
    $token = basename(
        $this->postJson("/crew/{$user->id}/password")
            ->assertCreated()
            ->json('url'),
    );
    $this->post('/sign-out');
    $this->post("/door/{$token}", ['password' => GOOD_PASSWORD])->assertRedirect('/sign-in');
    $this->assertGuest();

    expect(Hash::check(GOOD_PASSWORD, $user->refresh()->password))
        ->toBeTrue()
        ->and(DB::table('sessions')->where('id', 'x')->exists())
        ->toBeFalse()
        ->and($user->hasSecondFactor())
        ->toBeTrue();
    $this->actingAs($lead)
        ->postJson("/crew/{$user->id}/password", ['factor' => true])
        ->assertCreated();
    expect($user->refresh()->hasSecondFactor())->toBeFalse();
});

it('answers whoever forgot a password the same, known or not, and mails only the known', function (): void {
    $user = User::factory()->create();
    $ask = fn (string $email): string => (string) json_encode(
        $this->post('/forgot', ['email' => $email])
            ->assertOk()
            ->inertiaProps(),
    );
    $told = [$ask($user->email), $ask('nobody@crew.example')];

    expect(DoorLink::query()->pluck('email')->all())
        ->toBe([$user->email])
        ->and(str_replace($user->email, '', $told[0]))
        ->toBe(str_replace('nobody@crew.example', '', $told[1]));
});

it('keeps how somebody likes it, for them alone', function (): void {
    $this->seed();
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
    $user = User::query()->where('crew_id', $job->crew_id)->firstOrFail();
    $data = json_decode((string) $this->actingAs($user)->get('/account/data')->assertOk()->getContent(), true);

    expect($data['person']['email'])
        ->toBe($user->email)
        ->and($data['rows']['readings'])
        ->toHaveCount(DB::table('readings')->where('user_id', $user->id)->count())
        ->and($data['rows'])
        ->toHaveKeys(['observations', 'power_events', 'job_revisions', 'step_events']);
    $flat = (string) json_encode($data);
    expect($flat)->not->toContain($user->password)->not->toContain('remember_token');
});

it('forgets a person: no table names them any more, and every row of the record stands', function (): void {
    $this->seed();
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
