<?php

declare(strict_types=1);

// A hand edit of the plan of the largest house, through the application: the write, and the page read again after it,
// as the server spends it: php benchmarks/edit.php [edits]

use App\Jobs\File\ImportJob;
use App\Models\Crew\User;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Str;

require __DIR__.'/../vendor/autoload.php';
putenv('APP_ENV=testing');
putenv('DB_DATABASE=:memory:');
putenv('SESSION_DRIVER=array');
putenv('CACHE_STORE=array');
$app = require __DIR__.'/../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
Artisan::call('migrate', ['--force' => true]);
$user = User::factory()->create();
Auth::login($user);
$job = $app->make(ImportJob::class)(
    $user,
    (string) Str::ulid(),
    json_decode((string) file_get_contents(__DIR__.'/../database/demo/quay-house-flat-2.json'), true),
);
$handle = static function (string $method, string $path, array $body = []) use ($app): int {
    $request = Request::create(
        $path,
        $method,
        [],
        [],
        [],
        ['HTTP_ACCEPT' => 'application/json', 'CONTENT_TYPE' => 'application/json', 'HTTP_X_INERTIA' => 'true'],
        $body === [] ? null : json_encode($body, JSON_THROW_ON_ERROR),
    );

    return $app->make(Illuminate\Contracts\Http\Kernel::class)->handle($request)->getStatusCode();
};
$app->bind(
    Illuminate\Foundation\Http\Middleware\ValidateCsrfToken::class,
    static fn () => new class
    {
        public function handle(mixed $request, Closure $next): mixed
        {
            return $next($request);
        }
    },
);
$times = [];
$edits = max(2, (int) ($argv[1] ?? 60));
foreach (range(1, $edits) as $run) {
    $start = hrtime(true);
    $wrote = $handle('POST', "/jobs/{$job->id}/plan-edits", [
        'id' => (string) Str::ulid(),
        'version' => $job->refresh()->version,
        'op' => 'land',
        'conductor' => 'A'.(1 + ($run % 8)),
        'screw' => ['Y2', 'G', 'W1', 'Aux', 'C', 'Rh'][$run % 6],
    ]);
    $read = $handle('GET', "/jobs/{$job->id}/plan");
    $times[] = (hrtime(true) - $start) / 1e6;
    if ($wrote !== 200 || ! in_array($read, [200, 409], true)) {
        throw new RuntimeException("answers {$wrote} and {$read}");
    }
}
sort($times);
printf(
    "edit and page of the largest house: median %.0f ms, 95th percentile %.0f ms\n",
    $times[intdiv($edits, 2)],
    $times[(int) (0.95 * $edits)],
);
