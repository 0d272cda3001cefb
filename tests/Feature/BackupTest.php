<?php

declare(strict_types=1);

use App\Backup\Backup;
use App\Backup\Broken;
use App\Backup\Keeping;
use App\Backup\Manifest;
use App\Backup\Restore;
use App\Models\Crew\User;
use App\Models\Job;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use Symfony\Component\Process\Process;

// A server's data out while it is in use, and in on a machine that has nothing: every row and every file compared.

function backupRoot(): string
{
    $root = sys_get_temp_dir().'/backups-'.Str::ulid();
    mkdir($root);

    return $root;
}

/** A crew with two jobs and photographs of one. */
function worked(): void
{
    Artisan::call('migrate', ['--force' => true]);
    $user = User::factory()->create();
    $job = Job::factory()->create(['crew_id' => $user->crew_id]);
    Job::factory()->create(['crew_id' => $user->crew_id]);
    foreach (['wall', 'indoor'] as $place) {
        $path = "photos/{$job->id}/{$place}.jpg";
        Storage::disk('local')->put($path, random_bytes(4000));
        DB::table('photos')->insert([
            'id' => newId(),
            'job_id' => $job->id,
            'user_id' => $user->id,
            'place' => $place,
            'path' => $path,
            'width' => 40,
            'height' => 30,
            'seq' => 1,
            'at' => now(),
            'created_at' => now(),
        ]);
    }
}

/** @return array<string, string> sum of every photograph, by path */
function everyFile(): array
{
    $sums = [];
    foreach (Storage::disk('local')->allFiles() as $path) {
        $sums[$path] = hash('sha256', (string) Storage::disk('local')->get($path));
    }
    ksort($sums);

    return $sums;
}

it('restores on an empty machine what was backed up: every row, every file', function (): void {
    $root = backupRoot();
    [$rows, $files, $folder] = [[], [], ''];
    machine(function () use ($root, &$rows, &$files, &$folder): void {
        worked();
        $folder = (new Backup($root))->make(new DateTimeImmutable('2026-11-29 02:30:00 UTC'));
        [$rows, $files] = [everyRow(), everyFile()];
    });
    expect(count($files))
        ->toBe(2)
        ->and(count($rows['jobs']))
        ->toBe(2)
        ->and(fileperms($folder) & 0777)
        ->toBe(0700);

    machine(function (string $database) use ($folder, $rows, $files): void {
        expect((new Restore($folder))->run($database))
            ->toBe(2)
            ->and(everyRow())
            ->toEqual($rows)
            ->and(everyFile())
            ->toBe($files);
        // Whoever restores twice is asked for a machine that has nothing yet.
        expect(fn () => (new Restore($folder))->run($database))->toThrow(Broken::class, 'holds a crew already');
    });
    (new Filesystem())->deleteDirectory($root);
});

it('is made while others write: one moment of it, whole, nothing that was not acknowledged', function (): void {
    $root = backupRoot();
    machine(function (string $database) use ($root): void {
        worked();
        $other = new PDO("sqlite:{$database}", options: [PDO::ATTR_TIMEOUT => 5]);
        $other->exec('begin immediate');
        $other->exec('update jobs set version = 9999');
        $folder = (new Backup($root))->make(new DateTimeImmutable('2026-11-29 02:30:00 UTC'));
        $other->exec('commit');
        $copy = new PDO("sqlite:{$folder}/".Manifest::DATABASE);
        expect((int) $copy->query('select count(*) from jobs where version = 9999')->fetchColumn())
            ->toBe(0)
            ->and((int) DB::table('jobs')->where('version', 9999)->count())
            ->toBe(2);
    });
    (new Filesystem())->deleteDirectory($root);
});

it('links what an earlier backup has, takes what is new, and says what the disk no longer has', function (): void {
    $root = backupRoot();
    machine(function () use ($root): void {
        worked();
        $paths = array_keys(everyFile());
        $one = (new Backup($root))->make(new DateTimeImmutable('2026-11-28 02:30:00 UTC'));
        // Half a backup of a power cut is cleared away, and never taken for one.
        mkdir("{$root}/2026-11-28T120000Z.half");
        Storage::disk('local')->delete($paths[1]);
        $two = (new Backup($root))->make(new DateTimeImmutable('2026-11-29 02:30:00 UTC'));
        $of = static fn (string $folder): string => "{$folder}/".Manifest::PHOTOS."/{$paths[0]}";
        expect(fileinode($of($one)))
            ->toBe(fileinode($of($two)))
            ->and(Manifest::read($one)->missing)
            ->toBe([])
            ->and(Manifest::read($two)->missing)
            ->toBe([$paths[1]])
            ->and(Backup::all($root))
            ->toBe(['2026-11-28T023000Z', '2026-11-29T023000Z'])
            ->and(glob("{$root}/*.half"))
            ->toBe([]);
    });
    (new Filesystem())->deleteDirectory($root);
});

it('changes nothing where a backup is not whole, or newer than the program, and says which file', function (
    Closure $spoil,
    string $says,
): void {
    $root = backupRoot();
    $folder = '';
    machine(function () use ($root, &$folder): void {
        worked();
        $folder = (new Backup($root))->make(new DateTimeImmutable('2026-11-29 02:30:00 UTC'));
    });
    $spoil($folder);
    machine(function (string $database) use ($folder, $says): void {
        expect(fn () => (new Restore($folder))->run($database))
            ->toThrow(Broken::class, $says)
            ->and(filesize($database))
            ->toBe(0)
            ->and(everyFile())
            ->toBe([]);
    });
    (new Filesystem())->deleteDirectory($root);
})->with([
    'a bit of the database' => [
        static function (string $folder): void {
            $file = fopen("{$folder}/database.sqlite", 'r+') ?: throw new LogicException('no database');
            fseek($file, 5000);
            fwrite($file, "\xff");
            fclose($file);
        },
        'database.sqlite is not what was written',
    ],
    'a photograph cut off' => [
        static function (string $folder): void {
            $photo = array_values(
                array_filter(
                    array_keys(Manifest::read($folder)->files),
                    static fn (string $n): bool => str_ends_with($n, '.jpg'),
                ),
            )[0];
            file_put_contents("{$folder}/{$photo}", 'short');
        },
        'has 5 bytes; 4000 were written',
    ],
    'no manifest' => [static fn (string $folder): bool => unlink("{$folder}/manifest.json"), 'this is no backup'],
    'a manifest of something else' => [
        static fn (string $folder): int|false => file_put_contents("{$folder}/manifest.json", '{"format":"x"}'),
        'is not of the format unionbit-backup/1',
    ],
    'a manifest that names no database' => [
        static function (string $folder): void {
            $whole = Manifest::read($folder);
            $files = array_diff_key($whole->files, [Manifest::DATABASE => 1]);
            (new Manifest($whole->made, $whole->schema, $files, []))->write($folder);
        },
        'names no database',
    ],
    'a newer program' => [
        static function (string $folder): void {
            $manifest = Manifest::read($folder);
            (new Manifest(
                $manifest->made,
                [...$manifest->schema, '2031_01_01_000099_x'],
                $manifest->files,
                [],
            ))->write($folder);
        },
        'of a newer program, with 2031_01_01_000099_x',
    ],
]);

it('seals a backup to a key that the server does not have, and opens it with that alone', function (): void {
    $root = backupRoot();
    foreach (['key', 'another'] as $name) {
        (new Process(['age-keygen', '-o', "{$root}/{$name}"]))->mustRun();
    }
    preg_match('/age1\w+/', (string) file_get_contents("{$root}/key"), $to);
    [$rows, $files, $folders] = [[], [], []];
    machine(function () use ($root, $to, &$rows, &$files, &$folders): void {
        config(['unionbit.backup_to' => $to[0]]);
        worked();
        foreach (['02', '03'] as $hour) {
            $folders[] = Backup::ofSettings($root)->make(new DateTimeImmutable("2026-11-29 {$hour}:30:00 UTC"));
        }
        [$rows, $files] = [everyRow(), everyFile()];
        expect(glob(storage_path('framework/*.sqlite')))->toBe([]);
    });
    $kept = Manifest::read($folders[1]);
    expect($kept->files)->toHaveCount(3)->and($kept->sealedTo)->toBe($to[0]);
    foreach (array_keys($kept->files) as $name) {
        expect((string) file_get_contents("{$folders[1]}/{$name}"))->toStartWith('age-encryption.org');
        // What was sealed once is linked.
        expect(fileinode("{$folders[1]}/{$name}") === fileinode("{$folders[0]}/{$name}"))->toBe(
            str_contains($name, 'photos/'),
        );
    }
    machine(function (string $database) use ($root, $folders, $rows, $files): void {
        foreach ([null => 'is sealed to age1', "{$root}/another" => 'cannot be opened'] as $key => $says) {
            $key = $key === '' ? null : (string) $key;
            expect(fn () => (new Restore($folders[1], $key))->run($database))->toThrow(Broken::class, $says);
            expect(everyFile())->toBe([]);
        }
        // Refused half way, as where somebody is here already: what was opened is gone too.
        worked();
        expect(fn () => (new Restore($folders[1], "{$root}/key"))->run($database))->toThrow(Broken::class, 'a crew');
        expect(glob(storage_path('framework/restore-*')))->toBe([]);
        (new Restore($folders[1], "{$root}/key"))->run($database, aside: true);
        expect(everyRow())->toBe($rows)->and(everyFile())->toMatchArray($files);
        expect(glob(storage_path('framework/restore-*')))->toBe([]);
    });
    (new Filesystem())->deleteDirectory($root);
});

it('takes nobody\'s sign-in with it, not even in what is left of a page', function (): void {
    $root = backupRoot();
    machine(function (string $database) use ($root): void {
        worked();
        DB::table('sessions')->insert([
            'id' => 'a-sign-in-of-somebody',
            'user_id' => 1,
            'payload' => str_repeat('a payload of a session ', 300),
            'last_activity' => time(),
        ]);
        $copy = (new Backup($root))->make(new DateTimeImmutable('2026-11-29 02:30:00 UTC')).'/database.sqlite';
        expect((string) file_get_contents($copy))
            ->not->toContain('a-sign-in-of-somebody')
            ->not->toContain('a payload of a session')
            ->and(DB::table('sessions')->count())
            ->toBe(1);
    });
    (new Filesystem())->deleteDirectory($root);
});

it('keeps the newest of each of the last days, weeks and months, and never lets the newest go', function (): void {
    $names = [];
    for ($day = 0; $day < 400; $day++) {
        $names[] = (new DateTimeImmutable('2026-11-29 02:30:00 UTC'))
            ->modify("-{$day} days")
            ->format('Y-m-d\THis\Z');
    }
    $kept = array_values(array_diff($names, (new Keeping())->outlived($names)));
    expect(array_slice($kept, 0, 7))
        ->toBe(array_slice($names, 0, 7))
        ->and($kept)
        ->toContain('2026-11-22T023000Z', '2026-10-31T023000Z', '2026-01-31T023000Z')
        ->not->toContain('2026-11-21T023000Z', '2025-11-30T023000Z')
        ->and(count($kept))
        ->toBeLessThanOrEqual(7 + 5 + 12)
        ->and((new Keeping(0, 0, 0))->outlived(['2026-11-29T023000Z']))
        ->toBe([]);
});

it('is asked for by one command and comes back by another, each with a plain last line', function (): void {
    $root = backupRoot();
    machine(function () use ($root): void {
        worked();
        // An earlier one of the same day.
        test()->travelTo(now()->startOfDay()->addHours(9));
        mkdir("{$root}/".now()->format('Y-m-d').'T000000Z');
        test()
            ->artisan('unionbit:backup', ['--to' => $root])
            ->expectsOutputToContain(': 3 files, ')
            ->expectsOutputToContain('T000000Z has outlived the rule')
            ->assertSuccessful();
    });
    $folder = "{$root}/".Backup::all($root)[0];
    machine(function () use ($folder): void {
        test()
            ->artisan('unionbit:restore', ['folder' => $folder])
            ->expectsOutputToContain('Restored: the database and 2 photographs.')
            ->assertSuccessful();
        test()
            ->artisan('unionbit:restore', ['folder' => '/nowhere'])
            ->expectsOutputToContain('this is no backup')
            ->assertFailed();
    });
    (new Filesystem())->deleteDirectory($root);
});
