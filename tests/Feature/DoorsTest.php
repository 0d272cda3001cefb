<?php

declare(strict_types=1);

use App\Models\Crew\Crew;
use App\Models\Crew\User;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;

/** @return list<string> kinds of the security log, in order */
function logged(): array
{
    return DB::table('security_events')->orderBy('id')->pluck('kind')->all();
}

it('gives every answer its headers, and no page a script of its own', function (string $url, int $status): void {
    $job = plannedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
    $answer = $this->get(str_replace('JOB', $job->id, $url))->assertStatus($status);
    $answer
        ->assertHeader('X-Content-Type-Options', 'nosniff')
        ->assertHeader('Referrer-Policy', 'same-origin')
        ->assertHeaderMissing('X-Powered-By')
        ->assertHeaderMissing('Strict-Transport-Security');
    $policy = (string) $answer->headers->get('Content-Security-Policy');
    expect($policy)
        ->toContain("frame-ancestors 'none'")
        ->not->toContain('unsafe-eval')
        ->not->toMatch('/script-src[^;]*unsafe-inline/');
    expect((string) $answer->getContent())->not->toMatch('#(src|href)="(https?:)?//(?!localhost|127\.0\.0\.1)#');
    if (str_contains((string) $answer->headers->get('Content-Type'), 'text/html')) {
        expect(preg_match_all('/<script(?![^>]*\bsrc=)/', (string) $answer->getContent()))
            ->toBe(0)
            ->and($policy)
            ->toContain("script-src 'self';");
    }
})->with([
    'a page' => ['/jobs/JOB/prove', 200],
    'the jobs' => ['/jobs', 200],
    'the PDF' => ['/jobs/JOB/handover.pdf', 200],
    'a drawing' => ['/jobs/JOB/wiring.svg', 200],
    'a table' => ['/jobs/JOB/readings.csv', 200],
    'nothing' => ['/nothing', 404],
    'health' => ['/up', 200],
]);

it('asks for TLS only where a trusted proxy says TLS', function (): void {
    installer();
    $this->get('/jobs', ['X-Forwarded-Proto' => 'https'])->assertHeaderMissing('Strict-Transport-Security');
    config(['unionbit.trusted_proxies' => ['127.0.0.1']]);
    Illuminate\Http\Middleware\TrustProxies::at(['127.0.0.1']);
    $answer = $this->get('/jobs', ['X-Forwarded-Proto' => 'https']);
    Illuminate\Http\Middleware\TrustProxies::flushState();
    $answer->assertHeader('Strict-Transport-Security');
    expect(collect($answer->headers->getCookies())->every(fn ($cookie): bool => $cookie->isSecure()))
        ->toBeTrue()
        ->and($answer->headers->getCookies())
        ->not->toBe([]);
});

it('answers the one-person mode to names of this machine only', function (string $host, int $status): void {
    $job = plannedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
    config(['unionbit.solo' => true]);
    $server = ['SERVER_NAME' => '127.0.0.1', 'REMOTE_ADDR' => '127.0.0.1'];
    $this->call('GET', "http://{$host}/jobs", [], [], [], $server)->assertStatus($status);
    $this->call(
        'POST',
        "http://{$host}/jobs/{$job->id}/shelf",
        ['to' => 'archive'],
        [],
        [],
        [...$server, 'HTTP_ACCEPT' => 'application/json'],
    )->assertStatus($status);
    expect($job->refresh()->archived_at !== null)->toBe($status === 200);
})->with([
    ['127.0.0.1', 200],
    ['localhost:8000', 200],
    ['[::1]', 200],
    ['evil.example', 403],
    ['127.0.0.1.evil.example', 403],
    ['10.0.0.5', 403],
]);

it('limits sign-ins by account from any address, and by address for any account', function (): void {
    $user = User::factory()->create(['password' => 'saltmarsh']);
    $try = fn (string $email, string $from) => $this->withServerVariables(['REMOTE_ADDR' => $from])->postJson(
        '/sign-in',
        ['email' => $email, 'password' => 'wrong'],
    );
    foreach (range(1, 5) as $n) {
        $try($user->email, "127.0.1.{$n}")->assertUnprocessable();
    }
    expect($try($user->email, '127.0.1.99')->assertStatus(429)->json('errors.email.0'))->toStartWith(
        'Too many tries',
    );
    foreach (range(1, 30) as $n) {
        $try("nobody{$n}@crew.example", '127.0.2.1')->assertUnprocessable();
    }
    $try('another@crew.example', '127.0.2.1')->assertStatus(429);
    expect(array_count_values(logged()))->toBe(['sign-in-refused' => 35, 'sign-in-limited' => 2]);
});

it('does the same work for a name that nobody has', function (string $email): void {
    User::factory()->create(['email' => 'wren@ebb-and-sluice.example', 'password' => 'saltmarsh']);
    // The first time makes what later ones are compared with.
    $this->postJson('/sign-in', ['email' => 'first@crew.example', 'password' => 'wrong'])->assertUnprocessable();
    Hash::spy();
    $this->postJson('/sign-in', ['email' => $email, 'password' => 'wrong'])->assertUnprocessable();
    Hash::shouldHaveReceived('check')->once();
})->with(['known' => 'wren@ebb-and-sluice.example', 'unknown' => 'nobody@crew.example']);

it('ends the other sessions of a person when the password changes', function (): void {
    config(['session.driver' => 'database']);
    $user = User::factory()->create(['password' => 'saltmarsh']);
    $other = User::factory()->create();
    foreach (['mine' => $user->id, 'theirs' => $other->id] as $id => $whose) {
        DB::table('sessions')->insert([
            'id' => $id,
            'user_id' => $whose,
            'payload' => '',
            'last_activity' => time(),
        ]);
    }
    $token = $user->remember_token;
    $this->actingAs($user);
    $change = fn (string $present, string $new) => $this->postJson('/account/password', [
        'present' => $present,
        'password' => $new,
    ]);
    expect($change('wrong', 'a longer password of mine')->assertUnprocessable()->json('errors.present.0'))
        ->toContain('not your present password')
        ->and($change('saltmarsh', 'short')->assertUnprocessable()->json('errors.password.0'))
        ->toContain('at least 12');
    $change('saltmarsh', 'a longer password of mine')->assertOk();

    expect(DB::table('sessions')->pluck('id')->all())
        ->toContain('theirs')
        ->not->toContain('mine')
        ->and($user->refresh()->remember_token)
        ->not->toBe($token)
        ->and(Hash::check('a longer password of mine', $user->password))
        ->toBeTrue()
        ->and(logged())
        ->toContain('password-changed', 'refused');
});

it('keeps a security log of who came in, what was refused, what went out and who changed crews', function (): void {
    $job = houseToProve();
    $user = User::query()->where('crew_id', $job->crew_id)->oldest('id')->firstOrFail();
    $this->get("/jobs/{$job->id}/job-file")->assertOk();
    $this->get('/visits.ics')->assertOk();
    $user->forceFill(['crew_id' => Crew::factory()->create()->id])->save();
    $this->actingAs($user->refresh())
        ->get("/jobs/{$job->id}/job-file")
        ->assertForbidden();
    $this->post('/sign-out')->assertRedirect('/sign-in');
    $user->forceFill(['password' => 'saltmarsh'])->save();
    $this->post('/sign-in', ['email' => $user->email, 'password' => 'saltmarsh'])->assertRedirect();

    expect(logged())->toBe(['exported', 'exported', 'crew-changed', 'refused', 'signed-out', 'signed-in']);
    Artisan::call('unionbit:security-log', ['--most' => 1]);
    expect(json_decode(Artisan::output(), true))->toMatchArray([
        'kind' => 'signed-in',
        'what' => $user->email,
        'user_id' => $user->id,
    ]);
});

it('writes its files for itself alone, and puts an acknowledged record on the disk', function (): void {
    expect(umask())
        ->toBe(0077)
        ->and(config('database.connections.sqlite.synchronous'))
        ->toBe('FULL')
        ->and(config('database.connections.sqlite.journal_mode'))
        ->toBe('WAL')
        ->and(file_get_contents(base_path('.env.example')))
        ->toContain('SESSION_DRIVER=database');
});

it('refuses a list where words are wanted, and nothing at all where something is', function (
    string $method,
    string $url,
    array $body,
): void {
    $job = plannedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
    $answer = $this->json($method, str_replace('JOB', $job->id, $url), $body);
    if ($method === 'GET') {
        $this->get(str_replace('JOB', $job->id, $url))->assertStatus(400);
    }
    expect($answer->status())
        ->toBeGreaterThanOrEqual(400)
        ->toBeLessThan(500)
        ->and($answer->json('message') ?? $answer->json('errors'))
        ->not->toBeEmpty();
})->with([
    'step as a list' => ['GET', '/jobs/JOB/cannot-tell?step[]=fan.voltage', []],
    'find as a map' => ['GET', '/jobs?find[a]=b', []],
    'paper as a list' => ['GET', '/jobs/JOB/handover.pdf?paper[]=a4', []],
    'signs of a list' => ['POST', '/jobs/JOB/simulated-signs', ['step' => ['fan.voltage']]],
    'signs of nothing' => ['POST', '/jobs/JOB/simulated-signs', ['step' => null]],
    'a step of nothing' => [
        'POST',
        '/jobs/JOB/steps',
        ['id' => '01KV0000000000000000000001', 'step' => null, 'event' => 'start'],
    ],
    'a sign of nothing' => [
        'POST',
        '/jobs/JOB/signs',
        ['id' => '01KV0000000000000000000001', 'step' => null, 'sign' => null, 'seen' => null],
    ],
    'a reading of lists' => [
        'POST',
        '/jobs/JOB/readings',
        [
            'id' => '01KV0000000000000000000001',
            'stage' => 'prove',
            'mode' => 'V',
            'a' => [],
            'b' => [],
            'value' => '1',
        ],
    ],
    'a profile as a list' => ['GET', '/jobs/JOB/offers?profile[]=x', []],
    'a sign that is no text' => ['POST', '/account/name', ['name' => "Wren\0Halyard"]],
    'a name of two lines' => ['POST', '/account/name', ['name' => "Wren\nHalyard"]],
    'a name that is read backwards' => ['POST', '/account/name', ['name' => "Wren \u{202E}dray\u{202C}lah"]],
    'a name that is set apart' => ['POST', '/account/name', ['name' => "\u{2067}Wren\u{2069}"]],
    'a house of two lines' => ['POST', '/jobs/JOB/details', ['site' => "Tollhouse\r\nhanded over"]],
    'a field that is no name' => ['POST', '/account/name', ['name' => 'Wren', "na\0me" => 'x']],
    'a list under no name' => ['POST', '/account/name', ['name' => 'Wren', "a\u{202E}b" => ['x']]],
    'a person who is no number' => ['POST', '/crew/abc/role', ['role' => 'lead']],
    'a person beyond any' => ['POST', '/crew/99999999999999999999/role', ['role' => 'lead']],
    'a link that is no number' => ['POST', '/shares/abc/revoke', []],
    'a version beyond any' => [
        'POST',
        '/jobs/JOB/survey-edits',
        ['id' => '01KV0000000000000000000001', 'version' => 1, 'op' => 'restore', 'to_version' => 99_999_999_999],
    ],
    'a job file with no text in it' => ['POST', '/jobs', ['id' => "01KV000000000000000000000\0"]],
]);
