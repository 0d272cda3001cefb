<?php

declare(strict_types=1);

use App\Crew\Door\DoorLinks;
use App\Crew\Door\FirstStart;
use App\Crew\Factor\SecondFactor;
use App\Models\Crew\Crew;
use App\Models\Crew\Role;
use App\Models\Crew\User;
use App\Models\Door\DoorLink;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;

// How somebody comes in: the first of a server, by a link, with a second factor, with a new password.

it('lets nobody but its first lead into an empty server, and them once', function (): void {
    $this->get('/sign-in')->assertRedirect('/first-start');
    $this->get('/first-start')->assertInertia(fn ($page) => $page->component('door/FirstStart'));
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

it(
    'writes every mail to a log of its own where none goes out, at every level of the log, and no link',
    function (): void {
        $log = sys_get_temp_dir().'/mail-'.newId().'.log';
        config([
            'mail.default' => 'log',
            'logging.default' => 'single',
            'logging.channels.file.level' => 'emergency',
            'logging.channels.mail.path' => $log,
        ]);
        $lead = person(Role::Lead);
        $made = DoorLinks::invite($lead->crew, 'teal@ebb-and-sluice.example', Role::Apprentice, $lead);
        expect($made['mailed'])->toBeFalse();
        $this->postJson('/account/password', ['present' => 'saltmarsh', 'password' => GOOD_PASSWORD])->assertOk();
        auth()->forgetGuards();
        $this->get('/forgot')->assertInertia(fn ($page) => $page->where('mails', false));
        $this->post('/forgot', ['email' => $lead->email])->assertOk();
        $said = (string) file_get_contents($log);

        expect($said)
            ->toContain('your password was changed')
            ->toContain("unionbit:password {$lead->email}")
            ->toContain('asks you in')
            ->not->toMatch('#/door/|[A-Za-z0-9_-]{43}#')
            ->and(DoorLink::query()->open()->where('kind', 'password')->count())
            ->toBe(0);
        // Whoever runs the server lets the lead in whom nobody else can help.
        expect(Artisan::call('unionbit:password', ['email' => $lead->email]))->toBe(0);
        preg_match('#/door/(\S+)#', Artisan::output(), $found);
        $this->post("/door/{$found[1]}", ['password' => 'another ropewalk and herons'])->assertRedirect('/jobs');
        expect(Artisan::call('unionbit:password', ['email' => 'nobody@crew.example']))->toBe(1);
    },
);

it('invites by a link that lets one person in, once, as what they were invited', function (): void {
    $lead = person(Role::Lead);
    $ask = ['email' => 'teal@ebb-and-sluice.example', 'role' => 'apprentice'];
    $url = $this->postJson('/crew/links', $ask)->assertCreated()->json('url');
    $token = basename($url);
    expect(DB::table('door_links')->where('token', $token)->exists())->toBeFalse();
    $this->post('/sign-out');
    $this->get("/door/{$token}")->assertInertia(
        fn ($page) => $page->component('door/Door')->where('kind', 'invitation')->where('role', 'apprentice'),
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
    config(['mail.default' => 'array']);
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
