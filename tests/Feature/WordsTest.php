<?php

declare(strict_types=1);

use App\Database\WordIndex;
use App\House\House;
use App\Models\Job;
use Illuminate\Support\Facades\DB;
use Unionbit\Core\Terminal\TradeWords;

/** @return list<string> every name that the glossary has for a thing */
function glossary(): array
{
    $words = [];
    foreach (explode("\n", (string) file_get_contents(base_path('docs/glossary.md'))) as $line) {
        if (
            preg_match('/^\| ([^|]+) \| /', $line, $cell) === 1 &&
            ! in_array(trim($cell[1]), ['word', '---'], true)
        ) {
            array_push($words, ...array_map(trim(...), explode(',', $cell[1])));
        }
    }

    return $words;
}

it('finds jobs by every word of the glossary, and by the other names in use', function (): void {
    seedDemo();
    $job = Job::at('Tollhouse');
    installer($job);
    // One of each kind of house beside the demo's, so that each thing of the trade stands somewhere.
    importFiles(
        array_map(
            static fn (string $f): string => (string) file_get_contents($f),
            array_combine(
                $names = array_map(static fn (string $id): string => base_path("docs/examples/{$id}.json"), [
                    'boiler-zone-valve-1c',
                    'heat-pump-o-1c-1aux-e-relay',
                    'dual-fuel-o-2c-2h',
                    'air-handler-electric-2h-1c',
                ]),
                $names,
            ),
        ),
    );
    foreach (
        [
            ['op' => 'choose', 'profile' => 'c-powered-shared-kit-2h-2c'],
            ['op' => 'choose', 'profile' => 'power-sharing-1h-1c'],
            ['op' => 'choose', 'profile' => 'two-part-three-conductor'],
        ] as $n => $edit
    ) {
        $house = Job::query()
            ->orderBy('id')
            ->skip($n + 3)
            ->firstOrFail();
        $this->postJson("/jobs/{$house->id}/plan-edits", ['id' => newId(), 'version' => $house->version, ...$edit]);
    }
    editSurvey($job, 'add-conductor', ['cable' => 'A', 'line' => 'pnk - > - cap splice tan'])->assertOk();
    summarized();
    $found = fn (string $find): int => $this->get('/jobs?'.http_build_query(['find' => $find]))
        ->assertOk()
        ->inertiaProps('counts.all');
    expect(glossary())->toHaveCount(115);
    $missing = array_values(
        array_filter(
            [
                // No house of the demo has a dehumidify signal or sheds load; what is of a trace is of no house.
                ...array_diff(glossary(), [
                    ...['dehumidify', 'load shedding', 'hands'],
                    ...['odd sign', 'own end', 'routine', 'spot'],
                    // Nor of what a crew is and does beside its houses.
                    ...['apprentice', 'archive', 'cut off', 'errand', 'hold', 'lead', 'reader', 'seal', 'share'],
                ]),
                'emergency',
                'em heat',
                'common wire',
                'c wire',
                'strip heat',
                'subbase',
                'strand',
                'overflow',
                'condenser',
                'wireless',
                'hybrid',
                'waiver',
            ],
            static fn (string $word): bool => $found($word) === 0,
        ),
    );

    expect($missing)
        ->toBe([])
        ->and($found('emergency'))
        ->toBeGreaterThan(0)
        ->toBeLessThan($found(''))
        ->and($found('common wire'))
        ->toBeGreaterThan(0)
        ->toBeLessThan($found(''))
        ->and($found('steam'))
        ->toBe(0)
        ->and($found('tollhouse emergency'))
        ->toBe(1)
        ->and($found('ropewalk emergency'))
        ->toBe(0)
        ->and($found('100%_of "it" AND (x) *'))
        ->toBe(0);
});

it('searches the database as the words say, whole or as a beginning', function (
    string $asked,
    string $text,
    bool $fits,
): void {
    DB::table('job_words')->insert(['job_id' => 'x', 'words' => TradeWords::plain($text)]);
    expect(WordIndex::find(TradeWords::terms($asked))->exists())
        ->toBe($fits)
        ->and(TradeWords::matches($asked, $text))
        ->toBe($fits);
})->with([
    ['toll', 'the Tollhouse', true],
    ['ouse', 'the Tollhouse', false],
    ['em heat', 'heat pump, emergency heat', true],
    ['common wire', 'terminal C, common', true],
    ['com', 'communicating', false],
    ['lock keeper\'s', 'Lock Keeper\'s Row 6', true],
    ['o/b', 'reversing valve', true],
    ['hp aux', 'heat pump with strips', true],
]);

it('limits after the search, and says how many there are', function (): void {
    seedDemo();
    summarized();
    installer(Job::at('Tollhouse'));
    $page = $this->get('/jobs?rows=3&find=saltmarsh')->assertOk();
    expect($page->inertiaProps('jobs'))
        ->toHaveCount(3)
        ->and($page->inertiaProps('total'))
        ->toBe(11)
        ->and($page->inertiaProps('counts.all'))
        ->toBe(11)
        ->and($this->get('/jobs?rows=1&find=heron')->inertiaProps('jobs.0.site'))
        ->toBe('Heron Boathouse');
});

it('takes a decimal comma wherever a number is typed', function (): void {
    $job = houseToProve();
    $this->postJson('/jobs', [
        'id' => ($id = newId()),
        'site' => 'Weir',
        'kind' => 'replacement',
        'feet' => '45,5',
    ])->assertCreated();
    expect(House::of(Job::query()->findOrFail($id))->installation->wallCable()?->feet)->toBe(45.5);
    editSurvey($job, 'set-cable', ['cable' => 'A', 'gauge' => 18, 'feet' => '60,5'])->assertOk();
    editSurvey($job, 'set-facts', ['facts' => ['fuseAmps' => '3,5']])->assertOk();
    expect(House::of($job->refresh())->installation->wallCable()?->feet)
        ->toBe(60.5)
        ->and(House::of($job)->installation->facts->fuseAmps)
        ->toBe(3.5)
        ->and(
            $this->postJson("/jobs/{$job->id}/entry-preview", ['cable' => 'A', 'line' => 'blu C>C 0,6ohm'])->json(
                'loopOhms',
            ),
        )
        ->toBe(0.6)
        ->and(
            $this->postJson('/figures/coil', ['values' => ['expected' => '13,0', 'measured' => '12,5']])
                ->assertOk()
                ->json('result'),
        )
        ->not->toBeNull();
    $this->postJson("/jobs/{$job->id}/measurements", [
        'id' => newId(),
        'figure' => 'split',
        'call' => 'cool-1',
        'values' => ['return' => '76,5', 'supply' => '57', 'mode' => 1],
    ])->assertCreated();
    $this->postJson("/jobs/{$job->id}/power", [
        'id' => newId(),
        'state' => 'isolated',
        'volts' => '0,2',
        'meter_proved' => true,
    ])->assertCreated();
    $this->postJson("/jobs/{$job->id}/readings", [
        'id' => newId(),
        'stage' => 'survey',
        'mode' => 'V',
        'a' => 'indoor.R',
        'b' => 'indoor.C',
        'value' => '0,3',
    ])
        ->assertCreated()
        ->assertJsonPath('outcome', 'pass');
});

it('says what is wrong in plain words, never in the framework\'s', function (
    string $url,
    array $body,
    string $field,
    string $says,
): void {
    $job = houseToProve();
    expect(
        $this->postJson(str_replace('JOB', $job->id, $url), $body)->assertUnprocessable()->json('errors')[
            $field
        ][0] ?? '',
    )->toBe($says);
})->with([
    [
        '/jobs',
        ['id' => '01KV0000000000000000000001', 'site' => 'Weir', 'kind' => 'party', 'feet' => 'long'],
        'kind',
        'The kind of visit is none of those that can be chosen.',
    ],
    [
        '/jobs/JOB/readings',
        ['id' => 'x', 'stage' => 'prove', 'mode' => 'V', 'a' => 'x', 'b' => 'y', 'value' => '1'],
        'id',
        'The id is not an id of ours: load the page again.',
    ],
    [
        '/jobs/JOB/power',
        ['id' => '01KV0000000000000000000001', 'state' => 'on'],
        'state',
        'The power state is none of those that can be chosen.',
    ],
    [
        '/jobs/JOB/measurements',
        ['id' => '01KV0000000000000000000001', 'figure' => 'split', 'values' => 'x'],
        'values',
        'The list of values is not a list.',
    ],
]);
