<?php

declare(strict_types=1);

// The jobs screen, its search, a day and the calendar over many jobs, ten readings each, and photographs; then a backup
// of it all, and a second: php benchmarks/jobs.php [jobs [megabytes of photographs]]
// Each is asked in a process of its own (cold: nothing of it in memory, the framework's cache empty), then ten times
// more in that process (warm). Summaries stand in the database, as they do when jobs were worked on before.

use App\Backup\Backup;
use App\Models\Crew\Crew;
use App\Models\Crew\User;
use Database\Seeders\DatabaseSeeder;
use Illuminate\Contracts\Console\Kernel as Console;
use Illuminate\Contracts\Http\Kernel as Http;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;

$jobs = max(11, (int) ($argv[1] ?? 10000));
$megabytes = max(0, (int) ($argv[2] ?? 0));
$folder = sys_get_temp_dir().'/unionbit-jobs-bench';
$database = "{$folder}/unionbit.sqlite";
foreach (
    [
        'DB_DATABASE' => $database,
        'LARAVEL_STORAGE_PATH' => "{$folder}/storage",
        'UNIONBIT_BACKUPS' => "{$folder}/backups",
        'APP_ENV' => 'local',
        'SESSION_DRIVER' => 'array',
        'CACHE_STORE' => 'file',
        'UNIONBIT_SOLO' => '0',
    ] as $key => $value
) {
    putenv("{$key}={$value}");
    $_ENV[$key] = $_SERVER[$key] = $value;
}
require __DIR__.'/../vendor/autoload.php';
$app = require __DIR__.'/../bootstrap/app.php';
$app->make(Console::class)->bootstrap();

if (isset($argv[3])) {
    Auth::login(User::query()->orderBy('id')->firstOrFail());
    $ask = static function () use ($app, $argv): float {
        $begin = hrtime(true);
        $request = Request::create(
            $argv[3],
            'GET',
            server: ['HTTP_X_INERTIA' => 'true', 'HTTP_ACCEPT' => 'application/json'],
        );
        $answer = $app->make(Http::class)->handle($request);
        $answer->getContent();
        $answer->getStatusCode() < 400 ||
            $answer->getStatusCode() === 409 ||
            throw new RuntimeException("{$argv[3]}: {$answer->getStatusCode()}");

        return (hrtime(true) - $begin) / 1e6;
    };
    Cache::flush();
    $cold = $ask();
    $warm = array_map($ask, range(1, 10));
    sort($warm);
    printf("%-44s cold %6.0f ms   warm %6.0f ms median, %6.0f ms most\n", $argv[3], $cold, $warm[5], end($warm));
    exit();
}

(new Filesystem())->deleteDirectory($folder);
foreach (['app', 'logs', 'framework/cache/data', 'framework/sessions', 'framework/views'] as $needed) {
    mkdir("{$folder}/storage/{$needed}", recursive: true);
}
touch($database);
$app->make(Console::class)->call('migrate', ['--force' => true]);
(new DatabaseSeeder())->run();
$app->make(Console::class)->call('unionbit:summaries');
DB::transaction(static function () use ($jobs): void {
    $models = DB::table('jobs')->get()->all();
    $summaries = DB::table('job_summaries')->get()->keyBy('job_id');
    $words = DB::table('job_words')->pluck('words', 'job_id');
    $crew = Crew::query()->firstOrFail();
    for ($n = count($models); $n < $jobs; $n++) {
        $model = $models[$n % count($models)];
        [$site, $system, $id, $name] = [
            (string) Str::ulid(),
            (string) Str::ulid(),
            (string) Str::ulid(),
            "House {$n}",
        ];
        $at = ['created_at' => now(), 'updated_at' => now()->subMinutes($n)];
        DB::table('sites')->insert([
            'id' => $site,
            'crew_id' => $crew->id,
            'name' => $name,
            'address' => 'Saltmarsh Locks',
            ...$at,
        ]);
        DB::table('systems')->insert(['id' => $system, 'site_id' => $site, 'name' => 'System', ...$at]);
        // Ten visits a working day, three years back and a year ahead.
        $day = now()
            ->addDays((intdiv($n, 10) % 1460) - 1095)
            ->format('Y-m-d 00:00:00');
        DB::table('jobs')->insert([
            ...(array) $model,
            'id' => $id,
            'system_id' => $system,
            'day' => $day,
            'starts_at' => 480,
            'who' => 'Wren Halyard',
            ...$at,
        ]);
        $summary = $summaries[$model->id];
        DB::table('job_summaries')->insert([...(array) $summary, 'job_id' => $id]);
        DB::table('job_words')->insert(['job_id' => $id, 'words' => strtolower($name).' '.$words[$model->id]]);
    }
});
const READINGS = 10;
const PHOTOGRAPH = 400_000;
DB::transaction(static function () use ($megabytes): void {
    $model = (array) DB::table('readings')->first();
    $person = User::query()->value('id');
    $pictures = intdiv($megabytes * 1_000_000, PHOTOGRAPH);
    $disk = Storage::disk('local');
    $ids = DB::table('jobs')->pluck('id')->all();
    foreach ($ids as $n => $id) {
        $rows = array_map(
            static fn (int $seq): array => [
                ...$model,
                ...['id' => (string) Str::ulid(), 'job_id' => $id, 'seq' => 100 + $seq, 'corrects_id' => null],
            ],
            range(1, READINGS),
        );
        DB::table('readings')->insert($rows);
        for (
            $left = intdiv($pictures * ($n + 1), count($ids)) - intdiv($pictures * $n, count($ids));
            $left > 0;
            $left--
        ) {
            $photo = (string) Str::ulid();
            $disk->put("photos/{$id}/{$photo}.jpg", random_bytes(PHOTOGRAPH));
            DB::table('photos')->insert([
                'id' => $photo,
                'job_id' => $id,
                'user_id' => $person,
                'place' => 'wall',
                'path' => "photos/{$id}/{$photo}.jpg",
                'width' => 1600,
                'height' => 1200,
                'seq' => 200 + $left,
                'at' => now(),
                'created_at' => now(),
            ]);
        }
    }
});
printf(
    "%d jobs, %d readings, %d photographs of %d MB; database %.0f MB\n",
    DB::table('jobs')->count(),
    DB::table('readings')->count(),
    DB::table('photos')->whereNotNull('path')->count(),
    $megabytes,
    filesize($database) / 1e6,
);
foreach (
    [
        '/jobs',
        '/jobs?show=flagged',
        '/jobs?find=emergency',
        '/jobs?find=common+wire',
        '/jobs?find=house+77',
        '/jobs?find=nothing+of+it',
        '/jobs?day='.now()->addDay()->format('Y-m-d'),
        '/visits.ics',
    ] as $url
) {
    passthru(
        PHP_BINARY.
            ' -d opcache.enable_cli=1 '.
            escapeshellarg(__FILE__).
            " {$jobs} {$megabytes} ".
            escapeshellarg($url),
    );
}
foreach (['first', 'second'] as $which) {
    $begin = hrtime(true);
    (new Backup("{$folder}/backups"))->make(
        now()
            ->addSeconds($which === 'first' ? 0 : 60)
            ->utc()
            ->toDateTimeImmutable(),
    );
    printf(
        "%s backup %.1f s, %.0f MB of memory\n",
        $which,
        (hrtime(true) - $begin) / 1e9,
        memory_get_peak_usage() / 1e6,
    );
}
(new Filesystem())->deleteDirectory($folder);
