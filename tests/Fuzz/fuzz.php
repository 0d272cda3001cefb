<?php

declare(strict_types=1);

// Job files, archives, records, edits, links, people and second factors bent at random, through the application's own
// front door, in one process and against a database in memory. Fixed seeds: the same run every time.
//   php tests/Fuzz/fuzz.php [files] [requests] [only this seed] [archives]
// Fails on any answer of 500 or above, on any that takes longer than two seconds, and on a picture kept as it came.

use App\Crew\Door\DoorLinks;
use App\Models\Crew\Role;
use App\Models\Crew\User;
use App\Models\Job;
use App\Models\Share\SharePart;
use App\Share\ShareLinks;
use Database\Seeders\DatabaseSeeder;
use Illuminate\Contracts\Console\Kernel as Console;
use Illuminate\Contracts\Debug\ExceptionHandler;
use Illuminate\Contracts\Http\Kernel as Http;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use Tests\Fuzz\Archives;
use Tests\Fuzz\Mutator;

foreach (
    [
        'APP_ENV' => 'testing',
        'DB_DATABASE' => ':memory:',
        'SESSION_DRIVER' => 'array',
        'CACHE_STORE' => 'array',
        'LIMITS_STORE' => 'array',
        'MAIL_MAILER' => 'array',
        'BCRYPT_ROUNDS' => '4',
        'LOG_CHANNEL' => 'null',
        'UNIONBIT_SOLO' => '0',
        'APP_DEBUG' => 'false',
    ] as $key => $value
) {
    putenv("{$key}={$value}");
    $_ENV[$key] = $_SERVER[$key] = $value;
}
$root = dirname(__DIR__, 2);
require $root.'/vendor/autoload.php';
require __DIR__.'/Archives.php';
require __DIR__.'/Mutator.php';
$app = require $root.'/bootstrap/app.php';
$app->make(Console::class)->bootstrap();
$app->make(Console::class)->call('migrate', ['--force' => true]);
(new DatabaseSeeder())->run();
$user = User::query()->orderBy('id')->firstOrFail();
$count = [(int) ($argv[1] ?? 4500), (int) ($argv[2] ?? 2000), (int) ($argv[4] ?? 600)];
$only = ($argv[3] ?? '') === '' ? null : (int) $argv[3];
$longest = 2.0;
$statuses = $slow = $bad = [];
$thrown = '';
$app->make(ExceptionHandler::class)->reportable(static function (Throwable $problem) use (&$thrown): void {
    $thrown =
        get_class($problem).
        ': '.
        $problem->getMessage().
        ' at '.
        basename($problem->getFile()).
        ':'.
        $problem->getLine();
});

/** @return array{int, string} status and body */
$ask = static function (string $what, string $method, string $path, array $body = [], array $files = []) use (
    $app,
    $user,
    &$statuses,
    &$slow,
    &$bad,
    &$thrown,
    $longest,
): array {
    $thrown = '';
    // Each as if it was the first at its door.
    Cache::store('array')->flush();
    str_starts_with($what, 'nobody') ? Auth::forgetGuards() : Auth::setUser($user);
    $begin = hrtime(true);
    $json = $files === [] && $method !== 'GET';
    $request = Request::create(
        $path,
        $method,
        $json ? [] : $body,
        [],
        $files,
        [
            'HTTP_ACCEPT' => $method === 'GET' ? 'text/html' : 'application/json',
            'CONTENT_TYPE' => $json ? 'application/json' : 'multipart/form-data',
        ],
        $json ? (string) json_encode($body, JSON_PARTIAL_OUTPUT_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE) : null,
    );
    $answer = $app->make(Http::class)->handle($request);
    $content = (string) $answer->getContent();
    $seconds = (hrtime(true) - $begin) / 1e9;
    $status = $answer->getStatusCode();
    $statuses[$status] = ($statuses[$status] ?? 0) + 1;
    $slow[] = [$seconds, "{$what}: {$method} {$path}"];
    if (count($slow) > 400) {
        rsort($slow);
        $slow = array_slice($slow, 0, 5);
    }
    if ($status >= 500 || $seconds > $longest) {
        $bad[] = sprintf(
            '%s: %s %s answered %d in %.2f s: %s',
            $what,
            $method,
            $path,
            $status,
            $seconds,
            Str::limit($thrown, 220),
        );
    }

    return [$status, $content];
};

$finished = Job::at('Lock Keeper\'s Row 4');
$jobs = [Job::at('Winding Hole 2')->id, Job::at('Tollhouse')->id, Job::at('Ropewalk 11')->id, $finished->id];
$sources = array_map(static fn (string $f): mixed => json_decode((string) file_get_contents($f), true), [
    ...glob($root.'/database/demo/*.json') ?: [],
    ...glob($root.'/docs/examples/*.json') ?: [],
]);
$whole = (array) json_decode($ask('source', 'GET', "/jobs/{$finished->id}/job-file")[1], true);
// What that job has none of stands in it too.
$whole['survey']['jumpers'] = [['place' => 'wall', 'a' => 'R', 'b' => 'Rc', 'label' => 'J1']];
$whole['survey']['overrides'] = ['SC08' => 'seen'];
$whole['survey']['facts']['safety'] = [
    ['id' => 'float', 'label' => 'float switch', 'breaks' => ['Y'], 'relay' => false],
];
// After all that it has.
$by = ['seq' => 9000, 'at' => '2026-11-20T09:00:00+00:00', 'by' => 'Wren Halyard', 'simulated' => false];
$whole['records']['waivers'] = [['call' => 'fan', 'reason' => 'x', ...$by]];
$whole['records']['measurements'] = [
    [
        'figure' => 'split',
        'call' => 'cool-1',
        'inputs' => ['return' => 76, 'supply' => 57],
        'lines' => [['label' => 'x', 'value' => 19, 'unit' => 'F', 'formula' => 'x']],
        'tone' => 'verd',
        'verdict' => 'x',
        ...$by,
    ],
];
$whole['records']['marks'] = [
    ['reading_id' => $whole['records']['readings'][0]['id'], 'unexplained' => true, 'note' => 'x', ...$by],
];
$pages = [
    'survey',
    'plan',
    'set',
    'prove',
    'handover',
    'job-file',
    'readings.csv',
    'wiring.csv',
    'wiring.svg',
    'conductors.csv',
    'figures',
    'thermostats',
    'handover.pdf',
];

// As it is it has to be taken: what is bent of it would be refused for that, and nothing else tried.
$path = (string) tempnam(sys_get_temp_dir(), 'fuzz');
file_put_contents($path, (string) json_encode($whole));
$file = new UploadedFile($path, 'house.json', 'application/json', null, true);
$straight = $ask(
    'as it is',
    'POST',
    '/import',
    ['ids' => [(string) Str::ulid()], 'as' => ['copy']],
    ['files' => [$file]],
);
if ((json_decode($straight[1], true)['files'][0]['job'] ?? null) === null) {
    exit("✗ The file that is bent is refused as it is: {$straight[1]}\n");
}

$sweep = (new Mutator(0))->wrongs($whole);
$taken = 0;
for ($seed = 1; $seed <= $count[0]; $seed++) {
    if ($only !== null && $seed !== $only) {
        continue;
    }
    $mutator = new Mutator($seed);
    // First a finished job with all its records, every field of it wrong in every way; then at random.
    $text = $seed <= $sweep ? $mutator->swept($whole, $seed) : $mutator->text($sources[$seed % count($sources)]);
    $path = tempnam(sys_get_temp_dir(), 'fuzz');
    file_put_contents($path, $text);
    $id = (string) Str::ulid();
    [$status, $content] = $ask(
        "file {$seed}",
        'POST',
        '/import',
        // As a copy: the job that they were written from is here.
        ['ids' => [$id], 'as' => ['copy']],
        ['files' => [new UploadedFile($path, 'house.json', 'application/json', null, true)]],
    );
    @unlink($path);
    if ($status === 200 && (json_decode($content, true)['files'][0]['job'] ?? null) !== null) {
        $taken++;
        foreach ([$pages[$seed % count($pages)], $pages[($seed * 7) % count($pages)]] as $page) {
            $ask("file {$seed}", 'GET', "/jobs/{$id}/{$page}");
        }
    }
    if ($seed % 250 === 0) {
        $ask("file {$seed}", 'GET', '/jobs');
        $ask("file {$seed}", 'GET', '/visits.ics');
        fprintf(STDERR, "%d files, %d of them taken, %d bad\n", $seed, $taken, count($bad));
    }
}

$archives = new Archives($sources[0]);
$before = $taken;
for ($n = 1; $n <= $count[2]; $n++) {
    $seed = 200_000 + $n;
    if ($only !== null && $seed !== $only) {
        continue;
    }
    $path = $archives->file($seed);
    $id = (string) Str::ulid();
    [$status, $content] = $ask(
        "archive {$seed}",
        'POST',
        '/import',
        ['ids' => [$id], 'as' => ['copy']],
        ['files' => [new UploadedFile($path, 'house.zip', 'application/zip', null, true)]],
    );
    @unlink($path);
    if ($status === 200 && (json_decode($content, true)['files'][0]['job'] ?? null) !== null) {
        $taken++;
        $ask("archive {$seed}", 'GET', "/jobs/{$id}/survey");
        foreach (DB::table('photos')->where('job_id', $id)->whereNotNull('path')->get() as $photo) {
            $kept = (string) Storage::disk('local')->get((string) $photo->path);
            if (str_contains($kept, 'Exif') || str_contains($kept, 'script') || substr($kept, -2) !== "\xFF\xD9") {
                $bad[] = "archive {$seed}: a picture is kept as it came";
            }
            $ask("archive {$seed}", 'GET', "/jobs/{$id}/photos/{$photo->id}");
        }
        Storage::disk('local')->deleteDirectory("photos/{$id}");
    }
}
fprintf(STDERR, "%d archives, %d of them taken, %d bad\n", $count[2], $taken - $before, count($bad));

$id = static fn (): string => (string) Str::ulid();
$secret = basename(ShareLinks::make(Job::query()->findOrFail($jobs[1]), 'x', SharePart::cases(), 7, $user)['url']);
$door = basename(DoorLinks::invite($user->crew, 'new@crew.example', Role::Reader, $user)['url']);
/** @var list<array{string, string, array<string, mixed>}> $requests what a good request looks like */
$requests = [
    [
        'POST',
        'readings',
        [
            'stage' => 'prove',
            'step' => 'fan.voltage',
            'mode' => 'V',
            'a' => 'indoor.G',
            'b' => 'indoor.C',
            'value' => '26.0',
        ],
    ],
    [
        'POST',
        'readings',
        ['stage' => 'survey', 'mode' => 'O', 'a' => 'indoor.R', 'b' => 'indoor.C', 'value' => 'OL', 'call' => null],
    ],
    ['POST', 'expect', ['stage' => 'plan', 'call' => 'cool-1', 'mode' => 'V', 'a' => 'wall.Y1', 'b' => 'wall.C']],
    ['POST', 'signs', ['step' => 'fan.voltage', 'sign' => 'blower', 'seen' => true]],
    ['POST', 'power', ['state' => 'live', 'volts' => '26.4', 'supplies' => ['T1' => '26.4'], 'despite' => true]],
    ['POST', 'power', ['state' => 'isolated', 'volts' => '0.0', 'meter_proved' => true]],
    ['POST', 'steps', ['step' => 'fan.voltage', 'event' => 'start']],
    ['POST', 'settings', ['key' => 'cycles', 'value' => '3', 'note' => 'x']],
    ['POST', 'moves', ['move' => 'link:in', 'done' => true]],
    ['POST', 'waivers', ['call' => 'fan', 'note' => 'x']],
    [
        'POST',
        'measurements',
        ['figure' => 'split', 'call' => 'cool-1', 'values' => ['return' => 76, 'supply' => 57, 'mode' => 1]],
    ],
    ['POST', 'marks', ['reading' => '01KV0000000000000000000001', 'unexplained' => true, 'note' => 'x']],
    [
        'POST',
        'tells',
        ['stage' => 'prove', 'step' => 'fan.voltage', 'mode' => 'V', 'a' => 'indoor.G', 'b' => 'indoor.C'],
    ],
    [
        'POST',
        'signatures',
        ['role' => 'customer', 'name' => 'R.', 'strokes' => [[[1, 1], [2, 2]], [[3, 3], [900, 900]]]],
    ],
    ['POST', 'handover', ['unsigned' => true]],
    ['POST', 'shelf', ['to' => 'list']],
    ['POST', 'copies', ['as' => 'sister', 'kind' => 'follow-up', 'name' => 'Upstairs']],
    [
        'POST',
        'details',
        [
            'version' => 1,
            'site' => 'Weir',
            'address' => 'x',
            'system' => 'System',
            'kind' => 'replacement',
            'day' => '2026-12-01',
            'starts' => '08:30',
            'who' => 'Wren',
        ],
    ],
    ['POST', 'practice', ['on' => true, 'fault' => 'any']],
    ['POST', 'photo-skips', ['place' => 'wall', 'reason' => 'dark']],
    [
        'POST',
        'photo-marks',
        [
            'photo_id' => '01KV0000000000000000000001',
            'x' => 0.5,
            'y' => 0.5,
            'end' => 'A1.near',
            'takes_back' => null,
        ],
    ],
    ['POST', 'entry-preview', ['cable' => 'A', 'line' => 'red R>R !', 'lines' => ['wht W>W', 'x']]],
    ['POST', 'simulated-signs', ['step' => 'fan.voltage']],
    ['POST', 'survey-edits', ['version' => 1, 'op' => 'add-conductor', 'cable' => 'A', 'line' => 'pnk - > - cap']],
    [
        'POST',
        'survey-edits',
        ['version' => 1, 'op' => 'add-conductors', 'cable' => 'A', 'lines' => ['tan - > - cap', 'x']],
    ],
    ['POST', 'survey-edits', ['version' => 1, 'op' => 'answer', 'key' => 'lineVolts', 'value' => 120]],
    ['POST', 'survey-edits', ['version' => 1, 'op' => 'answer', 'key' => 'evidence', 'value' => ['valve']]],
    [
        'POST',
        'survey-edits',
        [
            'version' => 1,
            'op' => 'set-facts',
            'facts' => ['fuseAmps' => 3, 'lineVolts' => 120, 'plateLink' => 'in', 'commonBonded' => true],
        ],
    ],
    [
        'POST',
        'survey-edits',
        [
            'version' => 1,
            'op' => 'safety',
            'safety' => [['id' => 'float', 'label' => 'float switch', 'breaks' => ['Y'], 'relay' => false]],
        ],
    ],
    [
        'POST',
        'survey-edits',
        [
            'version' => 1,
            'op' => 'jumpers',
            'jumpers' => [['place' => 'wall', 'a' => 'R', 'b' => 'Rc', 'label' => 'J1']],
        ],
    ],
    [
        'POST',
        'survey-edits',
        ['version' => 1, 'op' => 'read-schedule', 'csv' => "cable,number,colour,near,far\nA,1,red,R,R"],
    ],
    ['POST', 'survey-edits', ['version' => 1, 'op' => 'set-cable', 'cable' => 'A', 'gauge' => 18, 'feet' => 40]],
    ['POST', 'survey-edits', ['version' => 1, 'op' => 'override', 'code' => 'SC01', 'reason' => 'x']],
    ['POST', 'survey-edits', ['version' => 1, 'op' => 'restore', 'to_version' => 1]],
    ['POST', 'plan-edits', ['version' => 1, 'op' => 'choose', 'profile' => 'c-powered-1h-1c']],
    ['POST', 'plan-edits', ['version' => 1, 'op' => 'land', 'number' => 1, 'screw' => 'Rc']],
    ['POST', 'plan-edits', ['version' => 1, 'op' => 'board', 'number' => 1, 'screw' => 'R']],
    ['POST', 'plan-edits', ['version' => 1, 'op' => 'tie', 'place' => 'wall', 'a' => 'W1', 'b' => 'Aux']],
    [
        'POST',
        'plan-edits',
        ['version' => 1, 'op' => 'take', 'key' => 'x', 'note' => 'x', 'weights' => ['parts' => 3]],
    ],
    ['GET', 'cannot-tell', ['step' => 'fan.voltage']],
    ['GET', 'offers', ['profile' => 'c-powered-1h-1c', 'parts' => '3']],
    ['GET', 'thermostats', ['remote' => 'yes']],
    ['GET', 'handover.pdf', ['paper' => 'letter']],
    [
        'POST',
        '/jobs',
        [
            'site' => 'Weir',
            'kind' => 'replacement',
            'archetype' => 'furnace-gas-1h-1c',
            'feet' => '45',
            'example' => true,
        ],
    ],
    ['GET', '/jobs', ['find' => 'toll', 'show' => 'open', 'day' => '2026-12-01', 'rows' => '20']],
    [
        'POST',
        '/profiles',
        [
            'title' => 'x',
            'screws' => 'R C Y G W',
            'power' => 'battery',
            'va' => 0,
            'remote' => 'none',
            'switches' => 'base',
            'link' => 'slide',
            'heat' => 1,
            'cool' => 1,
        ],
    ],
    ['POST', '/figures/voltage-drop', ['values' => ['feet' => 45]]],
    ['POST', '/figures/balance', ['values' => ['load' => 40000]]],
    ['POST', '/account/password', ['present' => 'x', 'password' => 'longer than twelve']],
    ['POST', '/account/name', ['name' => 'Wren Halyard']],
    ['POST', '/account/settings', ['units' => 'us', 'theme' => 'light', 'school' => 'short', 'singleKeys' => true]],
    ['POST', '/account/devices', ['device' => 'abcdef0123456789']],
    ['POST', '/account/factor', ['password' => 'saltmarsh']],
    ['POST', '/account/factor/confirm', ['code' => '123456']],
    ['POST', '/account/factor/off', ['code' => '123 456']],
    ['POST', '/crew/links', ['email' => 'sedge@crew.example', 'role' => 'installer']],
    ['POST', '/crew/links/1/revoke', []],
    ['POST', '/crew/2/role', ['role' => 'installer']],
    ['POST', '/crew/2/password', ['factor' => true]],
    ['POST', '/crew/units', ['units' => 'metric']],
    ['POST', '/crew/backup', []],
    ['POST', 'shares', ['label' => 'a neighbor', 'parts' => ['wiring', 'readings'], 'days' => 7]],
    ['POST', '/shares/1/revoke', []],
    ['POST', 'archive', []],
    ['GET', "/shared/{$secret}", ['part' => 'wiring']],
    ['GET', "/shared/{$secret}/photos/01KV0000000000000000000001", []],
    ['nobody POST', "/door/{$door}", ['name' => 'Teal', 'password' => 'short']],
    ['nobody GET', "/door/{$door}", []],
    ['nobody POST', '/forgot', ['email' => 'wren@ebb-and-sluice.example']],
    ['nobody POST', '/sign-in', ['email' => 'wren@ebb-and-sluice.example', 'password' => 'x', 'remember' => true]],
    ['nobody POST', '/sign-in/code', ['code' => '123456']],
    ['nobody POST', '/first-start', ['code' => 'x', 'crew' => 'x', 'name' => 'x', 'email' => 'a@b.example']],
];
for ($n = 1; $n <= $count[1]; $n++) {
    $seed = 100_000 + $n;
    if ($only !== null && $seed !== $only) {
        continue;
    }
    $mutator = new Mutator($seed);
    [$method, $path, $body] = $requests[$n % count($requests)];
    $who = str_starts_with($method, 'nobody') ? 'nobody' : 'request';
    $method = str_replace('nobody ', '', $method);
    $body += $method === 'POST' ? ['id' => $id()] : [];
    $job = $jobs[intdiv($n, count($requests)) % count($jobs)];
    if (isset($body['version'])) {
        $body['version'] = DB::table('jobs')->where('id', $job)->value('version');
    }
    // One in eight as it should be, so that the bent ones meet a job in every state.
    $bent = $n % 8 === 0 ? $body : $mutator->bent($body);
    $bent = is_array($bent) ? $bent : ['x' => $bent];
    $ask("{$who} {$seed}", $method, str_starts_with($path, '/') ? $path : "/jobs/{$job}/{$path}", $bent);
    if ($n % 50 === 0) {
        $ask("request {$seed}", 'GET', "/jobs/{$job}/".$pages[intdiv($n, 50) % 5]);
        DB::table('jobs')
            ->whereIn('id', $jobs)
            ->update(['deleted_at' => null]);
    }
}

ksort($statuses);
rsort($slow);
printf(
    '%d files, the first %d of them one field wrong in one way, and %d archives (%d taken), %d requests beside them; '.
        "answers: %s\n",
    $count[0],
    min($sweep, $count[0]),
    $count[2],
    $taken,
    $count[1],
    implode(', ', array_map(static fn (int $s, int $c): string => "{$s} × {$c}", array_keys($statuses), $statuses)),
);
printf(
    "slowest: %s\n",
    implode('; ', array_map(static fn (array $s): string => sprintf('%.2f s %s', ...$s), array_slice($slow, 0, 3))),
);
foreach (array_slice($bad, 0, 40) as $line) {
    echo "✗ {$line}\n";
}
if ($only === null && $count[0] >= 500 && $taken < $count[0] / 50) {
    $bad[] = "only {$taken} were taken: hardly anything was tried beyond the door";
    echo "✗ {$bad[0]}\n";
}
printf("%s %d answers of 500 or above, or over %.0f s\n", $bad === [] ? '✓' : '✗', count($bad), $longest);
exit($bad === [] ? 0 : 1);
