<?php

declare(strict_types=1);

use App\House\Catalog;
use App\House\House;
use App\Models\Job;
use App\Models\Photo;
use App\Records\Photo\Photographs;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use Unionbit\Core\Job\EquipmentFrom;
use Unionbit\Core\Job\File\ConductorSchedule;
use Unionbit\Core\Visit\SearchWords;

/** @return array<string, mixed> */
function surveyPage(Job $job): array
{
    return test()
        ->get("/jobs/{$job->id}/survey")
        ->assertOk()
        ->inertiaProps();
}

function readSurvey(Job $job, string $a, string $b, string $value, string $mode = 'V'): void
{
    test()
        ->postJson("/jobs/{$job->id}/readings", [
            'id' => newId(),
            'stage' => 'survey',
            'mode' => $mode,
            'a' => $a,
            'b' => $b,
            'value' => $value,
        ])
        ->assertCreated();
}

/** A JPEG of the asked size, with an EXIF block that says "turned a quarter" and where it was taken. */
function photograph(int $width, int $height, bool $turned = false): string
{
    $image = imagecreatetruecolor($width, $height);
    imagefilledrectangle($image, 0, 0, intdiv($width, 4), $height, (int) imagecolorallocate($image, 220, 30, 30));
    ob_start();
    imagejpeg($image);
    $jpeg = (string) ob_get_clean();
    if (! $turned) {
        return $jpeg;
    }
    // Little-endian TIFF: orientation 6, and a GPS block with a latitude reference.
    $tiff =
        "II*\0".
        pack('V', 8).
        pack('v', 2).
        pack('vvVvv', 0x0112, 3, 1, 6, 0).
        pack('vvVV', 0x8825, 4, 1, 38).
        pack('V', 0).
        pack('v', 1).
        pack('vvV', 1, 2, 2).
        "N\0\0\0".
        pack('V', 0);
    $exif = "Exif\0\0{$tiff}";

    return "\xFF\xD8\xFF\xE1".pack('n', strlen($exif) + 2).$exif.substr($jpeg, 2);
}

function sendPhoto(
    Job $job,
    string $place,
    string $name,
    string $content,
    ?string $id = null,
): Illuminate\Testing\TestResponse {
    return test()->post(
        "/jobs/{$job->id}/photos",
        [
            'id' => $id ?? newId(),
            'place' => $place,
            'photo' => UploadedFile::fake()->createWithContent($name, $content),
        ],
        ['Accept' => 'application/json'],
    );
}

it('asks what follows, suggests equipment by the answers, and changes to it with undo', function (): void {
    $job = Job::factory()->create();
    installer($job);
    foreach (
        [
            'outdoor' => 'reverses',
            'heatSource' => 'electric',
            'coolStages' => '1',
            'valve' => 'B',
            'heatStages' => '1',
        ] as $key => $value
    ) {
        editSurvey($job, 'answer', ['key' => $key, 'value' => $value])->assertOk();
    }
    $page = surveyPage($job);

    expect(array_column($page['questions'], 'key'))
        ->toContain('eGoes', 'defrostW')
        ->not->toContain('fanCentre')
        ->and($page['match'])
        ->toMatchArray(['id' => 'heat-pump-b-1c-1aux', 'current' => 'furnace-gas-1h-1c'])
        ->and($page['match']['why'])
        ->toContain('in heating (B)');
    editSurvey($job, 'set-archetype', ['archetype' => 'heat-pump-b-1c-1aux'])->assertOk();
    expect(House::of($job->refresh())->installation->archetype->id)
        ->toBe('heat-pump-b-1c-1aux')
        ->and(array_column(surveyPage($job)['changes'], 'what'))
        ->toContain('what does the outdoor unit do? It is a heat pump');
    editSurvey($job, 'restore', ['to_version' => $job->version - 1])->assertOk();
    expect(House::of($job->refresh())->installation->archetype->id)->toBe('furnace-gas-1h-1c');
});

it('makes of the answers the house that they say, and says what it cannot make', function (): void {
    $job = Job::factory()->create();
    installer($job);
    $answer = function (array $answers) use ($job): array {
        foreach ($answers as $key => $value) {
            editSurvey($job, 'answer', ['key' => $key, 'value' => $value])->assertOk();
        }

        return surveyPage($job)['match'];
    };
    $units = 'air-handler:coil=water+heat-pump:stages=2,valve=B';
    $match = $answer(['outdoor' => 'reverses', 'heatSource' => 'coil', 'coolStages' => '2', 'valve' => 'B']);

    expect($match)->toMatchArray([
        'id' => $units,
        'title' => 'Heat pump, two stages, B; air handler, hot-water coil',
        'current' => 'furnace-gas-1h-1c',
    ]);
    editSurvey($job, 'set-archetype', ['archetype' => $units])->assertOk();
    $house = House::of($job->refresh())->installation->archetype;
    expect($house->needs['aux-1'])
        ->toBe(['outdoor-input', 'contactor', 'blower-relay', 'valve', 'second-stage', 'water-valve'])
        ->and(surveyPage($job)['match']['current'])
        ->toBe($units);
    $file = json_decode((string) $this->get("/jobs/{$job->id}/job-file")->getContent(), true);
    expect($file['survey']['units'])->toBe([
        ['unit' => 'air-handler', 'place' => 'indoor', 'options' => ['coil' => 'water']],
        ['unit' => 'heat-pump', 'place' => 'outdoor', 'options' => ['stages' => '2', 'valve' => 'B']],
    ]);

    $match = $answer(['heatSource' => 'boiler']);
    expect($match['id'])
        ->toBeNull()
        ->and(implode('; ', $match['why']))
        ->toContain('each needs its own thermostat; it cannot be planned or proved here')
        ->and(array_column(surveyPage($job)['findings'], 'severity', 'code')['SC20'] ?? null)
        ->toBe('stop');
    $this->postJson("/jobs/{$job->id}/plan-edits", [
        'id' => newId(),
        'version' => $job->refresh()->version,
        'op' => 'choose',
        'profile' => 'c-powered-3h-2c',
    ])->assertUnprocessable();
});

it('refuses an answer, a device, a jumper or a text that cannot be, at its place, and keeps nothing', function (
    string $op,
    array $fields,
    string $field,
    string $says,
): void {
    $job = Job::factory()->create();
    installer($job);
    $before = $job->survey;
    $message =
        editSurvey($job, $op, $fields)
            ->assertUnprocessable()
            ->json("errors.{$field}.0") ??
        (editSurvey($job, $op, $fields)->json('errors')[$field][0] ?? '');

    expect($message)->toContain($says)->and($job->refresh()->survey)->toBe($before)->and($job->version)->toBe(1);
})->with([
    'unknown question' => ['answer', ['key' => 'weather', 'value' => 'rain'], 'value', 'key: is "weather"'],
    'unknown choice' => [
        'answer',
        ['key' => 'outdoor', 'value' => 'melts'],
        'value',
        'allowed: none, cools, reverses',
    ],
    'out of range' => ['answer', ['key' => 'lineVolts', 'value' => 12], 'value', 'a number from 90 V to 300 V'],
    '10 000 characters' => [
        'answer',
        ['key' => 'history', 'value' => str_repeat('x', 10_000)],
        'value',
        '10000 characters long; allowed: at most 500',
    ],
    'a line of 10 000 characters' => [
        'add-conductor',
        ['cable' => 'A', 'line' => str_repeat('x', 10_000)],
        'line',
        '120 characters',
    ],
    'a float that breaks a screw nobody has' => [
        'safety',
        ['safety' => [['id' => 'float', 'label' => 'float switch', 'breaks' => ['Q'], 'relay' => false]]],
        'safety.0',
        'cannot break Q: this board has R, W, G, Y, C',
    ],
    'a float that breaks nothing' => [
        'safety',
        ['safety' => [['id' => 'float', 'label' => 'float switch', 'breaks' => [], 'relay' => false]]],
        'safety.0',
        'say which conductor it breaks',
    ],
    'a jumper to itself' => [
        'jumpers',
        ['jumpers' => [['place' => 'wall', 'a' => 'R', 'b' => 'r', 'label' => 'J1']]],
        'jumpers.0',
        'to itself joins nothing',
    ],
    'a splice to nowhere' => [
        'add-conductor',
        ['cable' => 'A', 'line' => 'blk W>@B9'],
        'onto',
        'another conductor',
    ],
    'a splice in a circle' => [
        'change-conductor',
        ['cable' => 'A', 'number' => 1, 'line' => 'red R>@A1'],
        'onto',
        'A1 → A1',
    ],
    'several lines, one bad' => [
        'add-conductors',
        ['cable' => 'A', 'lines' => ['blk L>"L" !', 'mauve R>R']],
        'lines',
        'Line 2: "mauve" is no insulation color',
    ],
    'several lines, one number twice' => [
        'add-conductors',
        ['cable' => 'A', 'lines' => ['6 blk cap', '6 tan cap']],
        'lines',
        'Line 2: conductor 6 is there already',
    ],
    'a schedule that is no table' => [
        'read-schedule',
        ['csv' => "house\nTollhouse\n"],
        'csv',
        'has no column cable',
    ],
    'a schedule with a bad colour' => [
        'read-schedule',
        ['csv' => "cable,number,colour,near,far\nA,1,teal,R,R\n"],
        'csv',
        'Row 1 colour: is "teal"',
    ],
    'a schedule of 50 000 rows' => [
        'read-schedule',
        ['csv' => "cable,number,colour,near,far\n".str_repeat("A,1\n", 49_000)],
        'csv',
        '49000 rows; allowed: at most 50',
    ],
    'equipment that is not in the catalogue' => [
        'set-archetype',
        ['archetype' => 'steam'],
        'archetype',
        'no equipment steam',
    ],
]);

it('adds several lines at once, and a float and a jumper that the circuit then has', function (): void {
    $job = Job::factory()->create();
    installer($job);
    editSurvey($job, 'add-conductors', [
        'cable' => 'A',
        'lines' => ['blk cap', 'tan - > - spare', 'brn "L">- ? loose'],
    ])->assertOk();
    editSurvey($job, 'safety', [
        'safety' => [['id' => 'float', 'label' => 'float switch', 'breaks' => ['Y'], 'relay' => false]],
    ])->assertOk();
    editSurvey($job, 'jumpers', [
        'jumpers' => [['place' => 'indoor', 'a' => 'Y', 'b' => 'G', 'label' => 'J1']],
    ])->assertOk();
    $page = surveyPage($job);

    expect(House::of($job->refresh())->installation->wallCable()->conductors)
        ->toHaveCount(8)
        ->and($page['cables'][0]['conductors'][7]['condition'])
        ->toBe(['loose'])
        ->and($page['cables'][0]['conductors'][7]['line'])
        ->toBe('brown L>- ? loose')
        ->and($page['safety'][0]['breaks'])
        ->toBe(['Y'])
        ->and($page['jumpers'][0]['label'])
        ->toBe('J1')
        ->and(array_column($page['points'], 'id'))
        ->toContain('T1.winding');
});

it('stops plan and moves on line voltage, and nobody goes past it', function (): void {
    $job = Job::factory()->planned()->create();
    installer($job);
    skipPhotos($job);
    raiseFlag($job, 'isolated', '0.0');
    readSurvey($job, 'wall.R', 'wall.C', '118');
    $stop = fn (string $path, array $fields): ?string => $this->postJson("/jobs/{$job->id}/{$path}", [
        'id' => newId(),
        'version' => $job->refresh()->version,
        ...$fields,
    ])
        ->assertUnprocessable()
        ->json('errors.stop.0');

    expect(surveyPage($job)['findings'][0])
        ->toMatchArray(['code' => 'SC01', 'severity' => 'stop', 'overridable' => false])
        ->and($stop('plan-edits', ['op' => 'choose', 'profile' => 'battery-1h-1c']))
        ->toContain('SC01')
        ->and($stop('plan-edits', ['op' => 'use']))
        ->toContain('call for a licensed person')
        ->and($stop('moves', ['move' => 'link:in', 'done' => true]))
        ->toContain('SC01');
    expect(
        editSurvey($job, 'override', ['code' => 'SC01', 'reason' => 'I am sure'])
            ->assertUnprocessable()
            ->json('errors.code.0'),
    )->toContain("You can't go past");
});

it('goes past a stop that its rule allows, with the reason and the name kept, and back', function (): void {
    $job = Job::factory()->create();
    $user = installer($job);
    editSurvey($job, 'answer', ['key' => 'bus', 'value' => 'yes']);
    editSurvey($job, 'override', ['code' => 'SC04', 'reason' => 'both boards print R C Y G'])->assertOk();
    $page = surveyPage($job);

    expect($page['overrides'])
        ->toBe(['SC04' => "both boards print R C Y G ({$user->name})"])
        ->and(collect($page['findings'])->firstWhere('code', 'SC04'))
        ->toMatchArray(['severity' => 'warning'])
        ->and($page['changes'][0]['what'])
        ->toBe('went past SC04: both boards print R C Y G');
    $this->postJson("/jobs/{$job->id}/plan-edits", [
        'id' => newId(),
        'version' => $job->refresh()->version,
        'op' => 'choose',
        'profile' => 'c-powered-1h-1c',
    ])->assertOk();
    editSurvey($job, 'override', ['code' => 'SC04', 'reason' => ''])->assertOk();
    expect(collect(surveyPage($job)['findings'])->firstWhere('code', 'SC04')['severity'])->toBe('stop');
});

it('finds by three readings where the supply vanishes', function (): void {
    $job = Job::factory()->create();
    installer($job);
    readSurvey($job, 'T1.winding', 'indoor.C', '26.9');
    readSurvey($job, 'indoor.R', 'indoor.C', '26.8');
    readSurvey($job, 'wall.R', 'wall.C', '0.1');

    expect(collect(surveyPage($job)['findings'])->firstWhere('code', '3P'))->toMatchArray([
        'action' => 'Look between board and wall.',
    ]);
});

it('calls a plan from an unfinished survey provisional, with what it assumes', function (): void {
    $job = Job::factory()->planned()->create();
    installer($job);
    editSurvey($job, 'answer', ['key' => 'lineVolts', 'value' => null])->assertOk();
    $assumes = test()
        ->get("/jobs/{$job->id}/plan")
        ->inertiaProps('assumes');

    expect($assumes)->toContain('the line is 120 V: not measured', 'R–C is there at the board: not measured');
});

it('keeps a photograph upright, small enough and without the place it was taken at', function (): void {
    Storage::fake('local');
    $job = Job::factory()->create();
    installer($job);
    $id = newId();
    $content = photograph(3200, 1600, turned: true);
    expect(exif_read_data('data://image/jpeg;base64,'.base64_encode($content)))->toHaveKey('Orientation', 6);
    $view = sendPhoto($job, 'wall', 'plate.jpg', $content, $id)->assertCreated()->json();
    sendPhoto($job, 'wall', 'plate.jpg', $content, $id)->assertCreated();
    $stored = Storage::disk('local')->get("photos/{$job->id}/{$id}.jpg");

    expect(Photo::query()->count())
        ->toBe(1)
        ->and($view)
        ->toMatchArray(['width' => 1200, 'height' => 2400])
        ->and(array_slice((array) getimagesizefromstring((string) $stored), 0, 2))
        ->toBe([1200, 2400])
        ->and(str_contains((string) $stored, 'Exif'))
        ->toBeFalse()
        // The red quarter was at the left; a quarter turn to the right brings it to the top.
        ->and((imagecolorat(imagecreatefromstring((string) $stored), 600, 100) >> 16) & 0xFF)
        ->toBeGreaterThan(180);
    $this->get($view['url'])->assertOk()->assertHeader('Content-Type', 'image/jpeg');
    expect(Photographs::missing($job))->toBe(['indoor']);
});

it('refuses what is no photograph and keeps nothing of it', function (
    string $name,
    Closure $content,
    string $says,
): void {
    Storage::fake('local');
    $job = Job::factory()->create();
    installer($job);

    expect(sendPhoto($job, 'wall', $name, $content())->assertUnprocessable()->json('errors.photo.0'))
        ->toContain($name, $says)
        ->and(Photo::query()->count())
        ->toBe(0)
        ->and(Storage::disk('local')->allFiles())
        ->toBe([]);
})->with([
    'text renamed .jpg' => [
        'plate.jpg',
        fn (): string => 'not a picture at all',
        'is no photograph, whatever its name says',
    ],
    'a page renamed .jpg' => ['plate.jpg', fn (): string => '<?php echo 1;', 'Allowed: JPEG, PNG, WebP'],
    'a GIF' => ['plate.jpg', fn (): string => "GIF89a\x01\x00\x01\x00\x00\x00\x00;", 'is no photograph'],
    'over 10 MB' => [
        'plate.jpg',
        fn (): string => photograph(40, 40).str_repeat("\0", 10_000_000),
        'is 10.0 MB; a photograph may have at most 10 MB',
    ],
    'torn off' => ['plate.jpg', fn (): string => substr(photograph(400, 400), 0, 300), 'is damaged'],
    'far too many points' => [
        'plate.png',
        fn (): string => "\x89PNG\r\n\x1a\n".
            pack('N', 13).
            'IHDR'.
            pack('NNCCCCC', 9000, 9000, 8, 2, 0, 0, 0).
            pack('N', 0),
        '9000 × 9000 points',
    ],
]);

it('ties a spot of a photograph to a conductor end and takes that back', function (): void {
    Storage::fake('local');
    $job = Job::factory()->create();
    installer($job);
    $photo = sendPhoto($job, 'wall', 'plate.jpg', photograph(400, 300))->json('id');
    $mark = fn (array $fields) => $this->postJson("/jobs/{$job->id}/photo-marks", [
        'id' => newId(),
        'photo_id' => $photo,
        'x' => 0.25,
        'y' => 0.5,
        'end' => 'A3.near',
        ...$fields,
    ]);
    $id = $mark([])->assertCreated()->json('id');

    expect(surveyPage($job)['photos'][0]['marks'])->toBe([
        ['id' => $id, 'x' => 0.25, 'y' => 0.5, 'end' => 'A3.near'],
    ]);
    expect(
        $mark(['end' => 'A9.near'])
            ->assertUnprocessable()
            ->json('errors.end.0'),
    )->toContain('no conductor end A9.near', 'A1.near');
    $mark(['end' => 'A3.far'])
        ->assertUnprocessable()
        ->assertJsonValidationErrorFor('end');
    $mark(['x' => 1.4])
        ->assertUnprocessable()
        ->assertJsonValidationErrorFor('x');
    $mark(['photo_id' => newId()])
        ->assertUnprocessable()
        ->assertJsonValidationErrorFor('photo_id');
    $mark(['takes_back' => $id])->assertCreated();
    expect(surveyPage($job)['photos'][0]['marks'])->toBe([]);
});

it('asks for photographs before the first move, or for a reason', function (): void {
    $job = Job::factory()->planned()->create();
    installer($job);
    raiseFlag($job, 'isolated', '0.0');
    $move = fn () => $this->postJson("/jobs/{$job->id}/moves", [
        'id' => newId(),
        'move' => 'link:in',
        'done' => true,
    ]);

    expect($move()->assertUnprocessable()->json('errors.photo.0'))->toContain(
        'Photograph the wall plate and the indoor board before the first move',
    );
    $this->postJson("/jobs/{$job->id}/photo-skips", ['id' => newId(), 'place' => 'wall', 'reason' => '  '])
        ->assertUnprocessable()
        ->assertJsonValidationErrorFor('reason');
    skipPhotos($job);
    $move()->assertCreated();
});

it('shows a photograph to its own crew only', function (): void {
    Storage::fake('local');
    $job = Job::factory()->create();
    installer($job);
    $url = sendPhoto($job, 'indoor', 'board.jpg', photograph(400, 300))->json('url');
    installer();

    $this->get($url)->assertForbidden();
    sendPhoto($job, 'indoor', 'board.jpg', photograph(40, 30))->assertForbidden();
});

it('writes the conductor schedule and reads it back the same, whichever comma the office uses', function (
    string $delimiter,
): void {
    $job = Job::factory()->create();
    installer($job);
    editSurvey($job, 'add-conductor', ['cable' => 'A', 'line' => 'wht/red L>@B1 ? loose 0.7ohm']);
    $csv = $this->get("/jobs/{$job->id}/conductors.csv")
        ->assertOk()
        ->assertHeader('Content-Type', 'text/csv; charset=utf-8')
        ->getContent();
    $before = House::of($job->refresh())->installation;
    $lines = explode("\n", (string) $csv);
    $sent = "\xEF\xBB\xBF".str_replace(',', $delimiter, (string) $csv);

    expect($lines[0])
        ->toBe(implode(',', ConductorSchedule::COLUMNS))
        ->and($lines[6])
        ->toBe('A,6,white,red,L,"(on B1)",colour,,loose,0.7,');
    editSurvey($job, 'remove-conductor', ['cable' => 'A', 'number' => 6])->assertOk();
    editSurvey($job, 'read-schedule', ['csv' => $sent])->assertOk();
    expect(House::of($job->refresh())->installation->cables)->toEqual($before->cables);
})->with([',', ';']);

it('says gray on every page, and keeps the word of the file', function (): void {
    $job = Job::factory()->create();
    installer($job);
    editSurvey($job, 'add-conductor', ['cable' => 'A', 'line' => 'gry/wht R>R !'])->assertOk();

    expect(collect(surveyPage($job)['cables'][0]['conductors'])->last())->toMatchArray([
        'colour' => 'grey',
        'colourWord' => 'gray',
        'stripe' => 'white',
        'stripeWord' => 'white',
    ]);
});

it('follows the answers while nobody has chosen the equipment, and says so until they name one', function (
    array $answers,
    ?string $is,
): void {
    installer();
    $id = newId();
    $this->postJson('/jobs', [
        'id' => $id,
        'site' => 'Tollhouse',
        'kind' => 'replacement',
        'archetype' => null,
        'feet' => '45',
    ])->assertCreated();
    $job = Job::query()->findOrFail($id);
    $page = static fn (): array => surveyPage($job->refresh());
    $seen = static fn (): bool => House::of($job->refresh())->installation->equipmentSeen();
    $assumes = static fn (): string => implode(' ', $page()['assumes']);
    foreach ($answers as $key => $value) {
        // Nothing is said of a house that nobody has described: not in the head, not in the list of jobs.
        expect($page()['job'])
            ->toMatchArray(['equipment' => 'Equipment not seen yet', 'equipmentTitle' => 'Equipment not seen yet'])
            ->and($assumes())
            ->toContain('nobody has said what the equipment is')
            ->and(array_column($page()['findings'], 'code'))
            ->not->toContain('SC20');
        editSurvey($job, 'answer', ['key' => $key, 'value' => $value])->assertOk();
    }
    $house = House::of($job->refresh())->installation;
    expect($seen())->toBe($is !== null);
    if ($is === null) {
        // The catalogue has no such house: nothing stands in its place as if it were one.
        expect(array_column($page()['findings'], 'severity', 'code')['SC20'] ?? null)
            ->toBe('stop')
            ->and($page()['job']['equipment'])
            ->toBe('Equipment not seen yet');

        return;
    }
    $archetype = app(Catalog::class)->archetype($is);
    expect($house->archetype->id)
        ->toBe($is)
        ->and($page()['job'])
        ->toMatchArray(['equipment' => $archetype->short, 'equipmentTitle' => $archetype->title])
        ->and($assumes())
        ->not->toContain('nobody has said')
        ->and($house->outdoorCable() !== null)
        ->toBe($archetype->coolStages > 0)
        ->and(implode(' ', array_column($page()['changes'], 'what')))
        ->toContain("Equipment: {$archetype->title}");

    // What a file carries, and the next visit, still follow.
    $back = importFiles(['house.json' => (string) $this->get("/jobs/{$id}/job-file")->getContent()])[0]['job'][
        'id'
    ];
    expect(House::of(Job::query()->findOrFail($back))->installation->equipmentFrom)->toBe(EquipmentFrom::Answers);

    // Another answer is another house; taken back, nobody knows again.
    editSurvey($job->refresh(), 'answer', ['key' => 'heatSource', 'value' => null])->assertOk();
    expect($seen())->toBeFalse();
    // A person who chooses stands over the answers.
    editSurvey($job->refresh(), 'set-archetype', ['archetype' => $is])->assertOk();
    editSurvey($job->refresh(), 'answer', ['key' => 'heatSource', 'value' => 'oil'])->assertOk();
    expect(House::of($job->refresh())->installation->archetype->id)->toBe($is);
})->with([
    'a furnace of two stages' => [
        ['heatStages' => '2', 'outdoor' => 'cools', 'coolStages' => '1', 'heatSource' => 'gas'],
        'furnace-gas-2h-1c',
    ],
    'a boiler, no cooling' => [['outdoor' => 'none', 'heatSource' => 'boiler'], 'boiler-zone-valve'],
    'a heat pump with strips' => [
        [
            'outdoor' => 'reverses',
            'heatSource' => 'electric',
            'coolStages' => '1',
            'valve' => 'B',
            'heatStages' => '1',
        ],
        'heat-pump-b-1c-1aux',
    ],
    'none of the catalogue' => [
        ['outdoor' => 'reverses', 'coolStages' => '2', 'valve' => 'B', 'heatSource' => 'boiler'],
        null,
    ],
]);

it('takes no plan in use away for an answer, and says what differs', function (): void {
    installer();
    $id = newId();
    $this->postJson('/jobs', [
        'id' => $id,
        'site' => 'Tollhouse',
        'kind' => 'replacement',
        'archetype' => null,
        'feet' => '45',
    ])->assertCreated();
    $job = Job::query()->findOrFail($id);
    foreach (['red R>R !', 'white W>W !', 'green G>G !', 'yellow Y>Y !', 'blue C>C !'] as $line) {
        editSurvey($job, 'add-conductor', ['cable' => 'A', 'line' => $line])->assertOk();
    }
    // Nobody has described it: no word of the equipment that stands in its place finds it.
    expect(implode(' ', said(SearchWords::of(House::of($job->refresh())->installation, null))))->not->toContain(
        'urnace',
    );
    foreach ([['op' => 'choose', 'profile' => 'c-powered-1h-1c'], ['op' => 'use']] as $edit) {
        $this->postJson("/jobs/{$id}/plan-edits", [
            'id' => newId(),
            'version' => $job->refresh()->version,
            ...$edit,
        ])->assertOk();
    }
    $codes = static fn (): array => array_column(surveyPage($job->refresh())['findings'], 'code');
    $answer = static fn (string $key, string $value) => editSurvey($job, 'answer', [
        'key' => $key,
        'value' => $value,
    ])->assertOk();
    foreach (
        ['outdoor' => 'cools', 'coolStages' => '1', 'heatSource' => 'gas', 'heatStages' => '1'] as $key => $value
    ) {
        $answer($key, $value);
    }
    // What stood in its place is what it is: it is seen now, and the plan stays.
    expect(House::of($job->refresh())->installation->equipmentFrom)
        ->toBe(EquipmentFrom::Answers)
        ->and($job->plan)
        ->not->toBeNull()
        ->and($codes())
        ->not->toContain('SC20');
    $answer('heatStages', '2');
    expect(House::of($job->refresh())->installation->archetype->id)
        ->toBe('furnace-gas-1h-1c')
        ->and($job->plan)
        ->not->toBeNull()
        ->and($codes())
        ->toContain('SC20');
});
