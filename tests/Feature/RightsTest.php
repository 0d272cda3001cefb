<?php

declare(strict_types=1);

use App\Crew\Door\DoorLinks;
use App\Crew\Door\StaySignedIn;
use App\Crew\People\Forget;
use App\Models\Crew\Role;
use App\Models\Crew\User;
use App\Models\Share\SharePart;
use App\Share\ShareLinks;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Session;
use Illuminate\Testing\TestResponse;

// What somebody gave out, and how long they stay in, ends with the right to it.

/** Another browser: it has these cookies and nothing else. */
function browser(array $cookies = []): void
{
    Auth::forgetGuards();
    Session::forgetDrivers();
    app()->forgetInstance('session.store');
    test()->flushSession();
    test()->withCookies([...array_fill_keys([Auth::guard('web')->getRecallerName(), 'stays'], ''), ...$cookies]);
}

/** @return array<string, string> cookies of "stay signed in" */
function staying(User $user, string ...$code): array
{
    browser();
    $asked = ['email' => $user->email, 'password' => 'saltmarsh', 'remember' => true];
    $answer = test()->post('/sign-in', $asked);
    if ($code !== []) {
        $answer = test()->post('/sign-in/code', ['code' => $code[0]]);
    }
    $answer->assertRedirect('/jobs');
    $cookies = [];
    foreach ([Auth::guard('web')->getRecallerName(), 'stays'] as $name) {
        $cookies[$name] = (string) $answer->getCookie($name)?->getValue();
    }

    return $cookies;
}

function looksIn(array $cookies): TestResponse
{
    browser($cookies);

    return test()->get('/account');
}

it('ends what a person gave out when the right to it ends', function (Closure $change, array $left): void {
    $lead = person(Role::Lead);
    $other = User::factory()->create(['crew_id' => $lead->crew_id, 'role' => Role::Lead]);
    $third = User::factory()->create(['crew_id' => $lead->crew_id]);
    $job = houseToProve();
    $job->forceFill(['crew_id' => $lead->crew_id])->save();
    $made = [
        'invitation' => DoorLinks::invite($lead->crew, 'new@crew.example', Role::Lead, $lead)['url'],
        'password of another' => DoorLinks::newPassword($third, $lead)['url'],
        'own password' => DoorLinks::newPassword($lead, null)['url'],
        'share' => ShareLinks::make($job, 'a neighbor', SharePart::cases(), 365, $lead)['url'],
        'invitation of another lead' => DoorLinks::invite($lead->crew, 'b@crew.example', Role::Lead, $other)['url'],
    ];
    $this->actingAs($other);
    $change($lead, $other);
    browser();
    $open = array_filter($made, fn (string $url): bool => $this->get($url)->status() === 200);

    expect(array_keys($open))->toBe($left);
})->with([
    'deactivated' => [
        fn (User $lead) => test()
            ->postJson("/crew/{$lead->id}/active", ['active' => false])
            ->assertOk(),
        ['invitation of another lead'],
    ],
    'an installer from now on' => [
        fn (User $lead) => test()
            ->postJson("/crew/{$lead->id}/role", ['role' => 'installer'])
            ->assertOk(),
        ['own password', 'share', 'invitation of another lead'],
    ],
    'a reader from now on' => [
        fn (User $lead) => test()
            ->postJson("/crew/{$lead->id}/role", ['role' => 'reader'])
            ->assertOk(),
        ['own password', 'invitation of another lead'],
    ],
    'forgotten' => [fn (User $lead, User $by) => Forget::person($lead, $by), ['invitation of another lead']],
    'deactivated and taken back' => [
        function (User $lead): void {
            test()
                ->postJson("/crew/{$lead->id}/active", ['active' => false])
                ->assertOk();
            test()
                ->postJson("/crew/{$lead->id}/active", ['active' => true])
                ->assertOk();
        },
        ['invitation of another lead'],
    ],
    'another name' => [
        fn (User $lead) => $lead->forceFill(['name' => 'Another'])->save(),
        ['invitation', 'password of another', 'own password', 'share', 'invitation of another lead'],
    ],
]);

it('lets a device stay signed in for thirty days after the password, however often it comes', function (): void {
    $user = User::factory()->create();
    $cookies = staying($user);
    foreach (range(1, 29) as $day) {
        $this->travel(1)->days();
        looksIn($cookies)->assertOk();
    }
    $this->travel(2)->days();
    looksIn($cookies)->assertRedirect('/sign-in');
});

it('ends a session that is used without end too', function (): void {
    $user = User::factory()->create();
    browser();
    $this->post('/sign-in', ['email' => $user->email, 'password' => 'saltmarsh'])->assertRedirect('/jobs');
    $this->travel(29)->days();
    $this->get('/account')->assertOk();
    $this->travel(2)->days();
    $this->get('/account')->assertRedirect('/sign-in');
    // A clock that was ahead by ten days gives nobody ten more.
    browser();
    $this->travel(10)->days();
    $this->post('/sign-in', ['email' => $user->email, 'password' => 'saltmarsh'])->assertRedirect();
    $this->travel(-10)->days();
    $this->get('/account')->assertOk();
    $this->travel(31)->days();
    $this->get('/account')->assertRedirect('/sign-in');
});

it('takes "stay signed in" from the device that it was given to, whole and for that person', function (): void {
    [$user, $other] = [User::factory()->create(), User::factory()->create()];
    $cookies = staying($user);
    $others = staying($other);
    looksIn(['stays' => 'x'] + $cookies)->assertRedirect('/sign-in');
    looksIn(array_diff_key($cookies, ['stays' => 1]))->assertRedirect('/sign-in');
    looksIn(['stays' => $others['stays']] + $cookies)->assertRedirect('/sign-in');
    looksIn($cookies)->assertOk();
});

it('asks a device that stays signed in for a code of the second factor again', function (): void {
    $this->freezeTime();
    $user = person(Role::Installer);
    $secret = $this->postJson('/account/factor', ['password' => 'saltmarsh'])->json('secret');
    $code = fn (): string => shown($secret, now()->getTimestamp());
    $this->postJson('/account/factor/confirm', ['code' => $code()])->assertOk();
    $this->travel(1)->minutes();
    $cookies = staying($user, $code());
    $this->travel(1)->days();
    looksIn($cookies)->assertRedirect('/sign-in/code');
    Auth::forgetGuards();
    $this->getJson('/account')->assertUnauthorized();
    Auth::forgetGuards();
    $this->get('/sign-in/code')->assertOk();
    Auth::forgetGuards();
    $this->postJson('/sign-in/code', ['code' => '000000'])->assertJsonValidationErrors('code');
    Auth::forgetGuards();
    $this->get('/jobs')->assertRedirect('/sign-in/code');
    Auth::forgetGuards();
    $this->post('/sign-in/code', ['code' => $code()])->assertRedirect('/jobs');
    Auth::forgetGuards();
    $this->get('/account')->assertOk();
    // The code does not stand for the password: its thirty days go on.
    $this->travel(StaySignedIn::DAYS - 1)->days();
    looksIn($cookies)->assertRedirect('/sign-in/code');
    $this->travel(1)->days();
    looksIn($cookies)->assertRedirect('/sign-in');
});

it('counts all of a password, however long it is', function (string $password): void {
    $user = User::factory()->create(['password' => $password]);
    $in = fn (string $with) => $this->post('/sign-in', ['email' => $user->email, 'password' => $with]);
    browser();
    $in(substr($password, 0, 72).'ZZZZZZZ')->assertSessionHasErrors('email');
    $in(mb_substr($password, 0, -1))->assertSessionHasErrors('email');
    $in($password)->assertRedirect('/jobs');
    expect(Hash::needsRehash((string) DB::table('users')->value('password')))->toBeFalse();
})->with([
    '128 letters' => str_repeat('heron and reed, ', 8),
    '73 bytes' => str_repeat('a1b2c3d4', 9).'x',
    '64 signs of four bytes' => str_repeat('🌾🛶', 32),
]);

it('refuses a new password of more than 128 signs in words', function (): void {
    person(Role::Installer);
    $this->postJson('/account/password', [
        'present' => 'saltmarsh',
        'password' => str_repeat('abcdefgh', 16).'!',
    ])->assertJsonValidationErrors(['password' => '128']);
});
