<?php

declare(strict_types=1);

use App\Crew\Door\DoorLinks;
use App\Models\Crew\Role;
use App\Models\Crew\User;
use App\Models\Share\SharePart;
use App\Models\Work\Errand;
use App\Records\Power\PowerFlag;
use App\Records\Step\StepRecord;
use App\Share\ShareLinks;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Session;
use Illuminate\Support\Facades\Storage;

// The server's clock set an hour and a day ahead, and set right again; an hour and a day behind, and set right again.
// Whatever it says: nobody is let in by it, nobody is locked out for longer than a door closes, nothing hangs, nothing
// is proved by a moment that has not come, and records stay in the order in which they were taken.

dataset('jumps', ['an hour ahead' => 1, 'a day ahead' => 24, 'an hour behind' => -1, 'a day behind' => -24]);

it('never opens a link again that had ended, and opens those that have not', function (int $hours): void {
    $lead = person(Role::Lead);
    $door = DoorLinks::invite($lead->crew, 'teal@crew.example', Role::Reader, $lead)['url'];
    $short = DoorLinks::newPassword($lead, null)['url'];
    $share = ShareLinks::make(houseToProve(), 'a neighbor', SharePart::cases(), 1, $lead)['url'];
    $status = fn (): array => array_map(fn (string $url): int => $this->get($url)->status(), [$door, $short, $share]);
    auth()->forgetGuards();
    expect($status())->toBe([200, 200, 200]);
    $this->travel($hours)->hours();
    expect($status())->toBe($hours < 24 ? [200, 200, 200] : [200, 410, 410]);
    $this->travel(-$hours)->hours();
    $this->travel(25)->hours();
    Artisan::call('unionbit:tidy');
    expect($status())->toBe([200, 410, 410]);
    $this->travel(min($hours, -$hours))->hours();
    expect($status())->toBe([200, 410, 410]);
})->with('jumps');

it('closes a door for no longer than it does, whatever the clock did meanwhile', function (int $hours): void {
    $user = User::factory()->create();
    $try = fn (string $with): int => $this->postJson('/sign-in', [
        'email' => $user->email,
        'password' => $with,
    ])->status();
    $this->travel($hours)->hours();
    foreach (range(1, 5) as $n) {
        expect($try('wrong'))->toBe(422);
    }
    expect($try('saltmarsh'))->toBe(429);
    $this->travel(-$hours)->hours();
    $this->travel(61)->seconds();

    expect($try('saltmarsh'))->toBe(302)->and(RateLimiter::availableIn("sign-in|account|{$user->email}"))->toBe(0);
})->with('jumps');

it('takes the code of a device when the clock is right again, and none of another hour', function (
    int $hours,
): void {
    $user = person(Role::Installer);
    $secret = $this->postJson('/account/factor', ['password' => 'saltmarsh'])->json('secret');
    $real = now()->getTimestamp();
    $this->postJson('/account/factor/confirm', ['code' => shown($secret, $real)])->assertOk();
    $this->travel($hours)->hours();
    $this->postJson('/account/factor/off', ['code' => shown($secret, $real + 60)])->assertUnprocessable();
    $this->travel(-$hours)->hours();
    $this->travel(60)->seconds();
    $this->postJson('/account/factor/off', ['code' => shown($secret, now()->getTimestamp())])->assertOk();
})->with('jumps');

it('proves nothing by a moment that has not come, and waits no longer than a delay is', function (
    int $hours,
): void {
    // Only what the test says passes: seconds that it takes would be of the wait.
    $this->freezeTime();
    $job = houseToProve('c-powered-1h-1c');
    $this->travel($hours)->hours();
    raiseFlag($job, 'live', '26.5');
    $post = fn (string $path, array $body) => $this->postJson("/jobs/{$job->id}/{$path}", [
        'id' => newId(),
        ...$body,
    ]);
    $post('steps', ['step' => 'cool-1.voltage', 'event' => 'start'])->assertSuccessful();
    $left = StepRecord::all($job->refresh())['cool-1.voltage']->secondsLeft();
    $first = $post('readings', [
        'stage' => 'survey',
        'mode' => 'V',
        'a' => 'indoor.R',
        'b' => 'indoor.C',
        'value' => '26',
    ]);
    $this->travel(-$hours)->hours();
    $now = StepRecord::all($job->refresh())['cool-1.voltage']->secondsLeft();
    $flag = PowerFlag::of($job);
    $next = $post('readings', [
        'stage' => 'survey',
        'mode' => 'V',
        'a' => 'indoor.R',
        'b' => 'indoor.C',
        'value' => '26',
    ]);

    expect($now)
        ->toBeLessThanOrEqual(StepRecord::all($job)['cool-1.voltage']->step->wait->seconds)
        ->toBeGreaterThanOrEqual($left)
        ->and($flag->state->value)
        ->toBe($hours > 0 ? 'not-proved' : 'live')
        ->and($job->readings()->orderBy('seq')->pluck('id')->all())
        ->toBe([$first->assertCreated()->json('id'), $next->assertCreated()->json('id')]);
})->with('jumps');

it('lets no work hang for it', function (int $hours): void {
    Storage::fake('local');
    config(['queue.default' => 'database']);
    $job = houseToProve();
    $this->travel($hours)->hours();
    $id = newId();
    $this->postJson("/jobs/{$job->id}/handover.pdf", ['id' => $id, 'paper' => 'a4'])->assertStatus(202);
    $this->travel(-$hours)->hours();
    Artisan::call('unionbit:take-up');
    expect(DB::table('queue_work')->value('available_at'))->toBeLessThanOrEqual(now()->addMinute()->getTimestamp());
    Artisan::call('queue:work', ['--stop-when-empty' => true]);

    expect(Errand::query()->findOrFail($id)->state->value)->toBe('done');
})->with('jumps');

it('keeps somebody signed in for no longer than a session is', function (int $hours): void {
    config(['session.driver' => 'database']);
    $user = User::factory()->create();
    $in = $this->post('/sign-in', ['email' => $user->email, 'password' => 'saltmarsh'])->assertRedirect('/jobs');
    $cookie = config()->string('session.cookie');
    $this->withCookie($cookie, (string) $in->getCookie($cookie)?->getValue());
    $look = function (): int {
        auth()->forgetGuards();
        Session::forgetDrivers();
        app()->forgetInstance('session.store');

        return $this->get('/account')->status();
    };
    expect($look())->toBe(200);
    $this->travel($hours)->hours();
    $ahead = $look();
    expect($ahead)->toBe($hours === 24 ? 302 : 200);
    $this->travel(-$hours)->hours();
    $look();
    $this->travel(13)->hours();
    expect($look())->toBe(302);
})->with('jumps');
