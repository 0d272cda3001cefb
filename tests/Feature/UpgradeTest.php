<?php

declare(strict_types=1);

use App\Backup\Backup;
use App\Backup\Restore;
use App\Backup\Upgrade;
use App\Jobs\File\JobRecords;
use App\Models\Crew\User;
use App\Models\Job;
use Illuminate\Foundation\Console\Kernel;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Symfony\Component\Console\Output\BufferedOutput;

// From every schema that ever landed to this one, with the rows of the demo data in it: none is lost, none is changed.

/** @return list<string> the migrations in their order, by name */
function migrations(): array
{
    $paths = [...app('migrator')->paths(), database_path('migrations')];

    return array_map(strval(...), array_keys(app('migrator')->getMigrationFiles($paths)));
}

/** The rows of the demo data, each table as it is today. */
function demoRows(): array
{
    static $rows = null;
    if ($rows === null) {
        machine(function () use (&$rows): void {
            Artisan::call('migrate', ['--force' => true, '--seed' => true]);
            $rows = everyRow();
            $rows['places'] = DB::table('jobs')
                ->join('systems', 'systems.id', 'jobs.system_id')
                ->join('sites', 'sites.id', 'systems.site_id')
                ->get(['jobs.id', 'sites.name', 'sites.address'])
                ->keyBy('id')
                ->all();
        });
    }

    return $rows;
}

/** A database of an earlier schema with the rows of the demo data, as far as it has places for them. */
function schemaOf(int $migrations): void
{
    foreach (array_slice(migrations(), 0, $migrations) as $name) {
        $trace = is_file(database_path("migrations/{$name}.php")) ? '' : 'trace/';
        Artisan::call('migrate', ['--force' => true, '--path' => "database/migrations/{$trace}{$name}.php"]);
    }
    DB::statement('pragma foreign_keys = off');
    foreach (demoRows() as $table => $rows) {
        if ($table === 'migrations' || str_starts_with($table, 'job_words') || ! Schema::hasTable($table)) {
            continue;
        }
        $columns = array_flip(Schema::getColumnListing($table));
        foreach ($rows as $row) {
            $place = $table === 'jobs' && isset($columns['site']) ? demoRows()['places'][$row['id']] : null;
            DB::table($table)->insert([
                ...array_intersect_key($row, $columns),
                ...$place === null ? [] : ['site' => $place->name, 'address' => $place->address],
            ]);
        }
    }
    DB::statement('pragma foreign_keys = on');
}

it('brings every schema that ever landed to this one, with every row', function (int $migrations): void {
    demoRows();
    machine(function (string $database, string $folder) use ($migrations): void {
        schemaOf($migrations);
        $before = everyRow();
        $made = (new Upgrade(app(Kernel::class)))->run("{$folder}/backups", now()->toDateTimeImmutable());
        $after = everyRow();

        expect(app('migrator')->repositoryExists())
            ->toBeTrue()
            ->and(DB::table('migrations')->count())
            ->toBe(count(migrations()))
            ->and(app()->isDownForMaintenance())
            ->toBeFalse();
        // What a migration works out anew is named here; everything else is as it was.
        $anew = ['jobs' => ['recorded', 'site', 'address', 'system_id', 'practice', 'handed_over_as']];
        foreach ($before as $table => $rows) {
            if (in_array($table, ['migrations', 'job_summaries'], true) || str_starts_with($table, 'job_words')) {
                continue;
            }
            $byId = array_column($after[$table], null, 'id');
            foreach ($rows as $row) {
                $now = $byId[$row['id']] ?? [];
                $kept = array_diff_key($row, array_flip([...$anew[$table] ?? [], 'seq']));
                expect(array_intersect_key($now, $kept))->toBe($kept);
            }
        }
        if ($before['jobs'] ?? [] !== []) {
            $job = Job::at('Lock Keeper\'s Row 4');
            test()->actingAs(User::query()->oldest('id')->firstOrFail());
            foreach (['survey', 'plan', 'prove', 'handover'] as $stage) {
                test()
                    ->get("/jobs/{$job->id}/{$stage}")
                    ->assertOk();
            }
            expect(count(JobRecords::of($job)['readings'] ?? []))->toBe(
                count(
                    array_filter($before['readings'] ?? [], static fn (array $r): bool => $r['job_id'] === $job->id),
                ),
            );
        }
        // The way back: what was backed up is what was there.
        if (($before['users'] ?? []) !== []) {
            $pdo = new PDO('sqlite:'.$made.'/database.sqlite');
            foreach ($before as $table => $rows) {
                $count = (int) $pdo->query("select count(*) from {$table}")->fetchColumn();
                expect($count)->toBe(count($rows));
            }
        }
    });
})->with(
    fn (): array => range(1, count(glob(__DIR__.'/../../database/migrations/{,trace/}*.php', GLOB_BRACE) ?: [])),
);

it(
    'changes nothing where no backup can be made, and stays closed where the data cannot be brought over',
    function (): void {
        demoRows();
        machine(function (string $database, string $folder): void {
            $said = new BufferedOutput();
            schemaOf(5);
            $before = everyRow();
            file_put_contents("{$folder}/in-the-way", '');
            config(['unionbit.backups' => "{$folder}/in-the-way"]);
            expect(Artisan::call('unionbit:upgrade', [], $said))
                ->toBe(3)
                ->and($said->fetch())
                ->toContain('nothing was changed')
                ->and(everyRow())
                ->toBe($before)
                ->and(app()->isDownForMaintenance())
                ->toBeFalse();

            // A migration that cannot be run.
            mkdir("{$folder}/bad");
            $bad = "{$folder}/bad/2030_01_01_000001_bad.php";
            file_put_contents($bad, '<?php throw new RuntimeException("no such thing");');
            app('migrator')->path(dirname($bad));
            config(['unionbit.backups' => "{$folder}/backups"]);
            expect(Artisan::call('unionbit:upgrade', [], $said))
                ->toBe(1)
                ->and($said->fetch())
                ->toContain('unionbit:restore')
                ->and(app()->isDownForMaintenance())
                ->toBeTrue();
            $page = test()->get('/jobs')->assertStatus(503);
            $page->assertHeader('Retry-After', '20');
            unlink($bad);
            $last = Backup::all("{$folder}/backups")[0];
            (new Restore("{$folder}/backups/{$last}"))->run($database, aside: true);
            Artisan::call('up');
            expect(glob("{$database}.aside-*") ?: [])
                ->toHaveCount(1)
                ->and(DB::table('jobs')->count())
                ->toBe(count($before['jobs']));
        });
    },
);
