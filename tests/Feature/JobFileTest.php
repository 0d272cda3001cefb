<?php

declare(strict_types=1);

use App\Jobs\File\WriteJob;
use App\Models\Job;
use App\Models\Record\Observation;
use App\Records\Step\StepRecord;
use Illuminate\Support\Facades\DB;

// A job out of a file is the job that went in: every kind of record, in its order, with all that it names.

const RECORD_TABLES = [
    'readings',
    'observations',
    'setting_entries',
    'power_events',
    'move_ticks',
    'step_events',
    'temporary_things',
    'trace_rows',
    'waivers',
    'measurements',
    'reading_marks',
    'signatures',
];

/** A house with every kind of record, most of them within one second, and a fault under way. */
function everyRecord(): Job
{
    $job = landedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
    test()->travelTo(now()->startOfSecond());
    $post = static fn (string $path, array $body) => test()
        ->postJson("/jobs/{$job->id}/{$path}", ['id' => newId(), ...$body])
        ->assertSuccessful();
    $at = ['stage' => 'prove', 'mode' => 'V', 'a' => 'indoor.R', 'b' => 'indoor.C'];
    $wrong = $post('readings', [...$at, 'value' => '2.61'])->json('id');
    $post('readings', [...$at, 'value' => '26.1', 'corrects' => $wrong]);
    $odd = $post('readings', [...$at, 'a' => 'indoor.Y', 'value' => '9.5'])->json('id');
    $post('marks', ['reading' => $odd, 'unexplained' => true, 'note' => 'odd']);
    $setting = test()
        ->get("/jobs/{$job->id}/set")
        ->inertiaProps('settings')[0];
    $post('settings', ['key' => $setting['key'], 'value' => $setting['value']]);
    $post('measurements', [
        'figure' => 'split',
        'call' => 'cool-1',
        'values' => ['return' => 76, 'supply' => 57, 'mode' => 1],
    ]);
    $post('waivers', ['call' => 'heat-1', 'note' => 'gas is off']);
    // In the second of the readings before it, which stay found; those behind it are tests.
    traceRow($job, 'open', [
        'complaint' => [['call' => 'cool-1', 'sees' => ['outdoor-unit' => 'no']]],
    ])->assertCreated();
    $post('readings', [...$at, 'a' => 'indoor.Y', 'value' => '0.1']);
    $post('steps', ['step' => 'fan.voltage', 'event' => 'start']);
    test()
        ->travel(StepRecord::all($job->refresh())['fan.voltage']->step->wait->seconds + 1)
        ->seconds();
    // Seen in Trace, and counted in the proof that runs: one observation, not two.
    traceRow(
        $job,
        'test',
        ['probe' => ['see' => ['blower']], 'result' => ['sees' => ['blower' => 'yes']]],
        'fan',
    )->assertCreated();
    expect(Observation::query()->where('job_id', $job->id)->count())->toBeGreaterThan(0);
    raiseFlag($job, 'isolated', '0');
    $post('temporary-things', ['kind' => 'coil', 'a' => 'contactor', 'b' => null, 'stands' => true]);
    $coil = $post('readings', [
        'stage' => 'prove',
        'mode' => 'O',
        'a' => 'contactor.hot.off',
        'b' => 'outdoor.C',
        'value' => '11.0',
    ])->json('id');
    $row = array_column(traced($job)['trace']['rows'], 'number', 'id')[$coil];
    traceRow($job, 'event', [
        'event' => ['kind' => 'compared', 'row' => $row, 'ohms' => 16],
        'record' => $coil,
    ])->assertCreated();
    $blower = traceRow(
        $job,
        'test',
        ['probe' => ['see' => ['blower']], 'result' => ['sees' => ['blower' => 'no']]],
        'heat-1',
    )->json('id');
    traceRow($job, 'withdraw', ['row' => $blower])->assertCreated();
    traceRow(
        $job,
        'test',
        ['probe' => ['see' => ['outdoor-unit']], 'result' => ['sees' => ['outdoor-unit' => 'chatters']]],
        'cool-1',
    )->assertCreated();
    traceRow($job, 'event', ['event' => ['kind' => 'repaired', 'what' => 'contactor:contactor']])->assertCreated();
    $struck = array_last(traced($job)['trace']['odd']);
    traceRow($job, 'event', [
        'event' => ['kind' => 'struck', 'row' => $struck['number']],
        'record' => $struck['id'],
    ])->assertCreated();
    signBoth($job);
    foreach (RECORD_TABLES as $table) {
        expect(DB::table($table)->where('job_id', $job->id)->count())->toBeGreaterThan(0, $table);
    }

    return $job->refresh();
}

/** A page or a file with each id said by the order in which it first comes. */
function unnamed(string $text): string
{
    $known = [];

    return (string) preg_replace_callback(
        '/\b[0-9][0-9A-HJKMNP-TV-Z]{25}\b/i',
        static function (array $id) use (&$known): string {
            return $known[strtolower($id[0])] ??= 'id-'.count($known);
        },
        $text,
    );
}

function tracePage(Job $job): string
{
    // What a file says of the power proves nothing, and photographs stay behind: the frame of the page is another's.
    $page = array_intersect_key(traced($job), array_flip(['opened', 'trace', 'strip', 'readings', 'entry']));
    expect(count($page))->toBe(5);

    return (string) preg_replace('/"fromFile": .*/', '', (string) json_encode($page, JSON_PRETTY_PRINT));
}

it('takes every kind of record out and in and out again: the same file, the same page of Trace', function (): void {
    $job = everyRecord();
    $file = WriteJob::json($job);
    $page = tracePage($job);

    // Beside the first, its records have ids of their own; all else is the same.
    $copy = Job::query()->findOrFail(importFiles(['house.json' => $file])[0]['job']['id']);
    $again = WriteJob::json($copy);
    $plain = static fn (string $json): array => json_decode(unnamed($json), true);
    expect($plain($again)['records'])
        ->toEqual($plain($file)['records'])
        ->and(unnamed(tracePage($copy)))
        ->toBe(unnamed($page));

    // Where they are free, as on another server, it is the same file to the letter, and the same page.
    foreach ([$copy, $job] as $gone) {
        foreach (array_reverse(RECORD_TABLES) as $table) {
            DB::table($table)->where('job_id', $gone->id)->delete();
        }
    }
    DB::table('jobs')
        ->where('id', $job->id)
        ->update(['deleted_at' => now()]);
    $moved = Job::query()->findOrFail(importFiles(['house.json' => $file], as: 'ask')[0]['job']['id']);
    expect(WriteJob::json($moved))->toBe($file)->and(tracePage($moved))->toBe($page);
});

it('asks what a file of a job that is here is to be: nothing, a copy, or what it has more', function (): void {
    $job = landedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
    $at = ['stage' => 'prove', 'mode' => 'V', 'a' => 'indoor.R', 'b' => 'indoor.C'];
    test()
        ->postJson("/jobs/{$job->id}/readings", ['id' => newId(), ...$at, 'value' => '26.1'])
        ->assertCreated();
    $file = WriteJob::json($job->refresh());
    $jobs = Job::query()->count();
    $asked = importFiles(['house.json' => $file], as: 'ask')[0];
    expect($asked['job'])
        ->toBeNull()
        ->and($asked['here'])
        ->toMatchArray(['id' => $job->id, 'new' => 0, 'open' => true])
        ->and(Job::query()->count())
        ->toBe($jobs);

    // Two more readings were made on the other server, one after the other.
    $more = json_decode($file, true);
    $last = array_last($more['records']['readings']);
    $first = newId();
    $more['records']['readings'][] = [...$last, 'id' => $first, 'seq' => 900, 'value' => 25.0];
    $more['records']['readings'][] = [
        ...$last,
        'id' => newId(),
        'seq' => 901,
        'value' => 25.5,
        'corrects_id' => $first,
    ];
    $more = (string) json_encode($more);
    expect(importFiles(['house.json' => $more], as: 'ask')[0]['here']['new'])->toBe(2);
    importFiles(['house.json' => $more], as: 'difference');
    importFiles(['house.json' => $more], as: 'difference');
    expect($job->readings()->pluck('value')->all())
        ->toBe([26.1, 25.0, 25.5])
        ->and($job->readings()->find($first))
        ->not->toBeNull()
        ->and(Job::query()->count())
        ->toBe($jobs);

    importFiles(['house.json' => $more]);
    expect(Job::query()->count())->toBe($jobs + 1);
    $job->refresh()
        ->forceFill(['handed_over_at' => now()])
        ->save();
    $closed = importFiles(
        ['house.json' => str_replace('"value":25', '"value":24', str_replace($first, newId(), $more))],
        as: 'difference',
    )[0];
    expect($closed['problem']['message'])->toContain('handed over');

    // Another crew has no such job, and is not told of it.
    installer();
    expect(importFiles(['house.json' => $file], as: 'ask')[0]['job'])->not->toBeNull();
});
