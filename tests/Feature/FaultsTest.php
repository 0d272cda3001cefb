<?php

declare(strict_types=1);

use App\Database\Trouble;
use App\Models\Job;
use App\Models\User;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
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
})->with([
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
]);

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
