<?php

declare(strict_types=1);

use App\Database\Trouble;
use App\Models\Crew\Role;
use App\Models\Crew\User;
use App\Models\Job;
use App\Models\Share\SharePart;
use App\Share\ShareLinks;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

// What a machine does to a server: nothing that was acknowledged is lost, nothing is half, and the message says what to
// do. Power cuts are in benchmarks/power-cut.mjs.

/** @return Closure(): TestResponse a reading of a job on this machine */
function aReading(): Closure
{
    Artisan::call('migrate', ['--force' => true]);
    $user = User::factory()->create();
    $job = Job::factory()->create(['crew_id' => $user->crew_id]);
    test()->actingAs($user);

    return static fn (): TestResponse => test()->postJson("/jobs/{$job->id}/readings", [
        'id' => newId(),
        'stage' => 'survey',
        'mode' => 'V',
        'a' => 'indoor.R',
        'b' => 'indoor.C',
        'value' => '26',
    ]);
}

/** What keeps a database from taking a write, each with how it comes and how it goes. */
function troubles(): array
{
    return [
        'another writes too long' => [
            'send it again',
            function (string $database): PDO {
                $other = new PDO("sqlite:{$database}");
                $other->exec('begin immediate');

                return $other;
            },
            fn (string $database, PDO $other) => $other->exec('rollback'),
        ],
        'read-only' => [
            'may not write',
            fn () => DB::statement('pragma query_only = on'),
            fn () => DB::statement('pragma query_only = off'),
        ],
        'disk full' => [
            'needs room',
            function (): void {
                $pages = DB::selectOne('pragma page_count')->page_count;
                DB::statement("pragma max_page_count = {$pages}");
            },
            fn () => DB::statement('pragma max_page_count = 4294967294'),
        ],
    ];
}

/** Every page that only shows something, with the house of the test. */
function pagesOf(Job $job, string $share): array
{
    $stages = array_map(fn (string $stage): string => "/jobs/{$job->id}/{$stage}", [
        'survey',
        'plan',
        'set',
        'prove',
        'trace',
        'handover',
        'figures',
        'thermostats',
        'pulse',
        'pattern',
    ]);

    return ['/jobs', ...$stages, '/figures', '/account', '/crew', '/sign-in', '/forgot', '/first-start', $share];
}

/** A house that is worked on, of a machine of its own with sign-in sessions in its database: a look at each page. */
function looked(Closure $does): void
{
    machine(function (string $database) use ($does): void {
        config(['database.connections.machine.busy_timeout' => 100, 'session.driver' => 'database']);
        DB::purge('machine');
        Artisan::call('migrate', ['--force' => true]);
        $job = houseToProve();
        $user = User::query()->oldest('id')->firstOrFail();
        $user->forceFill(['role' => Role::Lead])->save();
        $share = ShareLinks::make($job, 'a neighbor', SharePart::cases(), 7, $user)['url'];
        $session = Str::random(40);
        $looks = static function () use ($job, $share, $session): array {
            $seen = [];
            foreach (pagesOf($job, $share) as $page) {
                $seen[$page] = test()
                    ->withCookie(config()->string('session.cookie'), $session)
                    ->get($page)
                    ->status();
            }

            return $seen;
        };
        // Once, so that what is worked out once is there.
        $looks();
        $does($looks, $job, $database);
    });
}

it('needs no write for a page that is read', function (): void {
    looked(function (Closure $looks): void {
        $writes = [];
        DB::listen(function ($query) use (&$writes): void {
            if (preg_match('/^(insert|update|delete|replace)/i', $query->sql) === 1) {
                $writes[] = $query->sql;
            }
        });
        $looks();

        // A look by a link is written down.
        expect(
            array_filter($writes, fn (string $w): bool => preg_match('/share_links|security_events/', $w) !== 1),
        )->toBe([]);
    });
});

it('shows every page while its database takes no writes, and says what is wrong with it', function (
    string $says,
    Closure $break,
    Closure $mend,
): void {
    looked(function (Closure $looks, Job $job, string $database) use ($says, $break, $mend): void {
        $well = $looks();
        // So long ago that it would be written that somebody is still there.
        DB::table('sessions')->update(['last_activity' => now()->getTimestamp() - 1000]);
        $read = fn (): TestResponse => $this->postJson("/jobs/{$job->id}/readings", [
            ...['id' => newId(), 'stage' => 'survey', 'mode' => 'V', 'a' => 'indoor.R', 'b' => 'indoor.C'],
            'value' => '26',
        ]);
        $broken = $break($database);
        $taken = 0;
        while (($answer = $read())->status() === 201 && $taken < 200) {
            $taken++;
        }
        $kept = DB::table('readings')->count();

        expect($answer->assertStatus(503)->json('message'))
            ->toContain($says)
            ->and(array_filter($looks(), fn (int $status): bool => $status >= 400))
            ->toBe([])
            ->and(array_keys($looks()))
            ->toBe(array_keys($well))
            ->and($this->get('/health')->getContent())
            ->toContain('database')
            ->and(DB::table('readings')->count())
            ->toBe($kept);
        $mend($database, $broken);
        $read()->assertCreated();
    });
})->with(troubles());

it('says what to do when its database takes no writes, and takes them again afterwards', function (
    string $says,
    Closure $break,
    Closure $mend,
): void {
    machine(function (string $database) use ($says, $break, $mend): void {
        config(['database.connections.machine.busy_timeout' => 100]);
        DB::purge('machine');
        $read = aReading();
        $read()->assertCreated();
        $broken = $break($database);
        // A page that is begun may take some more.
        $acknowledged = 1;
        while (($answer = $read())->status() === 201 && $acknowledged < 100) {
            $acknowledged++;
        }
        expect($answer->assertStatus(503)->assertHeader('Retry-After', '5')->json('message'))
            ->toContain($says)
            ->and(DB::table('readings')->count())
            ->toBe($acknowledged);
        $mend($database, $broken);
        $read()->assertCreated();
        expect(DB::selectOne('pragma integrity_check')->integrity_check)->toBe('ok');
    });
})->with(troubles());

it('keeps the order in which things were recorded when the clock goes back', function (): void {
    machine(function (): void {
        $read = aReading();
        $ids = [$read()->json('id')];
        $this->get('/visits.ics')->assertOk();
        $this->travel(-3)->hours();
        $ids[] = $read()->json('id');
        $job = Job::query()->firstOrFail();

        expect($job->readings()->pluck('id')->all())
            ->toBe($ids)
            ->and(DB::table('readings')->orderBy('seq')->pluck('id')->all())
            ->toBe($ids)
            ->and($this->get('/health')->getContent())
            ->toContain('set it right');
    });
});

it('calls a database\'s trouble what it is, and nothing else by that name', function (
    string $state,
    int $code,
    ?Trouble $is,
): void {
    $problem = new PDOException();
    $problem->errorInfo = [$state, $code, ''];

    expect(Trouble::of($problem))->toBe($is);
})->with([
    'busy' => ['HY000', 5, Trouble::Locked],
    'locked' => ['HY000', 6, Trouble::Locked],
    'lock not available' => ['55P03', 7, Trouble::Locked],
    'read-only' => ['HY000', 8, Trouble::ReadOnly],
    'read-only transaction' => ['25006', 7, Trouble::ReadOnly],
    'full' => ['HY000', 13, Trouble::Full],
    'disk full' => ['53100', 7, Trouble::Full],
    'I/O error, which is no full disk' => ['HY000', 10, Trouble::Failing],
    'no server' => ['08006', 7, Trouble::Away],
    'a server that is going down' => ['57P01', 7, Trouble::Away],
    'an error of ours' => ['HY000', 1, null],
    'a constraint' => ['23000', 19, null],
]);
