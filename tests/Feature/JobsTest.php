<?php

declare(strict_types=1);

use App\House\House;
use App\Jobs\Screen\JobsPage;
use App\Models\Job;
use App\Models\Record\Reading;
use App\Models\Site;
use App\Models\System;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Sabre\VObject\Reader;

function details(Job $job, array $fields): Illuminate\Testing\TestResponse
{
    return test()->postJson("/jobs/{$job->id}/details", [
        'id' => newId(),
        'version' => $job->refresh()->version,
        'site' => $job->site,
        'address' => $job->address,
        'system' => 'System',
        'kind' => 'replacement',
        ...$fields,
    ]);
}

it('reads every demo file and every example through the public door, several at once', function (): void {
    installer();
    $files = [];
    foreach ([...glob(database_path('demo/*.json')), ...glob(base_path('docs/examples/*.json'))] as $path) {
        $files[basename($path)] = (string) file_get_contents($path);
    }
    foreach (array_chunk($files, 20, true) as $some) {
        foreach (importFiles($some) as $report) {
            expect($report['problem'])->toBeNull($report['name']);
        }
    }
    expect(Job::query()->count())->toBe(count($files));
    $this->get('/jobs')->assertOk();
});

it('loses nothing on the way out and in again, records included', function (): void {
    seedDemo();
    $job = Job::at('Lock Keeper\'s Row 4');
    installer($job);
    $out = $this->get("/jobs/{$job->id}/job-file")
        ->assertOk()
        ->getContent();
    $report = importFiles(['row-4.json' => (string) $out]);
    $again = Job::query()->findOrFail($report[0]['job']['id']);
    $plain = static function (string $file): array {
        // A copy beside the first is another job.
        $data = array_diff_key(json_decode($file, true), ['id' => 1]);
        foreach ($data['records'] as $name => $rows) {
            $data['records'][$name] = is_array($rows)
                ? array_map(
                    static fn (array $r): array => array_diff_key($r, ['id' => 1, 'corrects_id' => 1]),
                    $rows,
                )
                : $rows;
        }

        return $data;
    };

    expect($plain((string) $this->get("/jobs/{$again->id}/job-file")->getContent()))
        ->toEqual($plain((string) $out))
        ->and($again->readings()->count())
        ->toBe($job->readings()->count())
        ->and($again->handed_over_at)
        ->toEqual($job->handed_over_at)
        ->and($again->readings()->first()->writtenBy())
        ->toBe('in the file: Wren Halyard')
        ->and($again->demo)
        ->toBeTrue();
    importFiles(['row-4.json' => (string) $out], [$again->id]);
    expect(Job::query()->count())
        ->toBe(12)
        ->and(Reading::query()->where('job_id', $again->id)->count())
        ->toBe($job->readings()->count());
});

it('reports what is wrong with a file and where, keeps nothing of it, and reads the good one beside it', function (
    Closure $content,
    string $pointer,
    string $says,
): void {
    installer();
    [$bad, $good] = importFiles(['bad.json' => $content(), 'good.json' => jobFile()]);

    expect($bad['job'])
        ->toBeNull()
        ->and($bad['problem']['pointer'])
        ->toBe($pointer)
        ->and($bad['problem']['message'])
        ->toContain($says)
        ->and($good['problem'])
        ->toBeNull()
        ->and(Job::query()->count())
        ->toBe(1)
        ->and(Site::query()->count())
        ->toBe(1)
        ->and(System::query()->count())
        ->toBe(1);
})->with([
    'no JSON' => [fn () => '{"unionbit": 1,', '', 'is no JSON'],
    'another version' => [fn () => jobFile(['unionbit' => 9]), '/unionbit', 'is 9; allowed: version 2'],
    'no survey' => [fn () => '{"unionbit": 1, "site": "Tollhouse"}', '/survey', 'is missing'],
    'unknown equipment' => [
        fn () => jobFile(['unionbit' => 1, 'survey' => ['archetype' => 'steam']]),
        '/survey/archetype',
        'is "steam"; allowed: air-handler',
    ],
    'an option that a unit has not' => [
        fn () => jobFile(['survey' => ['units' => [['options' => ['stages' => '3']]]]]),
        '/survey/units',
        'is "3"; allowed: 1, 2',
    ],
    'units that are no equipment' => [
        fn () => jobFile(['survey' => ['units' => [2 => ['unit' => 'zone-valve']]]]),
        '/survey/units',
        'two heat sources',
    ],
    'unknown thermostat' => [fn () => jobFile(['thermostat' => 'sundial']), '/thermostat', 'is "sundial"'],
    'a bad kind' => [fn () => jobFile(['kind' => 'party']), '/kind', 'is "party"; allowed: installation'],
    'a name of 10 000 characters' => [
        fn () => jobFile(['site' => str_repeat('x', 10_000)]),
        '/site',
        'is 10000 characters long; allowed: 1 to 80',
    ],
    'a number twice' => [
        fn () => jobFile(['survey' => ['cables' => [['conductors' => [1 => ['number' => 1]]]]]]),
        '/survey/cables/0/conductors/1/number',
        'a number no other conductor',
    ],
    'a terminal too long' => [
        fn () => jobFile([
            'survey' => ['cables' => [['conductors' => [['near' => ['terminal' => str_repeat('Q', 400)]]]]]],
        ]),
        '/survey/cables/0/conductors/0/near/terminal',
        '1 to 12 characters',
    ],
    'a circular splice' => [
        fn () => jobFile([
            'survey' => [
                'cables' => [
                    [
                        'conductors' => [
                            ['far' => ['state' => 'spliced', 'onto' => 'A2']],
                            ['far' => ['state' => 'spliced', 'onto' => 'A1']],
                        ],
                    ],
                ],
            ],
        ]),
        '/survey/cables/0/conductors/0/far/onto',
        'A1 → A2 → A1',
    ],
    'an unknown answer' => [
        fn () => jobFile(['survey' => ['answers' => ['weather' => 'rain']]]),
        '/survey/answers',
        'is "weather"',
    ],
    'records that are none' => [
        fn () => jobFile(['records' => ['readings' => [['at' => '2026-11-25T09:00:00Z', 'stage' => 5]]]]),
        '/records/readings/0/stage',
        'is 5',
    ],
    'a time that is none' => [
        fn () => jobFile(['records' => ['moves' => [['at' => 'soon', 'move' => 'link:in', 'done' => true]]]]),
        '/records/moves/0/at',
        'is "soon"',
    ],
    '50 000 conductors' => [
        function (): string {
            $file = json_decode(jobFile(), true);
            $file['survey']['cables'][0]['conductors'] = array_fill(0, 50_000, ['number' => 1]);

            return (string) json_encode($file);
        },
        '/survey/cables/0/conductors',
        'has 50000 conductors; allowed: at most 50',
    ],
    'a record twice' => [
        fn () => jobFile([
            'records' => [
                'signatures' => array_fill(0, 2, [
                    ...['id' => '01KV0000000000000000000001', 'at' => '2026-11-25T09:00:00Z', 'by' => 'A'],
                    ...['role' => 'customer', 'name' => 'R.', 'strokes' => '[[[1,1],[2,2]]]'],
                ]),
            ],
        ]),
        '/records/signatures/1/id',
        'each record once',
    ],
    'a house of two lines' => [fn () => jobFile(['site' => "Tollhouse\nhanded over"]), '/site', 'one line'],
    'a house that is read backwards' => [fn () => jobFile(['site' => "Toll\u{202E}esuoh"]), '/site', 'no text'],
    'a key that steers what is shown' => [fn () => jobFile(["a\u{2066}b" => 1]), '', 'no text'],
    'a name of two lines in a record' => [
        fn () => jobFile([
            'records' => [
                'moves' => [['at' => '2026-11-25T09:00:00Z', 'by' => "A\nB", 'move' => 'link:in', 'done' => true]],
            ],
        ]),
        '/records/moves/0/by',
        'no name',
    ],
    'a note of two lines in a record' => [
        fn () => jobFile([
            'records' => [
                'waivers' => [
                    ['at' => '2026-11-25T09:00:00Z', 'by' => 'A', 'call' => 'cool-1', 'reason' => "a\nb"],
                ],
            ],
        ]),
        '/records/waivers/0/reason',
        'one line',
    ],
    'over 4 MB' => [fn () => str_repeat(' ', 4_000_001), '', 'larger than 4 MB'],
]);

it(
    'opens another system, a next visit as the last one left it, a sister to be confirmed, and a house like it',
    function (): void {
        seedDemo();
        $row = Job::at('Lock Keeper\'s Row 4');
        installer($row);
        $copy = fn (array $fields) => $this->postJson("/jobs/{$row->id}/copies", [
            'id' => newId(),
            'kind' => 'follow-up',
            ...$fields,
        ]);
        $visit = Job::query()->findOrFail(
            $copy(['as' => 'visit'])
                ->assertCreated()
                ->json('id'),
        );
        $sister = Job::query()->findOrFail(
            $copy(['as' => 'sister', 'name' => 'Upstairs'])
                ->assertCreated()
                ->json('id'),
        );
        $like = Job::query()->findOrFail(
            $copy(['as' => 'duplicate', 'name' => 'Lock Keeper\'s Row 5'])
                ->assertCreated()
                ->json('id'),
        );
        $id = newId();
        $this->postJson('/jobs', [
            'id' => $id,
            'site_id' => $row->system->site_id,
            'system' => 'Cellar',
            'kind' => 'replacement',
            'feet' => '30',
        ])->assertCreated();
        $plan = House::of($row)->plan ?? throw new LogicException('It was planned.');

        expect($visit->earlier_id)
            ->toBe($row->id)
            ->and($visit->system_id)
            ->toBe($row->system_id)
            ->and(House::of($visit)->installation->wallCable()?->conductor(1)?->near->terminal)
            ->toBe($plan->landing->wall['A1']->terminal)
            ->and($sister->system->name)
            ->toBe('Upstairs')
            ->and($sister->system->site_id)
            ->toBe($row->system->site_id)
            ->and(House::of($sister)->installation->wallCable()?->conductor(1)?->evidence->isProof())
            ->toBeFalse()
            ->and($like->site)
            ->toBe('Lock Keeper\'s Row 5')
            ->and($like->readings()->count())
            ->toBe(0)
            ->and(Job::query()->findOrFail($id)->system->site_id)
            ->toBe($row->system->site_id)
            ->and(array_column($this->get("/jobs/{$visit->id}/survey")->inertiaProps('visits'), 'follows', 'id'))
            ->toBe([$visit->id => false, $row->id => true]);
        $copy(['as' => 'sister', 'name' => ''])
            ->assertUnprocessable()
            ->assertJsonValidationErrorFor('name');
        installer();
        $copy(['as' => 'visit'])->assertForbidden();
        $this->postJson('/jobs', [
            'id' => newId(),
            'site_id' => $row->system->site_id,
            'system' => 'Attic',
            'kind' => 'replacement',
            'feet' => '30',
        ])
            ->assertUnprocessable()
            ->assertJsonValidationErrorFor('site');
    },
);

it('finds a job by the trade\'s other words for a thing, and sifts', function (): void {
    seedDemo();
    summarized();
    installer(Job::at('Tollhouse'));
    $found = fn (string $find, string $show = 'all'): array => array_column(
        $this->get('/jobs?'.http_build_query(['find' => $find, 'show' => $show]))
            ->assertOk()
            ->inertiaProps('jobs'),
        'site',
    );

    expect($found('hp'))
        ->toContain('Tollhouse', 'Dredger Cottage')
        ->not->toContain('Ropewalk 11')
        ->and($found('hybrid'))
        ->toBe(['Quay House'])
        ->and($found('wireless'))
        ->toBe(['Heron Boathouse'])
        ->and($found('flat 2 breakdown'))
        ->toBe(['Quay House'])
        ->and($found('hydronic'))
        ->toBe(['The Old Chandlery'])
        ->and($found('steam'))
        ->toBe([])
        ->and($found('', 'open'))
        ->toHaveCount(10)
        ->and($found('', 'flagged'))
        ->toBe([]);
    $this->get('/jobs?show=lost')->assertRedirect();

    // A word of a house finds the houses that have it, and no other; one that every job has narrows nothing.
    $all = $found('');
    foreach (['float', 'float switch', 'strips', 'heat strips', 'no C', 'no common', 'emergency'] as $word) {
        expect(count($found($word)))->toBeGreaterThan(0)->toBeLessThan(count($all), $word);
    }
    expect($found('float'))
        ->toBe($found('float switch'))
        ->and($found('strips'))
        ->toBe($found('heat strips'))
        ->not->toContain('Ropewalk 11', 'The Old Chandlery')
        ->and(array_intersect($found('no C'), $found('common wire')))
        ->toBe([])
        ->and($found('strand board'))
        ->toBe($all)
        ->and($found('Tollhouse fuse'))
        ->toBe(['Tollhouse']);
    $meant = fn (string $find): ?string => $this->get('/jobs?'.http_build_query(['find' => $find]))->inertiaProps(
        'meant',
    );
    expect($meant('Tollhuose'))
        ->toBe('tollhouse')
        ->and($meant('emergancy'))
        ->toBe('emergency')
        ->and($meant('Tollhouse'))
        ->toBeNull()
        ->and($meant('qqqqqq'))
        ->toBeNull();
});

it(
    'says on the jobs screen what is so now, after every kind of record, though it keeps what it has worked out',
    function (): void {
        $job = houseToProve();
        $row = static fn (): array => array_column(
            said(JobsPage::props($job->crew->users()->firstOrFail(), '', 'all', null))['jobs'],
            null,
            'id',
        )[$job->id];
        $segment = static fn (string $stage): array => array_column($row()['tape'], null, 'key')[$stage];
        $before = $row();
        expect($row())->toBe($before);

        $power = $before['power']['state'];
        raiseFlag($job, 'isolated', '0.0');
        expect($power)->toBe('live')->and($row()['power']['state'])->toBe('isolated');
        $this->travel(31)->minutes();
        expect($row()['power']['state'])->not->toBe('isolated');
        raiseFlag($job, 'isolated', '0.0');
        $this->postJson("/jobs/{$job->id}/steps", [
            'id' => newId(),
            'step' => 'fan.jumper',
            'event' => 'start',
        ])->assertCreated();
        expect($row()['restore'])->not->toBe([])->and($row()['flagged'])->toBeTrue();
        $this->postJson("/jobs/{$job->id}/steps", [
            'id' => newId(),
            'step' => 'fan.jumper',
            'event' => 'end',
        ])->assertCreated();
        expect($row()['restore'])->toBe([]);

        $minutes = $row()['minutes'];
        $this->postJson("/jobs/{$job->id}/waivers", [
            'id' => newId(),
            'call' => 'heat-1',
            'note' => 'gas is off until Friday',
        ])->assertCreated();
        expect($segment('prove')['done'])->toBe(1)->and($row()['minutes'])->toBeLessThanOrEqual($minutes);
        editSurvey($job->refresh(), 'add-conductor', ['cable' => 'A', 'line' => 'orange spare'])->assertOk();
        expect($row()['strands'])->toHaveCount(count($before['strands']) + 1);
    },
);

it('archives, deletes and takes back, for its own crew only', function (): void {
    $job = Job::factory()->create();
    installer($job);
    $shelf = fn (string $to) => $this->postJson("/jobs/{$job->id}/shelf", ['to' => $to]);
    $listed = fn (string $show = 'all'): int => count($this->get("/jobs?show={$show}")->inertiaProps('jobs'));

    $shelf('archive')->assertOk();
    expect([$listed(), $listed('archived')])->toBe([0, 1]);
    $shelf('list')->assertOk();
    $shelf('delete')->assertOk();
    expect($listed())
        ->toBe(0)
        ->and(Job::withTrashed()->count())
        ->toBe(1);
    $this->get("/jobs/{$job->id}/survey")->assertNotFound();
    $shelf('restore')
        ->assertOk()
        ->assertJson(['deleted' => false]);
    expect($listed())->toBe(1);
    $shelf('burn')->assertUnprocessable();
    installer();
    $shelf('delete')->assertForbidden();
});

it('takes the day from where the person stands', function (?string $zone, string $day): void {
    installer();
    $this->travelTo('2026-11-28 03:30:00 UTC');
    $rail = fn (string $query = ''): array => ($zone === null ? $this : $this->withUnencryptedCookie('zone', $zone))
        ->get("/jobs{$query}")
        ->inertiaProps('day');

    expect($rail())
        ->toMatchArray(['date' => $day, 'isToday' => true])
        ->and($rail('?day=2026-11-20'))
        ->toMatchArray(['date' => '2026-11-20', 'isToday' => false])
        ->and($rail("?day={$day}")['isToday'])
        ->toBeTrue();
})->with([
    'no zone said' => [null, '2026-11-28'],
    'still the evening before' => ['America/Los_Angeles', '2026-11-27'],
    'already the same day' => ['Asia/Tokyo', '2026-11-28'],
    'no zone at all' => ['Marsh/Nowhere', '2026-11-28'],
]);

it('plans a day, says what will not fit and what to load, and writes it as a calendar', function (): void {
    $this->travelTo('2026-11-25 07:00');
    $first = Job::factory()->create();
    installer($first);
    $second = Job::factory()->create(['crew_id' => $first->crew_id]);
    details($first, ['day' => '2026-11-25', 'starts' => '16:30', 'who' => 'Van 1'])->assertOk();
    details($second, [
        'site' => 'Tollhouse',
        'day' => '2026-11-25',
        'starts' => '08:30',
        'who' => 'Van 1',
    ])->assertOk();
    $day = $this->get('/jobs?day=2026-11-25')->inertiaProps('day');

    expect(array_column($day['visits'], 'starts', 'site'))
        ->toBe(['Tollhouse' => '08:30', 'Lock Keeper\'s Row 4' => '16:30'])
        ->and($day['warnings'][0]['text'])
        ->toContain('the day ends at 17:00')
        ->and(array_column($day['load'], 'count', 'item'))
        ->toHaveKey('Blade fuse, 3 A', 6)
        ->and($this->get('/jobs?day=2026-11-26')->inertiaProps('day.visits'))
        ->toBe([]);
    $calendar = Reader::read(
        $this->get('/visits.ics')
            ->assertOk()
            ->assertHeader('Content-Type', 'text/calendar; charset=utf-8')
            ->getContent(),
    );
    expect($calendar->validate())
        ->toBe([])
        ->and($calendar->VEVENT)
        ->toHaveCount(2)
        ->and((string) $calendar->VEVENT[0]->SUMMARY)
        ->toBe('Tollhouse, replacement')
        ->and((string) $calendar->VEVENT[0]->DTSTART)
        ->toBe('20261125T083000')
        ->and(
            $calendar->VEVENT[0]->DTEND->getDateTime()->getTimestamp() -
                $calendar->VEVENT[0]->DTSTART->getDateTime()->getTimestamp(),
        )
        ->toBe(60 * $day['visits'][0]['minutes']);
});

it('refuses details that cannot be, at their place', function (array $fields, string $field): void {
    $job = Job::factory()->create();
    installer($job);

    details($job, $fields)->assertUnprocessable()->assertJsonValidationErrorFor($field);
    expect($job->refresh()->version)->toBe(1);
})->with([
    [['site' => ''], 'site'],
    [['system' => ''], 'system'],
    [['kind' => 'party'], 'kind'],
    [['day' => '25.11.2026'], 'day'],
    [['day' => '2026-11-25'], 'starts'],
    [['day' => '2026-11-25', 'starts' => '25:00', 'who' => 'Van 1'], 'starts'],
    [['day' => '2026-11-25', 'starts' => '09:00'], 'who'],
]);

it('answers a stale change of details with both sides', function (): void {
    $job = Job::factory()->create();
    installer($job);
    details($job, ['site' => 'Tollhouse'])->assertOk();

    $this->postJson("/jobs/{$job->id}/details", [
        'id' => newId(),
        'version' => 1,
        'site' => 'Weir',
        'system' => 'System',
        'kind' => 'replacement',
    ])->assertConflict();
    expect($job->refresh()->site)->toBe('Tollhouse');
});

it('makes sites and systems of the jobs that were written before there were any', function (): void {
    config([
        'database.connections.old' => [
            ...config('database.connections.sqlite'),
            'database' => ($path = tempnam(sys_get_temp_dir(), 'old')),
        ],
    ]);
    $migrate = static fn (string ...$names) => Artisan::call('migrate', [
        '--database' => 'old',
        '--force' => true,
        '--path' => array_map(static fn (string $n): string => "database/migrations/2026_11_25_{$n}.php", $names),
    ]);
    $default = DB::getDefaultConnection();
    DB::setDefaultConnection('old');
    try {
        $migrate('000001_create_crews_and_users', '000002_create_jobs', '000003_create_records');
        $crew = DB::table('crews')->insertGetId(['name' => 'Ebb & Sluice Heating']);
        foreach (['Tollhouse', 'Weir Pump Room'] as $site) {
            DB::table('jobs')->insert([
                'id' => (string) Str::ulid(),
                'crew_id' => $crew,
                'site' => $site,
                'address' => 'Saltmarsh Locks',
                'kind' => 'replacement',
                'survey' => '{}',
            ]);
        }
        $migrate('000004_create_sites_and_systems');
        $joined = DB::table('jobs')
            ->join('systems', 'systems.id', '=', 'jobs.system_id')
            ->join('sites', 'sites.id', '=', 'systems.site_id')
            ->orderBy('sites.name')
            ->pluck('sites.address', 'sites.name')
            ->all();
        expect($joined)
            ->toBe(['Tollhouse' => 'Saltmarsh Locks', 'Weir Pump Room' => 'Saltmarsh Locks'])
            ->and(DB::getSchemaBuilder()->hasColumn('jobs', 'site'))
            ->toBeFalse();
    } finally {
        DB::setDefaultConnection($default);
        unlink($path);
    }
});
