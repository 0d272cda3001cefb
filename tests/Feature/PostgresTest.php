<?php

declare(strict_types=1);

use App\Backup\Backup;
use App\Backup\Restore;
use App\Database\Trouble;
use App\Models\Crew\Crew;
use App\Models\Crew\User;
use App\Models\Job;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;

// What is PostgreSQL's own: bin/test postgres.

pest()->group('postgres');

beforeEach(function (): void {
    if (DB::getDriverName() !== 'pgsql') {
        throw new LogicException('These run on PostgreSQL alone: bin/test postgres.');
    }
});

/** An empty database of the server that the tests run on, and a disk of its own. */
function database(Closure $does): void
{
    $name = 'machine_'.strtolower((string) Str::ulid());
    config(['database.connections.admin' => config('database.connections.pgsql')]);
    DB::connection('admin')->statement("create database {$name}");
    $url = preg_replace('#(://[^/]+/)[^?]+#', '${1}'.$name, config()->string('database.connections.pgsql.url'));
    config(['database.connections.server' => ['url' => $url] + config()->array('database.connections.pgsql')]);
    DB::setDefaultConnection('server');
    Storage::fake('local');
    try {
        $does();
    } finally {
        DB::setDefaultConnection('pgsql');
        DB::purge('server');
        DB::connection('admin')->statement("drop database {$name}");
        DB::purge('admin');
    }
}

/** @return array<string, list<array<string, mixed>>> every row as both databases would say it */
function sameRows(): array
{
    $plain = static fn (mixed $value): mixed => match (true) {
        is_bool($value) => (int) $value,
        is_string($value) && is_numeric($value) => 0 + $value,
        is_string($value) && preg_match('/^\d{4}-\d\d-\d\d( 00:00:00)?$/', $value) === 1 => substr($value, 0, 10),
        default => $value,
    };
    $rows = [];
    foreach (everyRow() as $table => $all) {
        if (! str_starts_with($table, 'job_words') && $table !== 'job_summaries') {
            $rows[$table] = array_map(static function (array $row) use ($plain): array {
                ksort($row);

                return array_map($plain, $row);
            }, $all);
            usort($rows[$table], static fn (array $a, array $b): int => serialize($a) <=> serialize($b));
        }
    }
    unset($rows['migrations']);
    ksort($rows);

    return $rows;
}

it('backs up and restores from either database to either: every row, every file', function (): void {
    $root = sys_get_temp_dir().'/backups-'.Str::ulid();
    mkdir($root);
    [$rows, $first, $second] = [[], '', ''];
    database(function () use ($root, &$rows, &$first): void {
        Artisan::call('migrate', ['--force' => true]);
        $this->seed();
        $job = Job::query()->firstOrFail();
        Storage::disk('local')->put('photos/wall.jpg', 'a picture');
        DB::table('photos')->insert([
            'id' => newId(),
            'job_id' => $job->id,
            'user_id' => $job->crew->users()->value('id'),
            'place' => 'wall',
            'path' => 'photos/wall.jpg',
            'seq' => 900,
            'at' => now(),
            'created_at' => now(),
        ]);
        $first = (new Backup($root))->make(new DateTimeImmutable('2026-11-29 02:30:00 UTC'));
        $rows = sameRows();
    });
    expect(count($rows['readings']))->toBeGreaterThan(40)->and(count($rows['jobs']))->toBeGreaterThan(9);

    machine(function (string $file) use ($root, $rows, $first, &$second): void {
        expect((new Restore($first))->run($file))->toBe(1)->and(sameRows())->toEqual($rows);
        $second = (new Backup($root))->make(new DateTimeImmutable('2026-11-29 02:40:00 UTC'));
    });
    database(function () use ($second, $rows): void {
        Artisan::call('migrate', ['--force' => true]);
        expect((new Restore($second))->run('unionbit'))->toBe(1)->and(sameRows())->toEqual($rows);
        expect(Storage::disk('local')->get('photos/wall.jpg'))->toBe('a picture');
        // Numbers go on after those that came in, keys are held again, and the screen is worked out anew.
        $crew = Crew::query()->orderBy('id')->firstOrFail();
        expect(User::factory()->create(['crew_id' => $crew->id])->id)->toBeGreaterThan(count($rows['users']));
        expect(fn () => DB::table('readings')->update(['job_id' => 'nowhere']))->toThrow(PDOException::class);
        summarized();
        expect(DB::table('job_words')->count())->toBe(count($rows['jobs']));

        // Somebody is here now: only with --aside, which keeps what was there.
        $aside = fn (): array => glob(storage_path('unionbit.aside-*')) ?: [];
        $this->artisan('unionbit:restore', ['folder' => $second])->assertFailed();
        expect($aside())->toBe([]);
        $this->artisan('unionbit:restore', ['folder' => $second, '--aside' => true])->assertSuccessful();
        expect($aside())->toHaveCount(1)->and(sameRows())->toEqual($rows);
        array_map(unlink(...), $aside());
    });
    (new Filesystem())->deleteDirectory($root);
});

it('lets one write at a time, holds no reader up, and says so to whoever waited too long', function (): void {
    // The test itself is in a transaction.
    User::factory()->create();
    config(['database.connections.other' => config('database.connections.pgsql')]);
    $other = DB::connection('other');
    expect($other->table('users')->count())->toBe(0);
    try {
        $other->transaction(static fn (): int => 1);
        $trouble = null;
    } catch (PDOException $problem) {
        $trouble = Trouble::of($problem);
    }

    expect($trouble)->toBe(Trouble::Locked);
});

it('says what to do where the server takes no writes', function (string $setting, string $says): void {
    $user = User::factory()->create();
    $this->actingAs($user);
    DB::statement($setting);

    $this->postJson('/account/name', ['name' => 'Another'])
        ->assertStatus(503)
        ->assertJsonPath('message', fn (string $message): bool => str_contains($message, $says));
})->with([
    'read-only' => ['set transaction_read_only = on', 'may not write its database'],
]);

it('says so where the server is away, on a page too', function (): void {
    $user = User::factory()->create();
    $this->actingAs($user);
    config(['database.connections.away' => ['url' => 'pgsql://nobody@127.0.0.1:1/nothing', 'driver' => 'pgsql']]);
    DB::setDefaultConnection('away');
    try {
        $json = $this->postJson('/account/name', ['name' => 'Another']);
        $page = $this->get('/jobs');
        $health = $this->get('/health');
    } finally {
        DB::setDefaultConnection('pgsql');
    }

    $json
        ->assertStatus(503)
        ->assertJsonPath('message', fn (string $says): bool => str_contains($says, 'not answer'));
    $page
        ->assertStatus(503)
        ->assertInertia(fn ($p) => $p->component('Problem')->where('says', $json->json('message')));
    $health->assertStatus(503)->assertSee('NOT WELL It takes no writes')->assertSee('disk       well');
});
