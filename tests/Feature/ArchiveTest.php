<?php

declare(strict_types=1);

use App\Jobs\File\ImportSum;
use App\Models\Job;
use App\Models\Photo;
use App\Models\PhotoMark;
use App\Models\Record\Reading;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

// Archives as somebody would make them who means harm: what one costs is known before anything of it is written, and
// what it brings is drawn and counted as what comes in by hand.

/** A picture that carries where it was taken and something behind its end, as a camera or somebody else leaves it. */
function picture(int $width = 60, int $height = 40, string $tail = ''): string
{
    ob_start();
    imagejpeg(imagecreatetruecolor($width, $height));
    $plain = (string) ob_get_clean();
    $told = "Exif\0\0MM\0*\0\0\0\x08GPSLatitude 53.1 taken with a camera";

    return substr($plain, 0, 2)."\xFF\xE1".pack('n', strlen($told) + 2).$told.substr($plain, 2).$tail;
}

/** A head that says that it is that large, and nothing that could be drawn. */
function onlyAHead(int $width, int $height): string
{
    return "\xFF\xD8\xFF\xC0\0\x11\x08".
        pack('nn', $height, $width).
        "\x03\x01\x22\0\x02\x11\x01\x03\x11\x01".
        str_repeat("\0", 2_000_000);
}

/**
 * @param  array<string, string>  $pictures  by id
 * @param  list<array<string, mixed>>  $rows
 */
function archive(array $pictures, array $rows, ?string $job = null): string
{
    $file = (string) tempnam(sys_get_temp_dir(), 'zip');
    $zip = new ZipArchive();
    $zip->open($file, ZipArchive::OVERWRITE);
    $zip->addFromString('job.json', $job ?? jobFile());
    $zip->addFromString('photographs.json', (string) json_encode($rows));
    foreach ($pictures as $id => $picture) {
        $zip->addFromString("photographs/{$id}.jpg", $picture);
    }
    $zip->close();
    $content = (string) file_get_contents($file);
    unlink($file);

    return $content;
}

/** @return array<string, mixed> what an archive says of one photograph */
function photoRow(string $id, int $marks = 0): array
{
    $mark = fn (int $n): array => [
        ...['id' => "m{$n}", 'x' => 0.5, 'y' => 0.5, 'end' => 'A1.near', 'takesBack' => null],
        ...['at' => '2026-11-20T10:00:00Z', 'by' => 'A. Teal'],
    ];

    return [
        ...['id' => $id, 'place' => 'wall', 'skipped' => null, 'at' => '2026-11-20T10:00:00Z', 'by' => 'A. Teal'],
        'marks' => $marks === 0 ? [] : array_map($mark, range(1, $marks)),
    ];
}

/** @return array{int, int, int, int} jobs, photographs, marks, files */
function keptOf(): array
{
    return [
        Job::query()->count(),
        Photo::query()->count(),
        PhotoMark::query()->count(),
        count(Storage::disk('local')->allFiles('photos')),
    ];
}

beforeEach(function (): void {
    Storage::fake('local');
    installer();
});

it('draws every picture of an archive anew: no place, no device, nothing behind its end', function (): void {
    $id = newId();
    $sent = picture(90, 60, '<script>alert(1)</script>');
    expect(importFiles(['a.zip' => archive([$id => $sent], [photoRow($id, 2)])])[0]['problem'])->toBeNull();
    $photo = Photo::query()->findOrFail($id);
    $kept = (string) Storage::disk('local')->get((string) $photo->path);

    expect($sent)
        ->toContain('GPSLatitude')
        ->and($kept)
        ->not->toContain('GPS')
        ->not->toContain('script')
        ->and(substr($kept, -2))
        ->toBe("\xFF\xD9")
        ->and([$photo->width, $photo->height, $photo->marks()->count()])
        ->toBe([90, 60, 2]);
});

it('refuses an archive that would cost too much, and keeps nothing of it', function (
    string $zip,
    string $says,
): void {
    $before = keptOf();
    $answer = importFiles(['a.zip' => $zip])[0];

    expect($answer['job'])
        ->toBeNull()
        ->and($answer['problem']['message'])
        ->toContain($says)
        ->and(keptOf())
        ->toBe($before);
})->with([
    'one picture for sixty rows' => [
        fn (): string => archive(['same' => picture()], array_fill(0, 60, photoRow('same'))),
        'each photograph once',
    ],
    'a head of a picture and nothing else' => [
        fn (): string => archive(['a' => onlyAHead(800, 600)], [photoRow('a')]),
        'damaged',
    ],
    'more points than can be drawn' => [
        fn (): string => archive(['a' => onlyAHead(65000, 65000)], [photoRow('a')]),
        '12.5 million points',
    ],
    'the second of two that is none' => [
        fn (): string => archive(['a' => picture(), 'b' => 'no picture'], [photoRow('a'), photoRow('b')]),
        'none',
    ],
    'a picture that is not in it' => [fn (): string => archive([], [photoRow('a')]), 'part of an archive'],
    'marks on many photographs' => [
        fn (): string => archive(
            array_fill_keys(array_map(fn (int $n): string => "p{$n}", range(1, 21)), 'x'),
            array_map(fn (int $n): array => photoRow("p{$n}", 100), range(1, 21)),
        ),
        '2100 marks',
    ],
    'photographs' => [
        fn (): string => archive([], array_map(fn (int $n): array => photoRow("p{$n}"), range(1, 201))),
        '200',
    ],
]);

it('counts an import altogether, however many files it comes in', function (): void {
    $zip = fn (): string => archive(
        array_fill_keys(array_map(fn (int $n): string => "p{$n}", range(1, 15)), picture()),
        array_map(fn (int $n): array => photoRow("p{$n}", 60), range(1, 15)),
    );
    $answers = importFiles(['a.zip' => $zip(), 'b.zip' => $zip(), 'c.zip' => $zip(), 'd.json' => jobFile()]);

    expect(array_map(fn (array $a): bool => $a['job'] !== null, $answers))
        ->toBe([true, true, false, true])
        ->and($answers[2]['problem']['message'])
        ->toContain('900 marks')
        ->toContain('after 1800')
        ->and(PhotoMark::query()->count())
        ->toBe(1800)
        ->and(fn () => (new ImportSum())->add(['bytes' => 400_000_001]))
        ->toThrow(Exception::class);
});

it(
    'writes what an archive brings in few statements, all of them after the last picture is drawn',
    function (): void {
        $readings = array_map(
            fn (int $n): array => [
                ...[
                    'id' => newId(),
                    'seq' => $n,
                    'at' => '2026-11-20T10:00:00Z',
                    'by' => 'A. Teal',
                    'simulated' => false,
                ],
                ...['stage' => 'survey', 'step' => null, 'call' => null, 'mode' => 'V', 'a' => 'indoor.R'],
                ...['b' => 'indoor.C', 'value' => 26.4, 'power' => 'live', 'expected' => [], 'outcome' => 'pass'],
                ...['reason' => '', 'candidates' => [], 'corrects_id' => null, 'as_found' => false],
            ],
            range(1, 2000),
        );
        $file = json_decode(jobFile(), true);
        $file['records'] = ['readings' => $readings];
        $ids = array_map(fn (): string => newId(), range(1, 4));
        $zip = archive(
            array_fill_keys($ids, picture()),
            array_map(fn (string $id): array => photoRow($id, 100), $ids),
            (string) json_encode($file),
        );
        $since = $writes = 0;
        DB::listen(function ($query) use (&$writes, &$since): void {
            $writes += (int) preg_match('/^(insert|update|delete)/', $query->sql);
            $since = count(Storage::disk('local')->allFiles('photos'));
        });
        DB::connection()->beforeExecuting(function (string $sql): void {
            if (str_contains($sql, 'insert into "jobs"')) {
                expect(Storage::disk('local')->allFiles('photos'))->toHaveCount(4);
            }
        });
        expect(importFiles(['a.zip' => $zip])[0]['problem'])->toBeNull();
        $job = Job::query()->latest('created_at')->firstOrFail();

        expect(Reading::query()->count())
            ->toBe(2000)
            ->and(PhotoMark::query()->count())
            ->toBe(400)
            ->and($job->recorded)
            ->toBe(2404)
            ->and(Reading::query()->orderBy('seq')->pluck('id')->all())
            ->toBe(array_column($readings, 'id'))
            ->and($since)
            ->toBe(4)
            ->and($writes)
            ->toBeLessThan(50);
    },
);
