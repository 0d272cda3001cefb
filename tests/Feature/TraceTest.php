<?php

declare(strict_types=1);

use App\Jobs\File\ImportJob;
use App\Models\Crew\User;
use App\Models\Job;
use App\Models\Kind\TraceMoment;
use App\Records\SetUp\SetupStrip;
use App\Trace\Book\TraceBook;
use Illuminate\Support\Facades\Artisan;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Tracing\Played\PlayedHouse;

// A fault traced on the screen's own doors: what Prove knows goes along, each row is judged, nothing is swallowed.

function opened(Job $job): void
{
    traceRow($job, 'open', [
        'complaint' => [
            ['call' => 'cool-1', 'sees' => ['outdoor-unit' => 'no', 'blower' => 'yes'], 'when' => 'now'],
        ],
        'history' => ['thermostat-changed'],
        'at' => 'wall',
    ])->assertCreated();
}

it('reaches for the test first that whoever opened the fault does', function (): void {
    $job = landedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
    $user = User::query()->where('crew_id', $job->crew_id)->oldest('id')->firstOrFail();
    $user->forceFill(['settings' => ['school' => 'unit']])->save();
    $this->actingAs($user->refresh());
    traceRow($job, 'open', ['complaint' => []])->assertCreated();

    expect($job->openFault()?->body['school'])->toBe('unit');
});

it('opens from a complaint, once, and shows suspects, what is next and why', function (): void {
    $job = landedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
    expect(traced($job)['trace'])->toBeNull();
    traceRow($job, 'test', ['probe' => ['see' => ['blower']], 'result' => ['sees' => ['blower' => 'yes']]])
        ->assertStatus(422)
        ->assertJsonValidationErrors('kind');
    opened($job);
    traceRow($job, 'open', ['complaint' => []])->assertStatus(422);

    $page = traced($job);
    expect($page['fault'])
        ->not->toBeNull()
        ->and($page['opened']['told'][0])
        ->toBe(['call' => 'Cool 1', 'sees' => ['not: outdoor unit', 'runs: blower'], 'when' => ''])
        ->and($page['opened']['history'])
        ->toBe(['The thermostat was just changed'])
        ->and(count($page['trace']['next']))
        ->toBe(3)
        ->and($page['trace']['suspects'][0]['share'])
        ->toBeGreaterThan($page['trace']['suspects'][1]['share'])
        ->and($page['trace']['next'][0]['outcomes'][0]['first'])
        ->not->toBe('');
    $this->get("/jobs/{$job->id}/trace")->assertOk();

    traceRow($job, 'close')->assertCreated();
    expect(traced($job)['trace'])->toBeNull();
});

it('takes what the proofs have read and seen along, and a reading of the dock as a test', function (): void {
    $job = landedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
    $post = fn (string $path, array $body) => $this->postJson("/jobs/{$job->id}/{$path}", [
        'id' => newId(),
        ...$body,
    ]);
    raiseFlag($job, 'live', '26.0');
    $post('steps', ['step' => 'cool-1.voltage', 'event' => 'start'])->assertCreated();
    $this->travel(20)->minutes();
    $post('signs', ['step' => 'cool-1.voltage', 'sign' => 'outdoor-unit', 'seen' => false])->assertCreated();
    $reading = ['mode' => 'V', 'a' => 'indoor.Y', 'b' => 'indoor.C', 'stage' => 'prove'];
    raiseFlag($job, 'live', '26.0');
    $post('readings', [...$reading, 'step' => 'cool-1.voltage', 'value' => '0.1'])->assertCreated();

    expect(traced($job)['carried'])->toBe(2);
    opened($job);
    $post('readings', [
        ...$reading,
        'a' => 'wall.Y1',
        'b' => 'wall.C',
        'call' => 'cool-1',
        'value' => '26.2',
    ])->assertCreated();
    $rows = traced($job)['trace']['rows'];
    expect(array_column($rows, 'kind'))
        ->toBe(['test', 'found', 'found'])
        ->and($rows[0]['result'])
        ->toBe('26.2 V')
        ->and($rows[0]['setup'])
        ->toBe(['Call Cool 1.']);
    // There at the wall, not at the board: the conductor between them, or where it is landed.
    $ids = array_column(traced($job)['trace']['suspects'], 'id');
    expect(array_slice($ids, 0, 5))->toContain('screw:A4.near', 'screw:A4.far')->not->toContain('disconnect');
});

it('refuses by place and value, and keeps nothing of it', function (array $body, string $part): void {
    $job = landedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
    opened($job);
    $answer = traceRow($job, 'test', $body)->assertStatus(422);
    expect($answer->json('errors.body.0'))
        ->toContain($part)
        ->and($job->traceRows()->where('kind', TraceMoment::Test)->count())
        ->toBe(0);
})->with([
    [['probe' => ['see' => ['weather']], 'result' => []], '/probe/see/0: "weather"'],
    [['probe' => ['see' => ['blower']], 'result' => ['sees' => ['blower' => 'perhaps']]], '"perhaps"'],
    [['probe' => ['mode' => 'V', 'from' => 'wall.Q', 'to' => 'wall.C'], 'result' => ['volts' => 1]], '"wall.Q"'],
    [['probe' => ['inspect' => 'soul'], 'result' => []], '"soul"'],
]);

it('takes a row back, keeps it, and judges the rest again; a refusal is no evidence', function (): void {
    $job = landedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
    opened($job);
    $before = traced($job)['trace']['suspects'];
    $id = traceRow($job, 'test', [
        'probe' => ['inspect' => 'disconnect'],
        'result' => ['found' => 'outdoor-power-off'],
    ])
        ->assertCreated()
        ->json('id');
    expect(traced($job)['trace']['suspects'][0]['id'])->toBe('disconnect');
    traceRow($job, 'withdraw', ['row' => newId()])->assertStatus(422);
    traceRow($job, 'withdraw', ['row' => $id])->assertCreated();
    $after = traced($job)['trace'];
    expect($after['rows'][0]['withdrawn'])
        ->toBeTrue()
        ->and($after['suspects'][0]['share'])
        ->toEqualWithDelta($before[0]['share'], 0.001);
    $next = $after['next'][0];
    $probe = match (true) {
        $next['read'] !== null => [
            'mode' => $next['read']['mode'],
            'from' => $next['read']['a'],
            'to' => $next['read']['b'],
        ],
        $next['look'] !== null => ['inspect' => $next['look']['target']],
        default => ['see' => array_column($next['see'], 'key')],
    };
    if (($next['read']['mode'] ?? '') === 'O') {
        raiseFlag($job, 'isolated', '0.0');
    }
    traceRow($job, 'test', ['probe' => $probe, 'result' => ['cannot' => 'no access']])->assertCreated();
    $without = traced($job)['trace'];
    expect($without['suspects'][0]['share'])
        ->toEqualWithDelta($before[0]['share'], 0.001)
        ->and(array_column($without['next'], 'key'))
        ->not->toContain($next['key'])
        ->and($without['rows'][0]['result'])
        ->toBe('cannot reach');
});

it('puts the set-up of a test on in one tap, with the power off, and takes back the rest', function (): void {
    $job = landedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
    opened($job);
    $set = fn (array $setup) => $this->postJson("/jobs/{$job->id}/trace-setup", [
        'id' => newId(),
        'setup' => $setup,
    ]);
    $bare = ['face' => 'bare', 'jumpers' => [['wall.Rc', 'wall.Y1']]];
    $set($bare)->assertStatus(422)->assertJsonValidationErrors('power');
    expect(SetupStrip::of($job->refresh())->all)->toBe([]);
    raiseFlag($job, 'isolated', '0.0');
    $set($bare)->assertOk();
    $kinds = array_count_values(array_column(said(SetupStrip::view($job->refresh()))['standing'], 'kind'));
    expect($kinds['jumper'])->toBe(1)->and($kinds['lift'])->toBe(5)->and($kinds['face'])->toBe(1);
    $set([])->assertOk();
    expect(SetupStrip::of($job->refresh())->all)->toBe([]);
});

it('says what happened beside the tests: a fuse, a spot that answered', function (): void {
    $job = landedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
    traceRow($job, 'open', ['complaint' => []])->assertCreated();
    traceRow($job, 'event', [
        'event' => ['kind' => 'touched', 'of' => 'A4.near', 'answered' => true],
    ])->assertCreated();
    $trace = traced($job)['trace'];
    expect($trace['rows'][0]['test'])
        ->toBe('Wiggled 4 yellow at the wall plate: it came back')
        ->and(array_slice(array_column($trace['suspects'], 'id'), 0, 2))
        ->toEqualCanonicalizing(['screw:A4.near', 'conductor:A4'])
        ->and($trace['fuses'])
        ->toBe([['id' => 'T1', 'now' => 'unknown', 'spent' => 0]]);
    traceRow($job, 'event', ['event' => ['kind' => 'fuse-opened', 'of' => 'T2']])->assertStatus(422);
    traceRow($job, 'event', ['event' => ['kind' => 'fuse-opened', 'of' => 'T1']])->assertCreated();
    expect(traced($job)['trace']['fuses'][0])->toBe(['id' => 'T1', 'now' => 'open', 'spent' => 1]);
    traceRow($job, 'event', ['event' => ['kind' => 'fuse-replaced', 'of' => 'T1']])->assertCreated();
    expect(traced($job)['trace']['fuses'][0]['now'])->toBe('whole');
});

it('finds a fault through its own doors, and goes out and in with the job file', function (): void {
    $job = landedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
    $trace = TraceBook::of($job)?->trace ?? throw new LogicException('no thermostat');
    $fault = $trace->catalogue->find($trace->circuit, 'limit-open:limit');
    $house = new PlayedHouse($trace->house, $trace->sight, array_filter([$fault]));
    traceRow($job, 'open', [
        'complaint' => [['call' => 'heat-1', 'sees' => $house->complained(CallName::Heat1)->sees]],
    ])->assertCreated();
    traceRow($job, 'test', [
        'probe' => ['inspect' => 'limit:limit'],
        'result' => ['found' => 'limit-open'],
    ])->assertCreated();
    $done = traced($job)['trace']['done'];
    expect($done['group'])
        ->toBe('limit:limit')
        ->and($done['safety'])
        ->toHaveCount(2)
        ->and($done['parts'])
        ->toBe(['limit'])
        ->and($done['reopen'])
        ->not->toBe([]);
    traceRow($job, 'event', ['event' => ['kind' => 'waived']])->assertCreated();
    traceRow($job, 'event', ['event' => ['kind' => 'repaired', 'what' => 'limit:limit']])->assertCreated();
    $open = array_column(traced($job)['trace']['open'], 'value');
    expect($open)->toContain('heat-1');
    foreach ($open as $call) {
        $sees = $trace->wanted(CallName::from($call));
        traceRow($job, 'test', ['probe' => ['see' => array_keys($sees)], 'result' => ['sees' => $sees]], $call);
    }
    // What was repaired works; the other calls are run as well before it is said.
    expect(traced($job)['trace']['second'])->toBeTrue();
    $others = array_diff(array_map(static fn (CallName $c): string => $c->value, $trace->calls()), $open);
    foreach ($others as $call) {
        $sees = $trace->wanted(CallName::from($call));
        traceRow($job, 'test', ['probe' => ['see' => array_keys($sees)], 'result' => ['sees' => $sees]], $call);
    }
    expect(traced($job)['trace'])->toMatchArray(['finished' => true, 'second' => false]);

    $file = json_decode(
        (string) $this->get("/jobs/{$job->id}/job-file")
            ->assertOk()
            ->getContent(),
        true,
    );
    $rows = $job->traceRows()->count();
    expect($file['records']['trace'])->toHaveCount($rows);
    $copy = app(ImportJob::class)(installer(), newId(), $file);
    expect($copy->traceRows()->count())
        ->toBe($rows)
        ->and(traced($copy)['trace']['finished'])
        ->toBeTrue();
});

it('is for the crew alone, and closed with the job', function (): void {
    $job = landedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
    $job->forceFill(['handed_over_at' => now()])->save();
    traceRow($job, 'open', ['complaint' => []])->assertForbidden();
    installer();
    $this->get("/jobs/{$job->id}/trace")->assertForbidden();
});

it('speaks the protocol as a program, one line out for one in', function (): void {
    $file = storage_path('framework/testing/trace-job.json');
    is_dir(dirname($file)) || mkdir(dirname($file), recursive: true);
    Artisan::call('unionbit:example furnace-gas-1h-1c');
    file_put_contents($file, Artisan::output());
    $lines = [
        ['do' => 'words'],
        ['do' => 'start', 'complaint' => 'cool-1: outdoor-unit no, blower yes'],
        [
            'do' => 'test',
            'test' => ['probe' => ['mode' => 'V', 'from' => 'wall.Q', 'to' => 'wall.C']],
            'result' => [],
        ],
    ];
    $process = proc_open(
        [PHP_BINARY, base_path('artisan'), 'unionbit:trace', $file, '--serve'],
        [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']],
        $pipes,
        base_path(),
    );
    foreach ($lines as $line) {
        fwrite($pipes[0], json_encode($line)."\n");
        $answers[] = json_decode((string) fgets($pipes[1]), true);
    }
    fclose($pipes[0]);
    expect(stream_get_contents($pipes[1]))->toBe('');
    expect($answers[0]['schools'])
        ->toBe(['jumper', 'meter', 'unit', 'continuity'])
        ->and($answers[1]['next'][0]['words'])
        ->toBeString()
        ->and($answers[1]['suspects'][0]['title'])
        ->toBeString()
        ->and($answers[2]['error']['pointer'])
        ->toBe('/test/probe/from')
        ->and(proc_close($process))
        ->toBe(0);
    expect(Artisan::call('unionbit:trace /nowhere.json --serve'))->toBe(2);
    $played = ['job' => $file, '--complaint' => 'cool-1: outdoor-unit no', '--fault' => ['conductor-open:A4.h1']];
    expect(Artisan::call('unionbit:trace', $played))
        ->toBe(0)
        ->and(Artisan::output())
        ->toContain('A simulated house answers.')
        ->toContain('Nothing wrong');
});
