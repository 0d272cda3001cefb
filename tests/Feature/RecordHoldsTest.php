<?php

declare(strict_types=1);

use App\Document\EditDocument;
use App\Handover\HandoverPage;
use App\Models\Job;
use App\Models\JobRevision;
use App\Models\Record\Reading;
use App\Models\Record\Waiver;
use App\Records\Append;
use App\Records\Progress\Progress;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/** A finished job of the demo, and somebody of its crew signed in. */
function finished(): Job
{
    seedDemo();
    $job = Job::at('Lock Keeper\'s Row 4');
    installer($job);

    return $job;
}

it('keeps the names of a handed-over record, whatever a later visit calls the house', function (): void {
    $job = finished();
    $later = Job::query()->findOrFail(
        $this->postJson("/jobs/{$job->id}/copies", ['id' => newId(), 'as' => 'visit', 'kind' => 'follow-up'])
            ->assertCreated()
            ->json('id'),
    );
    $before = said(HandoverPage::props($job));
    $this->postJson("/jobs/{$later->id}/details", [
        'id' => newId(),
        'version' => $later->version,
        'site' => 'Weir House',
        'address' => 'Elsewhere',
        'system' => 'Upstairs',
        'kind' => 'follow-up',
    ])->assertOk();
    $after = said(HandoverPage::props(Job::query()->findOrFail($job->id)));

    expect($later->refresh()->site)
        ->toBe('Weir House')
        ->and($after['job']['site'])
        ->toBe('Lock Keeper\'s Row 4')
        ->and([$after['job']['address'], $after['job']['system']])
        ->toBe([$before['job']['address'], 'System'])
        ->and(json_decode((string) $this->get("/jobs/{$job->id}/job-file")->getContent(), true)['site'])
        ->toBe('Lock Keeper\'s Row 4')
        ->and(array_column($this->get('/jobs')->inertiaProps('jobs'), 'site', 'id')[$job->id])
        ->toBe('Lock Keeper\'s Row 4');
});

it(
    'archives a handed-over record by name, with a list to take it back from, and never deletes it',
    function (): void {
        $job = finished();
        $to = fn (string $to) => $this->postJson("/jobs/{$job->id}/shelf", ['to' => $to]);
        expect($to('delete')->assertUnprocessable()->json('errors.to.0'))
            ->toContain('Lock Keeper\'s Row 4 was handed over')
            ->and($job->refresh()->trashed())
            ->toBeFalse();
        $to('archive')->assertOk();
        expect($this->get('/jobs?show=archived')->inertiaProps('jobs'))
            ->toHaveCount(1)
            ->and($this->get('/jobs?show=archived')->inertiaProps('jobs.0'))
            ->toMatchArray(['archived' => true, 'awayBy' => 'Wren Halyard']);
        $to('list')->assertOk();
        $open = Job::at('Tollhouse');
        $this->postJson("/jobs/{$open->id}/shelf", ['to' => 'delete'])->assertOk();
        expect($this->get('/jobs?show=archived')->inertiaProps('jobs.0'))->toMatchArray([
            'site' => 'Tollhouse',
            'deleted' => true,
            'awayBy' => 'Wren Halyard',
        ]);
        $this->postJson("/jobs/{$open->id}/shelf", ['to' => 'restore'])->assertOk();
        expect($this->get('/jobs?show=archived')->inertiaProps('jobs'))
            ->toBe([])
            ->and(Job::at('Tollhouse')->trashed())
            ->toBeFalse();
    },
);

it('lets no record and no edit in flight into a job that was handed over or put away meanwhile', function (
    string $column,
): void {
    $job = houseToProve();
    $user = installer($job);
    // What a request holds that passed the door before: the job as it was a moment ago.
    $held = Job::query()->findOrFail($job->id);
    DB::table('jobs')
        ->where('id', $job->id)
        ->update([$column => now()]);

    expect(
        fn () => Append::row(
            Waiver::class,
            newId(),
            $held,
            $user,
            static fn (): array => ['call' => 'fan', 'reason' => 'late'],
        ),
    )
        ->toThrow(AuthorizationException::class)
        ->and(
            fn () => (new EditDocument())(
                $held,
                $user,
                newId(),
                $held->version,
                new App\Survey\Places\SetCable('A', 18, 12.0, null),
            ),
        )
        ->toThrow(AuthorizationException::class)
        ->and(Job::query()->withTrashed()->findOrFail($job->id)->survey)
        ->toEqual($held->survey);
})->with(['handed_over_at', 'deleted_at']);

it('hands over in the moment in which it asks, and only once', function (): void {
    $done = finished();
    $job = Job::at('Tollhouse');
    expect(
        $this->postJson("/jobs/{$job->id}/handover", ['unsigned' => true])
            ->assertUnprocessable()
            ->json('errors.handover.0'),
    )
        ->toContain('Every call proved')
        ->and($job->refresh()->handed_over_at)
        ->toBeNull();
    $at = $done->handed_over_at;
    $this->travel(1)->hours();
    $this->postJson("/jobs/{$done->id}/handover", [])->assertOk();
    expect($done->refresh()->handed_over_at)->toEqual($at);
});

it('says on the record, its paper and its file that it was handed over without a signature', function (): void {
    $job = landedHouse('furnace-gas-2h', 'c-or-battery-2h-2c');
    foreach (
        array_filter(
            $this->get("/jobs/{$job->id}/set")->inertiaProps('settings'),
            static fn (array $s): bool => $s['lacking'] === null,
        ) as $setting
    ) {
        $this->postJson("/jobs/{$job->id}/settings", [
            'id' => newId(),
            'key' => $setting['key'],
            'value' => $setting['value'],
        ])->assertCreated();
    }
    foreach (['heat-1', 'heat-2'] as $call) {
        proveStep($job, "{$call}.voltage");
    }
    proveStep($job, 'idle.at-rest');
    $this->postJson("/jobs/{$job->id}/signatures", [
        'id' => newId(),
        'role' => 'installer',
        'name' => 'A. Teal',
        'strokes' => [[[1, 1], [2, 2]]],
    ])->assertCreated();
    expect(
        $this->postJson("/jobs/{$job->id}/handover")
            ->assertUnprocessable()
            ->json('errors.signatures.0'),
    )
        ->toContain('by the customer.')
        ->not->toContain('installer');
    $this->postJson("/jobs/{$job->id}/handover", ['unsigned' => true])->assertOk();
    $page = said(HandoverPage::props($job->refresh()));

    expect($page['unsigned'])
        ->toBe(['customer'])
        ->and($job->handed_over_as['unsigned'])
        ->toBe(['customer'])
        ->and(sheet($job))
        ->toContain('Handed over without the signature of the customer.');
});

it(
    'lists as open what is open: a conductor landed on C closes SC09, a proof closes a pairing not known',
    function (): void {
        $file = json_decode((string) file_get_contents(base_path('docs/examples/furnace-gas-1h-1c.json')), true);
        // A spare that becomes the common, and a conductor whose pairing nobody has seen.
        foreach ($file['survey']['cables'][0]['conductors'] as $n => $conductor) {
            if (($conductor['near']['terminal'] ?? '') === 'C') {
                $file['survey']['cables'][0]['conductors'][$n]['near'] = ['state' => 'spare'];
                $file['survey']['cables'][0]['conductors'][$n]['far'] = ['state' => 'spare'];
            }
            if (($conductor['near']['terminal'] ?? '') === 'G') {
                $file['survey']['cables'][0]['conductors'][$n]['evidence'] = 'unknown';
            }
        }
        unset($file['thermostat'], $file['plan'], $file['records']);
        installer();
        $job = Job::query()->findOrFail(importFiles(['house.json' => (string) json_encode($file)])[0]['job']['id']);
        foreach ([['op' => 'choose', 'profile' => 'c-powered-1h-1c'], ['op' => 'use']] as $edit) {
            $this->postJson("/jobs/{$job->id}/plan-edits", [
                'id' => newId(),
                'version' => $job->refresh()->version,
                ...$edit,
            ])->assertOk();
        }
        editSurvey($job, 'finish')->assertOk();
        skipPhotos($job);
        $open = fn (): string => joined(' ', said(HandoverPage::props($job->refresh()))['open']);
        expect($open())->toContain('SC09')->toContain('pairing not known');
        raiseFlag($job, 'isolated', '0.0');
        foreach ($this->get("/jobs/{$job->id}/plan")->inertiaProps('plan.moves') as $move) {
            $this->postJson("/jobs/{$job->id}/moves", [
                'id' => newId(),
                'move' => $move['key'],
                'done' => true,
            ])->assertCreated();
        }
        raiseFlag($job, 'live', '26.5');
        expect(Progress::of($job->refresh())->isLanded())
            ->toBeTrue()
            ->and($open())
            ->not->toContain('SC09')
            ->toContain('pairing not known');
        proveStep($job, 'fan.voltage');
        expect($open())->not->toContain('pairing not known')->not->toContain('SC11');
    },
);

it('refuses an edit under an id that another job has used', function (): void {
    $one = houseToProve();
    $other = houseToProve();
    $id = JobRevision::query()->where('job_id', $one->id)->firstOrFail()->id;
    $answer = $this->postJson("/jobs/{$other->id}/survey-edits", [
        'id' => $id,
        'version' => $other->version,
        'op' => 'answer',
        'key' => 'history',
        'value' => 'x',
    ]);
    expect($answer->assertUnprocessable()->json('errors.id.0'))
        ->toContain('another job')
        ->and($other->refresh()->version)
        ->toBe($other->version);
});

/** A record row that a file of ours would carry. */
function fileRow(string $table, array $changes = []): string
{
    $rows = [
        'readings' => [
            'stage' => 'prove',
            'step' => 'fan.voltage',
            'mode' => 'V',
            'a' => 'wall.G',
            'b' => 'wall.C',
            'value' => 26.0,
            'power' => 'live',
            'expected' => ['low' => 22.0, 'high' => 29.0],
            'outcome' => 'pass',
            'reason' => 'x',
            'candidates' => [],
        ],
        'signs' => [
            'step' => 'fan.voltage',
            'sign' => 'blower',
            'seen' => true,
            'outcome' => 'pass',
            'reason' => 'x',
        ],
        'power' => ['state' => 'live', 'volts' => 26.0, 'meter_proved' => false],
        'steps' => ['step' => 'fan.voltage', 'event' => 'start'],
        'settings' => ['key' => 'cycles', 'value' => '3', 'reason' => 'x'],
        'signatures' => ['role' => 'customer', 'name' => 'A. Teal', 'strokes' => '[[[1,1],[2,2]]]'],
    ];

    return jobFile([
        'records' => [
            $table => [
                ['at' => '2026-11-20T09:00:00+00:00', 'by' => 'Wren Halyard', ...$rows[$table], ...$changes],
            ],
        ],
    ]);
}

it('takes from a file only what live entry takes, and says where and why not', function (
    string $content,
    string $pointer,
    string $says,
): void {
    installer();
    $report = importFiles(['bad.json' => $content])[0];
    expect($report['problem']['pointer'] ?? null)
        ->toBe($pointer)
        ->and($report['problem']['message'])
        ->toContain($says)
        ->and(Job::query()->count())
        ->toBe(0);
})->with([
    '900 cables' => [
        fn () => jobFile([
            'survey' => [
                'cables' => array_fill(0, 900, [
                    'id' => 'A',
                    'from' => 'wall',
                    'to' => 'indoor',
                    'gauge' => 18,
                    'feet' => 40,
                    'conductors' => [],
                ]),
            ],
        ]),
        '/survey/cables',
        'has 900 entries; allowed: at most 8',
    ],
    'two cables of one letter' => [
        fn () => jobFile(['survey' => ['cables' => [1 => ['id' => 'A']]]]),
        '/survey/cables/1/id',
        'a letter that no other cable has',
    ],
    '2000 jumpers' => [
        fn () => jobFile([
            'survey' => [
                'jumpers' => array_fill(0, 2000, ['place' => 'wall', 'a' => 'R', 'b' => 'C', 'label' => 'x']),
            ],
        ]),
        '/survey/jumpers',
        'at most 20',
    ],
    '5000 overrides' => [
        fn () => jobFile([
            'survey' => ['overrides' => array_fill_keys(array_map(fn ($n) => "SC{$n}", range(1, 5000)), 'x')],
        ]),
        '/survey/overrides',
        'at most 100',
    ],
    '2001 readings' => [
        fn () => (string) json_encode([
            ...(array) json_decode(jobFile(), true),
            'records' => ['readings' => array_fill(0, 2001, [])],
        ]),
        '/records/readings',
        'at most 2,000',
    ],
    'a number that is none' => [
        fn () => str_replace('26.25', '1e999', fileRow('readings', ['value' => 26.25])),
        '/records/readings/0/value',
        'no number',
    ],
    'a length that is none' => [
        fn () => (string) preg_replace('/"feet":\s*[\d.]+/', '"feet":1e999', jobFile(), 1),
        '/survey/cables/0/feet',
        'no number',
    ],
    'a mode of no meter' => [
        fn () => fileRow('readings', ['mode' => 'Q']),
        '/records/readings/0/mode',
        'allowed: V, O, A, B, N',
    ],
    'past the meter' => [
        fn () => fileRow('readings', ['value' => 9000]),
        '/records/readings/0/value',
        'from 0 to 600',
    ],
    'a word for a number' => [
        fn () => fileRow('readings', ['value' => '26']),
        '/records/readings/0/value',
        'from 0 to 600',
    ],
    'an outcome of our own' => [
        fn () => fileRow('readings', ['outcome' => 'splendid']),
        '/records/readings/0/outcome',
        'pass, fail',
    ],
    'what is expected, bent' => [
        fn () => fileRow('readings', ['expected' => ['low' => 'none']]),
        '/records/readings/0/expected/low',
        'a number',
    ],
    'a step that is none' => [
        fn () => fileRow('steps', ['step' => 'fan']),
        '/records/steps/0/step',
        'a proving step',
    ],
    'a step of nothing' => [fn () => fileRow('steps', ['step' => null]), '/records/steps/0/step', 'a proving step'],
    'a setting that is none' => [
        fn () => fileRow('settings', ['key' => 'mood']),
        '/records/settings/0/key',
        'equipment-type',
    ],
    'a state that is none' => [
        fn () => fileRow('power', ['state' => 'dead']),
        '/records/power/0/state',
        'live, isolated',
    ],
    'a time in the future' => [
        fn () => fileRow('power', ['at' => '2099-01-01T00:00:00Z']),
        '/records/power/0/at',
        'has passed',
    ],
    'a time in words' => [fn () => fileRow('power', ['at' => 'tomorrow']), '/records/power/0/at', 'has passed'],
    'a day that is none' => [
        fn () => fileRow('power', ['at' => '2026-02-31T09:00:00Z']),
        '/records/power/0/at',
        'has passed',
    ],
    'a stage in the future' => [
        fn () => jobFile(['records' => ['handed_over_at' => '2099-01-01T00:00:00Z']]),
        '/records/handed_over_at',
        'has passed',
    ],
    'strokes past the field' => [
        fn () => fileRow('signatures', ['strokes' => '[[[1,1],[2,2000]]]']),
        '/records/signatures/0/strokes',
        'points from 0 to 1000',
    ],
    '61 strokes' => [
        fn () => fileRow('signatures', ['strokes' => json_encode(array_fill(0, 61, [[1, 1], [2, 2]]))]),
        '/records/signatures/0/strokes',
        'at most 60',
    ],
    'a mark on no reading' => [
        fn () => jobFile([
            'records' => [
                'marks' => [
                    ['at' => '2026-11-20T09:00:00Z', 'reading_id' => 'gone', 'unexplained' => true, 'note' => 'x'],
                ],
            ],
        ]),
        '/records/marks/0/reading_id',
        'an earlier reading of this file',
    ],
    'a name that is none' => [fn () => fileRow('signs', ['by' => ['Wren']]), '/records/signs/0/by', 'no name'],
]);

it('keeps the names of a file as text of that file, and shows what came in as imported', function (): void {
    $job = finished();
    $out = (string) $this->get("/jobs/{$job->id}/job-file")->getContent();
    $again = Job::query()->findOrFail(importFiles(['row-4.json' => $out])[0]['job']['id']);
    $page = $this->get("/jobs/{$again->id}/handover")->assertOk();
    $csv = (string) $this->get("/jobs/{$again->id}/readings.csv")->getContent();

    expect($again->readings()->first()->user->name)
        ->toBe('Wren Halyard')
        ->and($again->readings()->first()->writtenBy())
        ->toBe('in the file: Wren Halyard')
        ->and($csv)
        ->toContain('in the file: Wren Halyard')
        ->and($page->inertiaProps('job.importedAt'))
        ->not->toBeNull()
        ->and($page->inertiaProps('proofs.0.readings.0.fromFile'))
        ->toBe('Wren Halyard')
        ->and(sheet($again))
        ->toContain('Read from a job file on')
        ->toContain('from the file');
    // It came in closed: a later visit's name for the house is not its own either.
    $later = Job::query()->findOrFail(
        $this->postJson("/jobs/{$again->id}/copies", ['id' => newId(), 'as' => 'visit', 'kind' => 'follow-up'])
            ->assertCreated()
            ->json('id'),
    );
    $this->postJson("/jobs/{$later->id}/details", [
        'id' => newId(),
        'version' => $later->version,
        'site' => 'Weir House',
        'system' => 'System',
        'kind' => 'follow-up',
    ])->assertOk();
    expect(Job::query()->findOrFail($again->id)->site)->toBe('Lock Keeper\'s Row 4');
    // The colleague of that name did not write it: a file may say any name.
    $sedge = App\Models\Crew\User::query()->where('name', 'Sedge Barrow')->sole();
    $this->actingAs($sedge);
    $mine = Job::query()->findOrFail(importFiles(['row-4.json' => $out])[0]['job']['id']);
    expect(Reading::query()->where('job_id', $mine->id)->pluck('user_id')->unique()->all())->toBe([$sedge->id]);
});

it('keeps the jobs screen up beside a job that cannot be read', function (): void {
    $job = houseToProve();
    DB::table('jobs')
        ->where('id', $job->id)
        ->update(['survey' => '{"archetype":"gone"}', 'recorded' => 999]);
    $this->withoutExceptionHandling()
        ->get('/jobs')
        ->assertOk()
        ->assertInertia(fn ($page) => $page->where('jobs.0.equipment', 'cannot be read'));
    expect($this->get('/jobs?find=tollhouse')->inertiaProps('counts.all'))->toBe(1);
});

it('takes 4000 points of a signature and refuses what is none', function (): void {
    $job = houseToProve();
    $sign = fn (mixed $strokes) => $this->postJson("/jobs/{$job->id}/signatures", [
        'id' => newId(),
        'role' => 'customer',
        'name' => 'A. Teal',
        'strokes' => $strokes,
    ]);
    $sign(array_fill(0, 8, array_map(fn (int $n): array => [$n % 1000, 5], range(1, 500))))->assertCreated();
    foreach (
        [
            [],
            'x',
            [[[1, 1]]],
            [[[1, 1], [2]]],
            [[[1, 1], [2, 'x']]],
            [[[1, 1], [2, 1001]]],
            [[[1, 1], ['a' => 1, 'b' => 2]]],
            array_fill(0, 61, [[1, 1], [2, 2]]),
            [array_fill(0, 601, [1, 1])],
        ] as $bad
    ) {
        expect($sign($bad)->assertUnprocessable()->json('errors'))->toHaveKey('strokes');
    }
});

it('does not acknowledge a photograph that was not written, and takes it again', function (): void {
    Storage::fake('local');
    $job = houseToProve();
    $id = newId();
    $send = fn () => $this->post(
        "/jobs/{$job->id}/photos",
        ['id' => $id, 'place' => 'wall', 'photo' => UploadedFile::fake()->image('plate.jpg', 40, 30)],
        ['Accept' => 'application/json'],
    );
    // A file where the folder should be: nothing can be written there.
    Storage::disk('local')->put("photos/{$job->id}", 'in the way');
    expect($send()->assertStatus(503)->json('message'))
        ->toContain('Send it again')
        ->and($job->photos()->whereNotNull('path')->count())
        ->toBe(0);
    Storage::disk('local')->delete("photos/{$job->id}");
    $send()->assertCreated();
    $path = Storage::disk('local')->path("photos/{$job->id}/{$id}.jpg");
    expect(is_file($path))
        ->toBeTrue()
        ->and(fileperms($path) & 0777)
        ->toBe(0600)
        ->and(fileperms(dirname($path)) & 0777)
        ->toBe(0700);
    Storage::disk('local')->delete("photos/{$job->id}/{$id}.jpg");
    $send()->assertCreated();
    expect(Storage::disk('local')->exists("photos/{$job->id}/{$id}.jpg"))
        ->toBeTrue()
        ->and($job->photos()->whereNotNull('path')->count())
        ->toBe(1);
});

it('says of a photograph what is too large for the server, before it reads it', function (): void {
    Storage::fake('local');
    $job = houseToProve();
    // The head of a picture of 6000 by 4000 points, which is all that is looked at.
    $png = "\x89PNG\r\n\x1a\n".pack('N', 13).'IHDR'.pack('NN', 6000, 4000)."\x08\x02\0\0\0".pack('N', 0);
    $answer = $this->post(
        "/jobs/{$job->id}/photos",
        ['id' => newId(), 'place' => 'wall', 'photo' => UploadedFile::fake()->createWithContent('plate.png', $png)],
        ['Accept' => 'application/json'],
    );
    expect($answer->assertUnprocessable()->json('errors.photo.0'))->toContain(
        '6000 × 4000 points; allowed: at most 12.5 million',
    );
});

it('opens every stage when a landed conductor is taken out of the survey', function (): void {
    $job = houseToProve();
    editSurvey($job, 'remove-conductor', ['cable' => 'A', 'number' => 1])->assertOk();
    foreach (['survey', 'plan', 'set', 'prove', 'handover'] as $stage) {
        $this->get("/jobs/{$job->id}/{$stage}")->assertOk();
    }
});

it('never says that nothing is left open of a job that nobody has worked on', function (): void {
    $done = finished();
    $open = static fn (Job $job): string => joined(' ', said(HandoverPage::props($job->refresh()))['open']);
    $new = houseToProve();

    expect($open($done))
        ->toBe('')
        ->and($open($new))
        ->toContain('Not proved yet: Fan, Cool 1, Heat 1 and At rest')
        ->and($open(Job::at('Lock Keeper\'s Row 6')))
        ->toContain('No thermostat is planned yet');
});
