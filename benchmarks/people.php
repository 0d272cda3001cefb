<?php

declare(strict_types=1);

// Twenty people at once, each reading and recording on a house of their own, against a server of bin/deploy --try:
//   php benchmarks/people.php https://127.0.0.1:8443 [SECONDS [THINKS [ARCHIVE]]]
// THINKS: seconds between what one does, 0 if not said. ARCHIVE: 1 to bring the largest archive that is allowed in
// meanwhile. Says how long pages and writes take, and what processor time a request costs fpm.

[, $base, $seconds, $thinks, $archive] = [...$argv, 2 => $argv[2] ?? 30, 3 => $argv[3] ?? 0, 4 => $argv[4] ?? 0];
$people = 20;
$ulid = static fn (): string => sprintf(
    '01%s',
    strtoupper(substr(strtr(base64_encode(random_bytes(30)), '+/=ilouILOU', 'abc0123401234'), 0, 24)),
);
$handle = static function () {
    $curl = curl_init();
    curl_setopt_array($curl, [
        CURLOPT_RETURNTRANSFER => true,
        CURLOPT_COOKIEFILE => '',
        CURLOPT_SSL_VERIFYPEER => false,
        CURLOPT_SSL_VERIFYHOST => 0,
        CURLOPT_TIMEOUT => 60,
    ]);

    return $curl;
};
$token = static function ($curl): string {
    foreach (curl_getinfo($curl, CURLINFO_COOKIELIST) as $line) {
        $parts = explode("\t", $line);
        if ($parts[5] === 'XSRF-TOKEN') {
            return urldecode($parts[6]);
        }
    }

    return '';
};
$aim = static function ($curl, string $path, ?array $body, bool $form = false) use ($base, $token): void {
    curl_setopt_array($curl, [
        CURLOPT_URL => $base.$path,
        CURLOPT_HTTPHEADER => [
            'Accept: application/json, text/html',
            'X-XSRF-TOKEN: '.$token($curl),
            ...$body === null || $form ? [] : ['Content-Type: application/json'],
        ],
    ]);
    $body === null
        ? curl_setopt($curl, CURLOPT_HTTPGET, true)
        : curl_setopt_array($curl, [
            CURLOPT_POST => true,
            CURLOPT_POSTFIELDS => $form ? $body : json_encode($body),
        ]);
};
$ask = static function ($curl, string $path, ?array $body = null, bool $form = false) use ($aim): string {
    $aim($curl, $path, $body, $form);
    $answer = (string) curl_exec($curl);
    $status = curl_getinfo($curl, CURLINFO_RESPONSE_CODE);
    if ($status >= 400) {
        exit("✗ {$path}: {$status} ".substr($answer, 0, 300)."\n");
    }

    return $answer;
};
$props = static function (string $html): array {
    preg_match('/data-page="([^"]*)"/', $html, $found);

    return json_decode(html_entity_decode($found[1] ?? '', ENT_QUOTES | ENT_HTML5), true)['props'] ?? [];
};

/** A house that is surveyed, planned, landed and live, as its job file. */
$house = static function ($curl) use ($ask, $ulid, $props): string {
    $id = $ulid();
    $ask($curl, '/jobs', [
        'id' => $id,
        'site' => "Reed Bank {$id}",
        'kind' => 'replacement',
        'archetype' => 'furnace-gas-1h-1c',
        'feet' => '45',
        'example' => true,
    ]);
    $ask($curl, "/jobs/{$id}/plan-edits", [
        'id' => $ulid(),
        'version' => 1,
        'op' => 'choose',
        'profile' => 'c-powered-1h-1c',
    ]);
    $ask($curl, "/jobs/{$id}/plan-edits", ['id' => $ulid(), 'version' => 2, 'op' => 'use']);
    $ask($curl, "/jobs/{$id}/survey-edits", ['id' => $ulid(), 'version' => 3, 'op' => 'finish']);
    foreach (['wall', 'indoor'] as $place) {
        $ask($curl, "/jobs/{$id}/photo-skips", ['id' => $ulid(), 'place' => $place, 'reason' => 'too dark']);
    }
    $power = static fn (string $state, string $volts): string => $ask($curl, "/jobs/{$id}/power", [
        'id' => $ulid(),
        'state' => $state,
        'supplies' => ['low' => $volts],
        'meter_proved' => true,
        'despite' => true,
    ]);
    $power('isolated', '0.0');
    foreach ($props($ask($curl, "/jobs/{$id}/plan"))['plan']['moves'] as $move) {
        $ask($curl, "/jobs/{$id}/moves", ['id' => $ulid(), 'move' => $move['key'], 'done' => true]);
    }
    $power('live', '26.5');
    $ask($curl, "/jobs/{$id}/readings", [
        'id' => $ulid(),
        'stage' => 'prove',
        'mode' => 'V',
        'a' => 'indoor.R',
        'b' => 'indoor.C',
        'value' => '26.4',
    ]);
    $file = json_decode($ask($curl, "/jobs/{$id}/job-file"), true);
    $reading = $file['records']['readings'][0];
    for ($n = 1; $n < 140; $n++) {
        $file['records']['readings'][] = [...$reading, 'id' => $ulid(), 'seq' => 1000 + $n];
    }

    return (string) json_encode($file);
};
/** The same again, worked on now, with 140 readings in it. */
$another = static function ($curl, string $file) use ($ask, $ulid): string {
    $id = $ulid();
    $path = (string) tempnam(sys_get_temp_dir(), 'house');
    file_put_contents($path, $file);
    $sent = [
        'as[0]' => 'copy',
        'ids[0]' => $id,
        'files[0]' => new CURLFile($path, 'application/json', 'house.json'),
    ];
    $errand = json_decode($ask($curl, '/import', $sent, true), true);
    while (! isset($errand['files'])) {
        usleep(200_000);
        $errand = json_decode($ask($curl, "/errands/{$errand['errand']}"), true);
    }
    $errand['files'][0]['job'] ?? exit('✗ '.json_encode($errand)."\n");
    $ask($curl, "/jobs/{$id}/power", [
        'id' => $ulid(),
        'state' => 'live',
        'supplies' => ['low' => '26.5'],
        'meter_proved' => true,
        'despite' => true,
    ]);
    $ask($curl, "/jobs/{$id}/steps", ['id' => $ulid(), 'step' => 'fan.voltage', 'event' => 'start']);

    return $id;
};

/** The largest archive that is allowed: 2 000 records, 200 photographs, 2 000 marks. */
$largest = static function () use ($ulid): string {
    $file = sys_get_temp_dir().'/largest.zip';
    $job = json_decode((string) file_get_contents(__DIR__.'/../database/demo/lock-keepers-row-4.json'), true);
    $row = static fn (int $n): array => [
        'id' => $ulid(),
        'seq' => $n,
        'at' => '2026-11-20T10:00:00Z',
        'by' => 'A. Teal',
        'simulated' => false,
        'stage' => 'survey',
        'step' => null,
        'call' => null,
        'mode' => 'V',
        'a' => 'indoor.R',
        'b' => 'indoor.C',
        'value' => 26.4,
        'power' => 'live',
        'expected' => [],
        'outcome' => 'pass',
        'reason' => str_repeat('why it is so ', 20),
        'candidates' => [],
        'corrects_id' => null,
    ];
    $job['records'] = ['readings' => array_map($row, range(1, 2000))];
    unset($job['id']);
    $mark = static fn (int $n): array => [
        'id' => "m{$n}",
        'x' => 0.5,
        'y' => 0.5,
        'end' => 'A1.near',
        'takesBack' => null,
        'at' => '2026-11-20T10:00:00Z',
        'by' => 'A. Teal',
    ];
    $image = imagecreatetruecolor(2400, 1800);
    for ($n = 0; $n < 4000; $n++) {
        imagefilledellipse($image, random_int(0, 2400), random_int(0, 1800), 60, 60, random_int(0, 0xFFFFFF));
    }
    imagejpeg($image, "{$file}.jpg", 82);
    $zip = new ZipArchive();
    $zip->open($file, ZipArchive::CREATE | ZipArchive::OVERWRITE);
    $rows = [];
    $most = min(200, intdiv(62_000_000, (int) filesize("{$file}.jpg")));
    for ($n = 1; $n <= $most; $n++) {
        $id = $ulid();
        $rows[] = [
            'id' => $id,
            'place' => 'wall',
            'skipped' => null,
            'at' => '2026-11-20T10:00:00Z',
            'by' => 'A. Teal',
            'marks' => array_map($mark, range(1, 10)),
        ];
        $zip->addFile("{$file}.jpg", "photographs/{$id}.jpg");
        $zip->setCompressionName("photographs/{$id}.jpg", ZipArchive::CM_STORE);
    }
    $zip->addFromString('job.json', (string) json_encode($job));
    $zip->addFromString('photographs.json', (string) json_encode($rows));
    $zip->close();
    printf("archive: %d records, %d photographs, %.0f MB\n", 2000, $most, filesize($file) / 1e6);

    return $file;
};

/** Processor time of fpm's workers and of the queue so far, in seconds. */
$cpu = static function (string $who): float {
    $ticks = 0;
    foreach (glob('/proc/[0-9]*/cmdline') ?: [] as $file) {
        if (str_contains((string) @file_get_contents($file), $who)) {
            $stat = explode(
                ' ',
                (string) substr((string) strrchr((string) @file_get_contents(dirname($file).'/stat'), ')'), 2),
            );
            $ticks += (int) ($stat[11] ?? 0) + (int) ($stat[12] ?? 0);
        }
    }

    return $ticks / 100;
};

$each = [];
$file = null;
for ($n = 0; $n < $people; $n++) {
    $curl = $handle();
    $ask($curl, '/sign-in');
    $ask($curl, '/sign-in', ['email' => 'wren@ebb-and-sluice.example', 'password' => 'saltmarsh']);
    $file ??= $house($curl);
    $each[$n] = [
        'curl' => $curl,
        'job' => $another($curl, $file),
        'turn' => $n,
        'next' => microtime(true) + ($thinks * mt_rand()) / mt_getrandmax(),
        'kind' => '',
    ];
}
$page = static fn (string $stage): array => [
    'page',
    $stage,
    static fn (string $job): array => [$stage === 'jobs' ? '/jobs' : "/jobs/{$job}/{$stage}", null],
];
$reading = static fn (string $a): array => [
    'write',
    'reading',
    static fn (string $job): array => [
        "/jobs/{$job}/readings",
        [
            ...['id' => $ulid(), 'stage' => 'prove', 'step' => 'fan.voltage', 'mode' => 'V'],
            ...['a' => $a, 'b' => 'indoor.C', 'value' => '26.4'],
        ],
    ],
];
$live = static fn (string $job): array => [
    "/jobs/{$job}/power",
    [
        ...['id' => $ulid(), 'state' => 'live', 'supplies' => ['low' => '26.5']],
        ...['meter_proved' => true, 'despite' => true],
    ],
];
$does = [
    ...[$reading('indoor.R'), $page('prove'), $page('survey'), $reading('indoor.G'), $page('prove'), $page('plan')],
    ...[['write', 'power', $live], $page('handover'), $page('jobs'), $page('set')],
];
$sent = null;
if ($archive) {
    $file = $largest();
    $sent = $handle();
    $ask($sent, '/sign-in');
    $ask($sent, '/sign-in', ['email' => 'wren@ebb-and-sluice.example', 'password' => 'saltmarsh']);
    $errand =
        json_decode(
            $ask(
                $sent,
                '/import',
                [
                    'as[0]' => 'copy',
                    'ids[0]' => $ulid(),
                    'files[0]' => new CURLFile($file, 'application/zip', 'largest.zip'),
                ],
                true,
            ),
            true,
        )['errand'] ?? exit("✗ The archive was not taken.\n");
    $sentAt = microtime(true);
}
[$fpm, $queue] = [$cpu('php-fpm: pool unionbit'), $cpu('queue:work')];
$multi = curl_multi_init();
$took = $bad = [];
$until = microtime(true) + $seconds;
$busy = 0;
$said = $sent === null;
while (microtime(true) < $until || $busy > 0) {
    $now = microtime(true);
    foreach ($each as $n => $one) {
        if ($now < $until && $one['kind'] === '' && $one['next'] <= $now) {
            [$kind, $name, $what] = $does[$one['turn'] % count($does)];
            [$path, $body] = $what($one['job']);
            $aim($one['curl'], $path, $body);
            curl_multi_add_handle($multi, $one['curl']);
            $each[$n] = [...$one, 'kind' => $kind, 'name' => $name, 'began' => $now, 'turn' => $one['turn'] + 1];
            $busy++;
        }
    }
    curl_multi_exec($multi, $running);
    while (($done = curl_multi_info_read($multi)) !== false) {
        foreach ($each as $n => $one) {
            if ($one['curl'] === $done['handle']) {
                $status = curl_getinfo($one['curl'], CURLINFO_RESPONSE_CODE);
                $ms = 1000 * (microtime(true) - $one['began']);
                $took[$one['kind']][] = $took["{$one['kind']} {$one['name']}"][] = $ms;
                if ($status >= 400 || $status === 0) {
                    $bad["{$one['name']} {$status}"] = ($bad["{$one['name']} {$status}"] ?? 0) + 1;
                }
                $each[$n] = [
                    ...$one,
                    'kind' => '',
                    'next' => microtime(true) + $thinks * (0.5 + mt_rand() / mt_getrandmax()),
                ];
                $busy--;
            }
        }
        curl_multi_remove_handle($multi, $done['handle']);
    }
    curl_multi_select($multi, 0.005);
    if (! $said && microtime(true) - $sentAt > 5) {
        $sentAt = microtime(true);
        $aim($sent, "/errands/{$errand}", null);
        $state = json_decode((string) curl_exec($sent), true);
        if (isset($state['files'])) {
            $said = true;
            printf(
                "archive in after about %.0f s%s\n",
                $seconds - ($until - microtime(true)),
                $state['files'][0]['job'] === null ? ': '.json_encode($state['files'][0]['problem']) : '',
            );
        }
    }
}
$all = count($took['page'] ?? []) + count($took['write'] ?? []);
ksort($took);
foreach ($took as $kind => $times) {
    sort($times);
    $at = static fn (float $share): float => $times[(int) floor($share * (count($times) - 1))];
    printf(
        "%-16s %5d  %6.1f/s   p50 %5.0f ms   p95 %5.0f ms   max %5.0f ms\n",
        $kind,
        count($times),
        count($times) / $seconds,
        $at(0.5),
        $at(0.95),
        end($times),
    );
}
printf(
    "processor time of fpm: %.0f ms a request, %.1f s of the queue; %s\n",
    (1000 * ($cpu('php-fpm: pool unionbit') - $fpm)) / max($all, 1),
    $cpu('queue:work') - $queue,
    $bad === [] ? 'every answer below 400' : json_encode($bad),
);
if (! $said) {
    echo "the archive is not in yet\n";
}
exit($bad === [] ? 0 : 1);
