<?php

declare(strict_types=1);

use App\Models\Crew\Role;
use App\Models\Crew\User;
use App\Models\Share\SharePart;
use App\Share\ShareLinks;
use Illuminate\Cache\RateLimiter;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Facade;
use Illuminate\Support\Str;

// Tries at the doors, and what is kept of who goes through them.

/** @return array<string, Closure(): int> each door with one try at it, which answers the status */
function doors(): array
{
    $user = User::factory()->create(['role' => Role::Lead]);
    test()->actingAs($user);
    $share = ShareLinks::make(houseToProve(), 'a neighbor', SharePart::cases(), 7, $user)['url'];
    $nobody = static function (): void {
        auth()->forgetGuards();
    };
    $get = static fn (string $path): Closure => static function () use ($path, $nobody): int {
        $nobody();

        return test()->get($path)->status();
    };
    $post = static fn (string $path): Closure => static function () use ($path, $nobody): int {
        $nobody();

        return test()
            ->post($path, ['email' => 'nobody@unionbit.example'])
            ->status();
    };

    return [
        'a shared page' => $get($share),
        'a photograph of it' => $get("{$share}/photos/".newId()),
        'a link' => $get('/door/none'),
        'using a link' => $post('/door/none'),
        'a new password' => $post('/forgot'),
        'health' => $get('/health'),
        'metrics' => $get('/metrics'),
    ];
}

it('counts each kind of door for itself: none locks another', function (): void {
    $doors = doors();
    foreach ($doors as $name => $try) {
        Cache::store(config()->string('cache.limiter'))->flush();
        for ($n = 0; $n < 300 && $try() !== 429; $n++);
        $open = array_filter($doors, fn (Closure $other): bool => $other() !== 429);

        expect($n)
            ->toBeLessThan(300)
            ->and(array_keys($open))
            ->toBe(array_values(array_diff(array_keys($doors), [$name])));
    }
});

it('shows a door where nothing can be counted', function (): void {
    config(['unionbit.limits' => '/nowhere/limits.sqlite', 'cache.limiter' => 'limits']);
    app()->forgetInstance(RateLimiter::class);
    Cache::forgetDriver('limits');
    Facade::clearResolvedInstance(RateLimiter::class);
    $this->get('/health')->assertHeaderMissing('Retry-After');
    $this->get('/door/none')->assertStatus(410);
    expect($this->get('/forgot')->status())->toBe(200);
});

it('counts tries of all processes together', function (): void {
    $file = sys_get_temp_dir().'/limits-'.newId();
    $tries = <<<'PHP'
    require 'vendor/autoload.php';
    $app = require 'bootstrap/app.php';
    $app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();
    config(['unionbit.limits' => $argv[1]]);
    $store = Illuminate\Support\Facades\Cache::repository(App\Web\Limit\Limits::store());
    $limiter = new Illuminate\Cache\RateLimiter($store);
    for ($n = 0; $n < 25; $n++) {
        $limiter->hit('a door');
    }
    echo $limiter->attempts('a door');
    PHP;
    $processes = [];
    foreach (range(1, 4) as $n) {
        $process = proc_open([PHP_BINARY, '-r', $tries, $file], [1 => ['pipe', 'w']], $pipes, base_path());
        $processes[] = [$process, $pipes[1]];
    }
    $counted = array_map(fn (array $p): int => (int) stream_get_contents($p[1]), $processes);
    array_map(fn (array $p): int => proc_close($p[0]), $processes);

    expect(max($counted))->toBe(100);
})->group('sqlite');

it('keeps no secret of a link in a session, and none of whoever looks at a house', function (): void {
    config(['session.driver' => 'database']);
    $doors = doors();
    $share = ShareLinks::make(
        houseToProve(),
        'another',
        SharePart::cases(),
        7,
        User::query()->oldest('id')->firstOrFail(),
    )['url'];
    $before = DB::table('sessions')->count();
    auth()->forgetGuards();
    $this->get($share)
        ->assertOk()
        ->assertHeader('Referrer-Policy', 'no-referrer')
        ->assertCookieMissing(config()->string('session.cookie'));
    expect(DB::table('sessions')->count())->toBe($before);
    $this->get('/door/'.Str::random(43))->assertHeader('Referrer-Policy', 'no-referrer');
    array_map(fn (Closure $try): int => $try(), $doors);
    foreach (DB::table('sessions')->pluck('payload') as $payload) {
        expect((string) base64_decode((string) $payload))->not->toContain('/door/')->not->toContain('/shared/');
    }
    expect(DB::table('sessions')->count())->toBeGreaterThan($before);
});
