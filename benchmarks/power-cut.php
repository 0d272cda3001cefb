<?php

declare(strict_types=1);

// Cuts the power of a server in the middle of its writes, again and again: every process of it is killed at a moment
// that nobody chose, then it is started anew, and what it had acknowledged is looked for.
// What got no answer is sent again under its id, as a device does: nothing may stand twice, and no work hang.
//   php benchmarks/power-cut.php [ROUNDS] [SEED]        200 rounds, about five minutes; ends with 1 if anything is lost

require __DIR__.'/../vendor/autoload.php';

$rounds = (int) ($argv[1] ?? 200);
mt_srand((int) ($argv[2] ?? 1));
$root = dirname(__DIR__);
$folder = sys_get_temp_dir().'/power-cut-'.getmypid();
mkdir($folder);
$database = "{$folder}/unionbit.sqlite";
$free = stream_socket_server('tcp://127.0.0.1:0') ?: throw new RuntimeException('no free port');
$port = explode(':', (string) stream_socket_get_name($free, false))[1];
fclose($free);
passthru('bash '.escapeshellarg("{$root}/e2e/seed.sh").' '.escapeshellarg($database), $failed);
if ($failed !== 0) {
    exit("✗ The database could not be seeded.\n");
}
$ulid = static fn (): string => (string) Illuminate\Support\Str::ulid();

/** Starts the server; answers what its processes are found by. */
$start = static function () use ($root, $database, $port, $folder): string {
    $serve = 'exec setsid bash e2e/serve.sh '.$port.' '.escapeshellarg($database).' power-cut';
    exec(
        '(cd '.
            escapeshellarg($root).
            " && SESSION_DRIVER=database CACHE_PATH={$folder}/cache {$serve}) >/dev/null 2>&1 &",
    );
    for ($n = 0; $n < 200 && @file_get_contents("http://127.0.0.1:{$port}/up") !== 'up'; $n++) {
        usleep(50_000);
    }

    return "127.0.0.1:[{$port[0]}]".substr($port, 1);
};
$curl = curl_init();
curl_setopt_array($curl, [CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEFILE => '', CURLOPT_TIMEOUT => 20]);
$token = static function () use ($curl): string {
    foreach (curl_getinfo($curl, CURLINFO_COOKIELIST) as $line) {
        $parts = explode("\t", $line);
        if ($parts[5] === 'XSRF-TOKEN') {
            return urldecode($parts[6]);
        }
    }

    return '';
};
/** @return array{int, mixed} status, 0 where nothing came back */
$post = static function (string $path, array $body, bool $form = false) use ($curl, $port, $token): array {
    curl_setopt_array($curl, [
        CURLOPT_URL => "http://127.0.0.1:{$port}{$path}",
        CURLOPT_POST => true,
        CURLOPT_POSTFIELDS => $form ? $body : json_encode($body),
        CURLOPT_HTTPHEADER => [
            'Accept: application/json',
            'X-XSRF-TOKEN: '.$token(),
            ...$form ? [] : ['Content-Type: application/json'],
        ],
    ]);
    $answer = curl_exec($curl);

    return [
        $answer === false ? 0 : (int) curl_getinfo($curl, CURLINFO_RESPONSE_CODE),
        json_decode((string) $answer, true),
    ];
};
/** @return array{int, mixed} */
$get = static function (string $path) use ($curl, $port): array {
    curl_setopt_array($curl, [
        CURLOPT_URL => "http://127.0.0.1:{$port}{$path}",
        CURLOPT_HTTPGET => true,
        CURLOPT_HTTPHEADER => ['Accept: application/json'],
    ]);
    $answer = curl_exec($curl);

    return [
        $answer === false ? 0 : (int) curl_getinfo($curl, CURLINFO_RESPONSE_CODE),
        json_decode((string) $answer, true),
    ];
};
$signIn = static function () use ($curl, $port, $post): void {
    curl_setopt_array($curl, [CURLOPT_URL => "http://127.0.0.1:{$port}/sign-in", CURLOPT_HTTPGET => true]);
    curl_exec($curl);
    $post('/sign-in', ['email' => 'wren@ebb-and-sluice.example', 'password' => 'saltmarsh']);
};
$picture = "{$folder}/picture.jpg";
imagejpeg(imagecreatetruecolor(900, 700), $picture);
$jobFile = (string) file_get_contents("{$root}/database/demo/tollhouse.json");
file_put_contents("{$folder}/job.json", $jobFile);
// An archive: thirty readings, three photographs with marks.
$readings = array_map(
    static fn (int $n): array => [
        ...['id' => $ulid(), 'seq' => $n, 'at' => '2026-11-20T10:00:00Z', 'by' => 'A. Teal', 'simulated' => false],
        ...[
            'stage' => 'survey',
            'step' => null,
            'call' => null,
            'mode' => 'V',
            'a' => 'indoor.R',
            'b' => 'indoor.C',
        ],
        ...['value' => 26.4, 'power' => 'live', 'expected' => [], 'outcome' => 'pass', 'reason' => ''],
        ...['candidates' => [], 'corrects_id' => null],
    ],
    range(1, 30),
);
$mark = [
    'x' => 0.5,
    'y' => 0.5,
    'end' => 'A1.near',
    'takesBack' => null,
    'at' => '2026-11-20T10:00:00Z',
    'by' => 'A',
];
$taken = ['place' => 'wall', 'skipped' => null, 'at' => '2026-11-20T10:00:00Z', 'by' => 'A'];
$zip = new ZipArchive();
$zip->open("{$folder}/house.zip", ZipArchive::CREATE);
$zip->addFromString(
    'job.json',
    (string) json_encode([...json_decode($jobFile, true), 'records' => ['readings' => $readings]]),
);
$rows = [];
foreach (range(1, 3) as $n) {
    $zip->addFile($picture, "photographs/p{$n}.jpg");
    $rows[] = ['id' => "p{$n}", ...$taken, 'marks' => [['id' => 'm1', ...$mark], ['id' => 'm2', ...$mark]]];
}
$zip->addFromString('photographs.json', (string) json_encode($rows));
$zip->close();
$pdo = static fn (): PDO => new PDO("sqlite:{$database}", options: [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION]);
$houses = $pdo()
    ->query('select id from jobs where handed_over_at is null and deleted_at is null order by id limit 6')
    ->fetchAll(PDO::FETCH_COLUMN);

/** Kinds of writes: what is sent, and the table (and column) that what was acknowledged has to stand in. */
$kinds = [
    'reading' => static fn (string $job, string $id): array => [
        'readings',
        "/jobs/{$job}/readings",
        ['id' => $id, 'stage' => 'survey', 'mode' => 'V', 'a' => 'indoor.R', 'b' => 'indoor.C', 'value' => '26'],
    ],
    'power' => static fn (string $job, string $id): array => [
        'power_events',
        "/jobs/{$job}/power",
        [
            'id' => $id,
            'state' => 'live',
            'volts' => '26',
            'supplies' => ['low' => '26'],
            'meter_proved' => true,
            'despite' => true,
        ],
    ],
    'measurement' => static fn (string $job, string $id): array => [
        'measurements',
        "/jobs/{$job}/measurements",
        ['id' => $id, 'figure' => 'airflow', 'values' => ['tons' => 3, 'cfm' => 800]],
    ],
    'waiver' => static fn (string $job, string $id): array => [
        'waivers',
        "/jobs/{$job}/waivers",
        ['id' => $id, 'call' => 'heat-1', 'note' => 'no gas yet'],
    ],
    'signature' => static fn (string $job, string $id): array => [
        'signatures',
        "/jobs/{$job}/signatures",
        ['id' => $id, 'role' => 'customer', 'name' => 'R.', 'strokes' => [[[1, 1], [2, 2]]]],
    ],
    'photograph' => static fn (string $job, string $id): array => [
        'photos',
        "/jobs/{$job}/photos",
        ['id' => $id, 'place' => 'wall', 'photo' => new CURLFile($picture, 'image/jpeg', 'wall.jpg')],
        true,
    ],
    'no photograph' => static fn (string $job, string $id): array => [
        'photos',
        "/jobs/{$job}/photo-skips",
        ['id' => $id, 'place' => 'indoor', 'reason' => 'too dark'],
    ],
    'job' => static fn (string $job, string $id): array => [
        'jobs',
        '/jobs',
        [
            'id' => $id,
            'site' => "Reed Bank {$id}",
            'kind' => 'replacement',
            'archetype' => 'furnace-gas-1h-1c',
            'feet' => '40',
            'example' => true,
        ],
    ],
    'import' => static fn (string $job, string $id): array => [
        'jobs',
        '/import',
        ['ids[0]' => $id, 'files[0]' => new CURLFile("{$folder}/job.json", 'application/json', 'job.json')],
        true,
    ],
    'edit' => static fn (string $job, string $id): array => [
        'job_revisions',
        "/jobs/{$job}/survey-edits",
        [
            'id' => $id,
            'version' => (int) $pdo()
                ->query("select version from jobs where id = '{$job}'")
                ->fetchColumn(),
            'op' => 'set-cable',
            'cable' => 'A',
            'gauge' => 18,
            'feet' => mt_rand(20, 90),
        ],
    ],
    'archive' => static fn (string $job, string $id): array => [
        'jobs',
        '/import',
        [
            'ids[0]' => $id,
            'as[0]' => 'copy',
            'files[0]' => new CURLFile("{$folder}/house.zip", 'application/zip', 'house.zip'),
        ],
        true,
    ],
    'copy of a house' => static fn (string $job, string $id): array => [
        'jobs',
        "/jobs/{$job}/copies",
        ['id' => $id, 'kind' => 'replacement', 'as' => 'duplicate', 'name' => "Reed Bank {$id}"],
    ],
    'pdf' => static fn (string $job, string $id): array => [
        'errands',
        "/jobs/{$job}/handover.pdf",
        ['id' => $id, 'paper' => 'letter'],
    ],
    'setting' => static fn (string $job, string $id): array => [
        'setting_entries',
        "/jobs/{$job}/settings",
        ['id' => $id, 'key' => 'fan-in-heat', 'value' => 'equipment'],
    ],
    'shared house' => static fn (string $job, string $id): array => [
        'share_links:label',
        "/jobs/{$job}/shares",
        ['label' => $id, 'parts' => ['wiring', 'readings'], 'days' => 7],
    ],
    'invitation' => static fn (string $job, string $id): array => [
        'door_links:email',
        '/crew/links',
        ['email' => strtolower($id).'@crew.example', 'role' => 'installer'],
    ],
];

$acknowledged = $counts = $lost = $refused = [];
$cutInWrite = 0;
/** What got no answer: sent again with the server's next start. */
$again = null;
$tries = [0, ''];
for ($round = 1; $round <= $rounds; $round++) {
    $server = $start();
    if ($round === 1) {
        $signIn();
    }
    $after = mt_rand(40, 2000);
    exec(sprintf("(sleep %.3f; pkill -9 -f '%s') >/dev/null 2>&1 &", $after / 1000, $server));
    while (true) {
        [$kind, $id, $job] = $again ?? [array_rand($kinds), $ulid(), $houses[array_rand($houses)]];
        $again = null;
        [$table, $path, $body, $form] = [...$kinds[$kind]($job, $id), false];
        [$status, $answer] = $post($path, $body, $form);
        // Long work: asked for again until it is through, as a device does.
        for ($n = 0; $status === 202 && $n < 60; $n++) {
            usleep(200_000);
            [$status, $answer] = $get("/errands/{$id}");
        }
        if ($status === 0) {
            $cutInWrite++;
            // A link has no id of the device's: whoever gets no answer looks whether it is there.
            // Nor does anybody send the same for ever that takes longer than the power stays.
            $tries = ($tries[1] ?? '') === $id ? [$tries[0] + 1, $id] : [1, $id];
            $again = str_contains($table, ':') || $tries[0] > 4 ? null : [$kind, $id, $job];
            break;
        }
        if ($status === 401 || $status === 419) {
            $signIn();
        }
        if ($status === 422 && ! isset($refused[$kind])) {
            $refused[$kind] = (string) json_encode($answer);
        }
        $counts[$kind][$status] = ($counts[$kind][$status] ?? 0) + 1;
        // Of a file that was read, whether it was taken is said in the answer.
        if ($status >= 200 && $status < 300 && ($answer['files'][0]['job'] ?? true) !== null) {
            $acknowledged[$table][$id] = $kind;
        }
    }
    exec("pkill -9 -f '{$server}' 2>/dev/null");
    usleep(30_000);
    $look = $pdo();
    if (
        $look->query('pragma integrity_check')->fetchColumn() !== 'ok' ||
        $look->query('pragma foreign_key_check')->fetch() !== false
    ) {
        $lost[] = "round {$round}: the database is not whole";
    }
    foreach ($acknowledged as $table => $ids) {
        [$name, $column] = explode(':', "{$table}:id");
        $there = $look->query("select {$column} from {$name}")->fetchAll(PDO::FETCH_COLUMN);
        $there = array_flip(array_map(strtoupper(...), str_replace('@crew.example', '', $there)));
        foreach (array_diff_key($ids, $there) as $id => $kind) {
            $lost[] = "round {$round}: {$kind} {$id} was acknowledged and is not there";
        }
    }
    // A row of a photograph whose picture is not there, or half there, is a lost photograph.
    $taken = "select path from photos where path is not null and created_at > datetime('now', '-1 hour')";
    foreach ($look->query($taken) as $photo) {
        if (@getimagesize("{$root}/storage/app/private/{$photo['path']}") === false) {
            $lost[] = "round {$round}: {$photo['path']} is not whole";
        }
    }
    if ($round % 20 === 0) {
        printf(
            "%d rounds, %d cut in a write, %d acknowledged, %d lost\n",
            $round,
            $cutInWrite,
            array_sum(array_map(count(...), $acknowledged)),
            count($lost),
        );
    }
    if ($lost !== []) {
        break;
    }
}
// With the server up again nothing hangs, and nothing that was sent twice stands twice.
sleep(6);
$server = $start();
$env = "APP_ENV=e2e DB_DATABASE={$database} QUEUE_CONNECTION=sync CACHE_PATH={$folder}/cache";
passthru("cd {$root} && {$env} php artisan unionbit:take-up");
exec("pkill -9 -f '{$server}' 2>/dev/null");
$look = $pdo();
$hang = (int) $look->query("select count(*) from errands where state in ('waiting', 'running')")->fetchColumn();
if ($hang > 0) {
    $lost[] = "{$hang} pieces of work hang";
}
foreach ($acknowledged['jobs'] ?? [] as $id => $kind) {
    $has = static fn (string $table): int => (int) $look
        ->query("select count(*) from {$table} where job_id = '{$id}'")
        ->fetchColumn();
    if ($kind === 'archive' && [$has('readings'), $has('photos'), $has('photo_marks')] !== [30, 3, 6]) {
        $lost[] = "archive {$id} has {$has('readings')} readings, {$has('photos')} photographs, {$has(
            'photo_marks',
        )} marks";
    }
}
foreach ($counts as $kind => $by) {
    ksort($by);
    printf(
        "%-14s %s\n",
        $kind,
        implode('  ', array_map(static fn (int $s, int $n): string => "{$s}: {$n}", array_keys($by), $by)),
    );
}
foreach ($refused as $kind => $why) {
    echo "{$kind} was refused: ".substr($why, 0, 200)."\n";
}
array_map(static fn (string $line) => print "✗ {$line}\n", array_unique($lost));
exec('rm -rf '.escapeshellarg($folder));
echo $lost === [] ? "✓ {$rounds} power cuts, nothing acknowledged was lost.\n" : "✗ Something was lost.\n";
exit($lost === [] ? 0 : 1);
