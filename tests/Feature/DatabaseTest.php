<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

it(
    'takes the write lock as a transaction begins, so that a reader who writes later never fails',
    function (): void {
        $file = tempnam(sys_get_temp_dir(), 'lock').'.sqlite';
        touch($file);
        config([
            'database.connections.file' => ['database' => $file] + config()->array('database.connections.sqlite'),
        ]);
        $db = DB::connection('file');
        $db->statement('create table marks (id integer)');
        $other = new PDO("sqlite:{$file}", options: [PDO::ATTR_TIMEOUT => 0]);

        $db->transaction(function () use ($db, $other): void {
            expect($db->table('marks')->count())
                ->toBe(0)
                ->and(fn () => $other->exec('insert into marks values (7)'))
                ->toThrow(PDOException::class, 'locked');
            $db->table('marks')->insert(['id' => 1]);
        });
        $other->exec('insert into marks values (2)');

        expect($db->table('marks')->orderBy('id')->pluck('id')->all())
            ->toBe([1, 2])
            ->and($db->selectOne('pragma journal_mode')->journal_mode)
            ->toBe('wal')
            ->and($db->selectOne('pragma synchronous')->synchronous)
            ->toBe(2)
            ->and($db->selectOne('pragma foreign_keys')->foreign_keys)
            ->toBe(1)
            ->and($db->selectOne('pragma busy_timeout')->timeout)
            ->toBe(5000);
        try {
            $db->transaction(function () use ($db): void {
                $db->table('marks')->insert(['id' => 3]);
                throw new RuntimeException('stop');
            });
        } catch (RuntimeException) {
            // Rolled back whole.
        }
        expect($db->table('marks')->count())->toBe(2);
        DB::purge('file');
        array_map(unlink(...), glob("{$file}*") ?: []);
    },
);

/** Runs on a database of its own, in a file. */
function onItsOwn(Closure $do): void
{
    config([
        'database.connections.own' => [
            ...config()->array('database.connections.sqlite'),
            'database' => ($path = tempnam(sys_get_temp_dir(), 'own')),
        ],
    ]);
    $default = DB::getDefaultConnection();
    DB::setDefaultConnection('own');
    try {
        $do();
    } finally {
        DB::setDefaultConnection($default);
        DB::purge('own');
        array_map(unlink(...), glob("{$path}*") ?: []);
    }
}

it('goes back every migration on an empty database, and forward again', function (): void {
    onItsOwn(function (): void {
        $tables = static fn (): array => array_column(
            DB::select(
                "select name from sqlite_master where type = 'table' and name not like 'sqlite_%' order by name",
            ),
            'name',
        );
        Artisan::call('migrate', ['--database' => 'own', '--force' => true]);
        $all = $tables();
        Artisan::call('migrate:rollback', ['--database' => 'own', '--force' => true, '--step' => 99]);
        expect($tables())->toBe(['migrations']);
        Artisan::call('migrate', ['--database' => 'own', '--force' => true]);
        expect($tables())->toBe($all)->and(count($all))->toBeGreaterThan(20);
    });
});

it('refuses to go back over what somebody recorded, with the reason, and keeps it', function (): void {
    onItsOwn(function (): void {
        Artisan::call('migrate', ['--database' => 'own', '--force' => true]);
        seedDemo();
        $readings = DB::table('readings')->count();
        expect(
            fn () => Artisan::call('migrate:rollback', ['--database' => 'own', '--force' => true, '--step' => 99]),
        )
            ->toThrow(RuntimeException::class, 'Not rolled back')
            ->and(DB::table('readings')->count())
            ->toBe($readings)
            ->and($readings)
            ->toBeGreaterThan(0)
            ->and(DB::table('jobs')->whereNotNull('handed_over_as')->count())
            ->toBe(1);
    });
});

it(
    'takes what was recorded in practice on a real job, before practice was a copy, for practice',
    function (): void {
        onItsOwn(function (): void {
            $before = array_values(
                array_filter(
                    glob(database_path('migrations/*.php')) ?: [],
                    static fn (string $f): bool => basename($f) < '2026_11_28',
                ),
            );
            Artisan::call('migrate', [
                '--database' => 'own',
                '--force' => true,
                '--realpath' => true,
                '--path' => $before,
            ]);
            $crew = DB::table('crews')->insertGetId(['name' => 'Ebb & Sluice Heating']);
            $user = DB::table('users')->insertGetId([
                'crew_id' => $crew,
                'name' => 'Wren Halyard',
                'email' => 'wren@ebb-and-sluice.example',
                'password' => 'x',
            ]);
            DB::table('sites')->insert(['id' => ($site = newId()), 'crew_id' => $crew, 'name' => 'Tollhouse']);
            DB::table('systems')->insert(['id' => ($system = newId()), 'site_id' => $site, 'name' => 'System']);
            $at = static fn (string $time): array => [
                'user_id' => $user,
                'at' => "2026-11-20 {$time}",
                'created_at' => "2026-11-20 {$time}",
            ];
            DB::table('jobs')->insert([
                'id' => ($job = newId()),
                'crew_id' => $crew,
                'system_id' => $system,
                'kind' => 'replacement',
                'survey' => '{}',
                'practice' => '',
            ]);
            $reading = [
                'job_id' => $job,
                'stage' => 'prove',
                'mode' => 'V',
                'a' => 'x',
                'b' => 'y',
                'power' => 'live',
                'expected' => '{}',
                'outcome' => 'pass',
                'reason' => '',
                'candidates' => '[]',
            ];
            DB::table('readings')->insert(['id' => newId(), 'simulated' => true, ...$reading, ...$at('09:00:00')]);
            DB::table('power_events')->insert([
                'id' => newId(),
                'job_id' => $job,
                'state' => 'isolated',
                'volts' => 0,
                'meter_proved' => true,
                ...$at('09:10:00'),
            ]);
            DB::table('move_ticks')->insert([
                'id' => newId(),
                'job_id' => $job,
                'move' => 'real',
                'done' => true,
                ...$at('08:00:00'),
            ]);
            DB::table('move_ticks')->insert([
                'id' => newId(),
                'job_id' => $job,
                'move' => 'practice',
                'done' => true,
                ...$at('09:12:00'),
            ]);
            DB::table('readings')->insert(['id' => newId(), 'simulated' => true, ...$reading, ...$at('09:20:00')]);
            Artisan::call('migrate', ['--database' => 'own', '--force' => true]);

            expect(DB::table('move_ticks')->pluck('simulated', 'move')->all())
                ->toEqual(['real' => 0, 'practice' => 1])
                ->and(DB::table('power_events')->where('simulated', false)->orderByDesc('seq')->value('state'))
                ->toBe('not-proved')
                ->and(DB::table('readings')->orderBy('seq')->pluck('seq')->all())
                ->toBe([2, 5])
                ->and(DB::table('jobs')->value('practice'))
                ->toBeNull()
                ->and(DB::table('jobs')->value('recorded'))
                ->toBe(6);
        });
    },
);
