<?php

declare(strict_types=1);

// The jobs screen, its search and the calendar over many jobs: php benchmarks/jobs.php [jobs]
// Each is asked in a process of its own (cold: nothing of it in memory, the framework's cache empty), then ten times
// more in that process (warm). Summaries stand in the database, as they do when jobs were worked on before.

use App\Models\Crew;
use App\Models\User;
use Database\Seeders\DatabaseSeeder;
use Illuminate\Contracts\Console\Kernel as Console;
use Illuminate\Contracts\Http\Kernel as Http;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

$jobs = max(11, (int) ($argv[1] ?? 10000));
$database = sys_get_temp_dir().'/unionbit-jobs-bench.sqlite';
foreach (
    [
        'DB_DATABASE' => $database,
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

if (isset($argv[2])) {
    Auth::login(User::query()->orderBy('id')->firstOrFail());
    $ask = static function () use ($app, $argv): float {
        $begin = hrtime(true);
        $request = Request::create(
            $argv[2],
            'GET',
            server: ['HTTP_X_INERTIA' => 'true', 'HTTP_ACCEPT' => 'application/json'],
        );
        $answer = $app->make(Http::class)->handle($request);
        $answer->getContent();
        $answer->getStatusCode() < 400 ||
            $answer->getStatusCode() === 409 ||
            throw new RuntimeException("{$argv[2]}: {$answer->getStatusCode()}");

        return (hrtime(true) - $begin) / 1e6;
    };
    Cache::flush();
    $cold = $ask();
    $warm = array_map($ask, range(1, 10));
    sort($warm);
    printf("%-44s cold %6.0f ms   warm %6.0f ms median, %6.0f ms most\n", $argv[2], $cold, $warm[5], end($warm));
    exit();
}

@array_map(unlink(...), glob("{$database}*") ?: []);
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
printf("%d jobs, %.0f MB\n", DB::table('jobs')->count(), filesize($database) / 1e6);
foreach (
    [
        '/jobs',
        '/jobs?show=flagged',
        '/jobs?find=emergency',
        '/jobs?find=common+wire',
        '/jobs?find=house+77',
        '/jobs?find=nothing+of+it',
        '/visits.ics',
    ] as $url
) {
    passthru(
        PHP_BINARY.' -d opcache.enable_cli=1 '.escapeshellarg(__FILE__)." {$jobs} ".escapeshellarg($url),
    );
}
