<?php

declare(strict_types=1);

use App\Models\Job;
use App\Models\Record\Observation;
use App\Records\SetUp\SetupStrip;
use App\Records\Step\StepRecord;
use App\Trace\Book\TraceBook;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\Probe;
use Unionbit\Core\Asked\Thing\Thing;
use Unionbit\Core\Asked\Thing\ThingKind;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Point\At;

// What Trace takes from the other stages and gives them, and what a person writes down beside the tests.

/** @param  array<string, mixed>  $body */
function toJob(Job $job, string $path, array $body): Illuminate\Testing\TestResponse
{
    return test()->postJson("/jobs/{$job->id}/{$path}", ['id' => newId(), ...$body]);
}

/** Share of one repair, as the page has it; 0 where it is not shown. */
function shareOf(Job $job, string $repair): float
{
    foreach (traced($job)['trace']['suspects'] as $line) {
        if ($line['id'] === $repair) {
            return $line['share'];
        }
    }

    return 0.0;
}

it('understands a complaint in the trade\'s words, and says what it does not understand', function (
    string $typed,
    array $complaint,
    array $history,
    array $left,
): void {
    $job = landedHouse('heat-pump-o-1c-1aux', 'c-powered-3h-2c');
    $heard = toJob($job, 'trace-complaint', ['text' => $typed])
        ->assertOk()
        ->json();

    expect($heard['complaint'])
        ->toBe($complaint)
        ->and($heard['history'])
        ->toBe($history)
        ->and($heard['left'])
        ->toBe($left);
})->with([
    'eight words' => [
        'cool: outdoor silent, blower runs, since the new thermostat',
        [['call' => 'cool-1', 'sees' => ['outdoor-unit' => 'no', 'blower' => 'yes'], 'when' => 'now']],
        ['thermostat-changed'],
        [],
    ],
    'the answer first, and another call' => [
        'Heat: no blower; fan: blower runs sometimes',
        [
            ['call' => 'heat-1', 'sees' => ['blower' => 'no'], 'when' => 'at-times'],
            ['call' => 'fan', 'sees' => ['blower' => 'yes'], 'when' => 'at-times'],
        ],
        [],
        [],
    ],
    'as the protocol has it' => [
        'cool-1: outdoor-unit chatters, display resets',
        [['call' => 'cool-1', 'sees' => ['outdoor-unit' => 'chatters', 'display' => 'resets'], 'when' => 'now']],
        [],
        [],
    ],
    'blank, and a fuse' => [
        'cool: display blank, fuse blown after the storm',
        [['call' => 'cool-1', 'sees' => ['display' => 'off', 'fuse' => 'open'], 'when' => 'now']],
        ['storm'],
        ['after'],
    ],
    'several with one answer, and halves without their other' => [
        'cool: outdoor and blower silent, display; no heat',
        [['call' => 'cool-1', 'sees' => ['outdoor-unit' => 'no', 'blower' => 'no'], 'when' => 'now']],
        [],
        ['display', 'no'],
    ],
    'what this house does not have, and what is no word of the trade' => [
        'heat: burner runs, gremlins',
        [],
        [],
        ['burner', 'gremlins', 'runs'],
    ],
]);

it('keeps the list of wires as it was made, and the repair waits for the last of them', function (): void {
    $job = landedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
    traceRow($job, 'open', ['complaint' => []])->assertCreated();
    traceRow($job, 'event', ['event' => ['kind' => 'listed', 'what' => 'contactor:contactor']])->assertCreated();
    $wires = traced($job)['trace']['exchange']['wires'];
    expect(array_column($wires, 'end'))->toBe(['contactor.hot', 'contactor.common']);

    $repaired = ['event' => ['kind' => 'repaired', 'what' => 'contactor:contactor']];
    traceRow($job, 'event', ['event' => ['kind' => 'wire-off', 'of' => 'contactor.hot']])->assertCreated();
    traceRow($job, 'event', ['event' => ['kind' => 'wire-on', 'of' => 'contactor.hot']])->assertCreated();
    expect(traceRow($job, 'event', $repaired)->assertStatus(422)->json('errors.body.0'))->toContain(
        'contactor.common',
    );
    traceRow($job, 'event', ['event' => ['kind' => 'wire-off', 'of' => 'contactor.common']])->assertCreated();
    traceRow($job, 'event', ['event' => ['kind' => 'wire-on', 'of' => 'contactor.common']])->assertCreated();
    traceRow($job, 'event', $repaired)->assertCreated();
    expect(traced($job)['trace']['exchange'])->toBeNull();
});

it('keeps a comparison and what is struck off with the record they are of', function (): void {
    $job = landedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
    traceRow($job, 'open', ['complaint' => []])->assertCreated();
    raiseFlag($job, 'isolated', '0');
    toJob($job, 'temporary-things', ['kind' => 'coil', 'a' => 'contactor', 'b' => null, 'stands' => true]);
    $reading = toJob($job, 'readings', [
        'stage' => 'prove',
        'mode' => 'O',
        'a' => 'contactor.hot.off',
        'b' => 'outdoor.C',
        'value' => '11.0',
    ])
        ->assertCreated()
        ->json('id');
    $row = traced($job)['trace']['rows'][0];
    expect($row['test'])->toContain('hot lead, contactor')->and($row['result'])->toBe('11.0 Ω');
    $before = shareOf($job, 'contactor:contactor');

    $event = ['kind' => 'compared', 'row' => $row['number'], 'ohms' => 16];
    traceRow($job, 'event', ['event' => $event])->assertStatus(422);
    traceRow($job, 'event', ['event' => $event, 'record' => newId()])->assertStatus(422);
    traceRow($job, 'event', ['event' => $event, 'record' => $reading])->assertCreated();
    expect(shareOf($job, 'contactor:contactor'))->toBeGreaterThan(2.0 * $before);

    traceRow($job, 'event', ['event' => ['kind' => 'repaired', 'what' => 'soul']])->assertStatus(422);
    traceRow(
        $job,
        'test',
        [
            'probe' => ['see' => ['outdoor-unit']],
            'result' => ['sees' => ['outdoor-unit' => 'chatters']],
        ],
        'cool-1',
    )->assertCreated();
    traceRow($job, 'event', ['event' => ['kind' => 'repaired', 'what' => 'contactor:contactor']])->assertCreated();
    $odd = traced($job)['trace']['odd'];
    expect(array_column($odd, 'struck'))->toContain(false);
    $one = $odd[count($odd) - 1];
    $struck = ['event' => ['kind' => 'struck', 'row' => $one['number']], 'record' => $one['id']];
    traceRow($job, 'event', $struck)->assertCreated();
    expect(array_column(traced($job)['trace']['odd'], 'struck', 'id')[$one['id']])->toBeTrue();
});

it(
    'says of an event whose record is no row any more that it cannot be used, and of no other row',
    function (): void {
        $job = landedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
        raiseFlag($job, 'live', '26.0');
        toJob($job, 'steps', ['step' => 'fan.voltage', 'event' => 'start'])->assertCreated();
        $this->travel(5)->minutes();
        toJob($job, 'signs', ['step' => 'fan.voltage', 'sign' => 'blower', 'seen' => false])->assertCreated();
        traceRow($job, 'open', ['complaint' => []])->assertCreated();
        $row = traced($job)['trace']['rows'][0];
        $struck = ['event' => ['kind' => 'struck', 'row' => $row['number']], 'record' => $row['id']];
        traceRow($job, 'event', $struck)->assertCreated();
        // The proof is run anew: what was seen in the run before counts no more.
        toJob($job, 'steps', ['step' => 'fan.voltage', 'event' => 'end'])->assertCreated();
        toJob($job, 'steps', ['step' => 'fan.voltage', 'event' => 'start'])->assertCreated();
        expect(array_column(traced($job)['trace']['rows'], 'kind'))->toBe(['unusable']);
    },
);

it('follows a routine on every device, and leaves it', function (): void {
    $job = landedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
    traceRow($job, 'open', [
        'complaint' => 'cool-1: outdoor-unit no, blower no; heat-1: burner no',
    ])->assertCreated();
    $routines = traced($job)['trace']['routines'];
    expect(array_column($routines['all'], 'value'))->toContain('short-hunt', 'hot-at-places');
    $free = traced($job)['trace']['next'][0]['key'];

    traceRow($job, 'event', ['event' => ['kind' => 'routine', 'key' => 'short-hunt']])->assertCreated();
    $guided = traced($job)['trace'];
    $step = array_column($guided['routines']['all'], 'step', 'value')['short-hunt'];
    expect($guided['routines']['now'])
        ->toBe('short-hunt')
        ->and($guided['next'][0]['isolated'])
        ->toBeTrue()
        ->and($step)
        ->toContain($guided['next'][0]['words']);
    traceRow($job, 'event', ['event' => ['kind' => 'routine', 'key' => '']])->assertCreated();
    expect(traced($job)['trace']['next'][0]['key'])->toBe($free);
});

it(
    'carries what fell out or not, what ran at rest, a round of looks, and a reading outside the steps',
    function (): void {
        $job = landedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
        raiseFlag($job, 'live', '26.0');
        toJob($job, 'steps', ['step' => 'fan.voltage', 'event' => 'start'])->assertCreated();
        $this->travel(10)->minutes();
        toJob($job, 'signs', ['step' => 'fan.voltage', 'sign' => 'blower', 'seen' => true])->assertCreated();
        toJob($job, 'steps', ['step' => 'fan.voltage', 'event' => 'off'])->assertCreated();
        $this->travel(10)->minutes();
        toJob($job, 'signs', ['step' => 'fan.voltage', 'sign' => 'drop-off', 'seen' => false])->assertCreated();
        toJob($job, 'steps', ['step' => 'idle.at-rest', 'event' => 'start'])->assertCreated();
        $this->travel(10)->minutes();
        toJob($job, 'signs', [
            'step' => 'idle.at-rest',
            'sign' => 'still-indoor',
            'seen' => false,
        ])->assertCreated();
        toJob($job, 'steps', ['step' => 'idle.at-rest', 'event' => 'end'])->assertCreated();
        toJob($job, 'steps', ['step' => 'idle.looks', 'event' => 'start'])->assertCreated();
        toJob($job, 'signs', ['step' => 'idle.looks', 'sign' => 'fuse', 'seen' => true])->assertCreated();
        $pair = ['stage' => 'prove', 'mode' => 'V', 'a' => 'indoor.G', 'b' => 'indoor.C', 'value' => '26.1'];
        toJob($job, 'readings', $pair)->assertCreated();
        expect(traced($job)['carried'])->toBe(5);

        traceRow($job, 'open', ['complaint' => []])->assertCreated();
        $rows = array_column(traced($job)['trace']['rows'], 'test');
        expect(implode(' ', $rows))
            ->toContain('Does any of these run: ')
            ->toContain('Fuse is whole')
            ->toContain('Read volts, G');
        // The blower runs with nothing called, and G stands hot at the board: the call never goes away.
        expect(array_slice(array_column(traced($job)['trace']['suspects'], 'id'), 0, 5))
            ->toContain('insulation:A1~A3', 'thermostat')
            ->and(shareOf($job, 'relay:blower-relay'))
            ->toBeLessThan(0.05);
    },
);

it('carries a blown fuse that was found by volts across it', function (): void {
    $job = landedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
    raiseFlag($job, 'live', '26.0');
    $pair = ['stage' => 'prove', 'mode' => 'V', 'a' => 'T1.winding', 'b' => 'T1.fused', 'value' => '26.4'];
    toJob($job, 'readings', $pair)->assertCreated();
    traceRow($job, 'open', ['complaint' => []])->assertCreated();
    expect(traced($job)['trace']['rows'][0]['kind'])
        ->toBe('found')
        ->and(shareOf($job, 'fuse:T1'))
        ->toBeGreaterThan(0.3);

    // Once it was repaired, what was read before is of another house: the next fault begins without it.
    traceRow($job, 'event', ['event' => ['kind' => 'repaired', 'what' => 'fuse:T1']])->assertCreated();
    traceRow($job, 'close')->assertCreated();
    expect(traced($job)['carried'])->toBe(0);
});

it(
    'counts in Prove what Trace proves: a call run again, its signs and the readings that its proof asks for',
    function (): void {
        $job = landedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
        raiseFlag($job, 'live', '26.0');
        traceRow($job, 'open', ['complaint' => 'fan: blower no'])->assertCreated();
        $see = ['probe' => ['see' => ['blower']], 'result' => ['sees' => ['blower' => 'yes']]];
        traceRow($job, 'test', $see, 'fan')->assertCreated();
        // No proof runs: nothing is written into one.
        expect(Observation::query()->count())->toBe(0);

        traceRow($job, 'event', ['event' => ['kind' => 'repaired', 'what' => 'screw:A3.near']])->assertCreated();
        $proof = traced($job)['trace']['proof'];
        expect($proof['step'])->toBe('fan.voltage')->and($proof['running'])->toBeFalse();
        toJob($job, 'steps', ['step' => 'fan.voltage', 'event' => 'start'])->assertCreated();
        $this->travel(5)->minutes();
        $rows = count(traced($job)['trace']['rows']);
        traceRow($job, 'test', $see, 'fan')->assertCreated();
        $loose = ['stage' => 'prove', 'mode' => 'V', 'call' => 'fan', 'value' => '25.9'];
        toJob($job, 'readings', [...$loose, 'a' => 'blower-relay.hot', 'b' => 'indoor.C'])->assertStatus(422);
        foreach (StepRecord::all($job->refresh())['fan.voltage']->step->probes as $probe) {
            toJob($job, 'readings', [...$loose, 'a' => $probe->a, 'b' => $probe->b])->assertCreated();
        }
        $record = StepRecord::all($job->refresh())['fan.voltage'];
        expect($record->signs['blower']->outcome->value)
            ->toBe('pass')
            ->and(count($record->readings))
            ->toBe(count($record->step->probes))
            ->and(count(traced($job)['trace']['rows']))
            ->toBe($rows + 1 + count($record->step->probes));
    },
);

it(
    'keeps a breaker that went off on the strip, past every set-up of a test, until it is on again',
    function (): void {
        $job = landedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
        traceRow($job, 'open', ['complaint' => []])->assertCreated();
        $off = ['kind' => 'switch', 'a' => 'outdoor-breaker', 'b' => null, 'stands' => true];
        toJob($job, 'temporary-things', $off)->assertCreated();
        toJob($job, 'temporary-things', [...$off, 'a' => 'lighthouse'])->assertStatus(422);
        raiseFlag($job, 'isolated', '0');
        toJob($job, 'trace-setup', ['setup' => ['lifted' => ['A4.far']]])->assertOk();
        toJob($job, 'trace-setup', ['setup' => []])->assertOk();
        $strip = SetupStrip::of($job->refresh());
        expect(array_map(static fn (Thing $t): ?ThingKind => $t->kind(), array_values($strip->all)))->toBe([
            ThingKind::Switch,
        ]);
        expect(said(SetupStrip::restore($job)))->toBe(['switched off: breaker of the outdoor unit']);
        toJob($job, 'temporary-things', [...$off, 'stands' => false])->assertCreated();
        expect(SetupStrip::restore($job))->toBe([]);
    },
);

it(
    'runs the clock of the test breaker only while the power is on, with the transformer\'s own sum',
    function (): void {
        $job = landedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
        traceRow($job, 'open', [
            'complaint' => 'cool-1: outdoor-unit no, blower no',
            'history' => ['fuse-blew-before'],
        ]);
        raiseFlag($job, 'isolated', '0');
        expect(traced($job)['trace']['breaker'])->toBeNull();
        toJob($job, 'temporary-things', [
            'kind' => 'breaker',
            'a' => 'T1',
            'b' => null,
            'stands' => true,
        ])->assertCreated();
        expect(traced($job)['trace']['breaker']['since'])->toBeNull();
        raiseFlag($job, 'live', '26.0');
        $watch = TraceBook::of($job->refresh())
            ?->read()
            ->trace->watch(Hands::calling()->broken('T1'));
        $shown = traced($job)['trace']['breaker'];
        expect($shown['since'])
            ->not->toBeNull()
            ->and($shown['says'])
            ->toContain('40 VA')
            ->and($watch?->holds)
            ->toBe(1.35 * 3.0 * 24.0)
            ->and($watch->va > 48.0)
            ->toBe($watch->seconds !== null);
    },
);

it('takes the clamp at the fuse round the supply\'s own lead, where the meter can be put', function (): void {
    $job = landedHouse('furnace-gas-1h-1c', 'c-powered-1h-1c');
    raiseFlag($job, 'live', '26.0');
    traceRow($job, 'open', ['complaint' => 'cool-1: outdoor-unit no, blower yes'])->assertCreated();
    $book = TraceBook::of($job->refresh())?->read() ?? throw new LogicException('no thermostat');
    $setup = $book->now(CallName::Cool1, false);
    $proposed = $book->trace->house->contacts->key($setup, Probe::clamp(At::read('T1.fuse')));
    $lead = ['stage' => 'prove', 'mode' => 'A', 'a' => 'T1.winding', 'b' => 'T1.winding', 'call' => 'cool-1'];
    toJob($job, 'readings', [...$lead, 'value' => '3.4'])->assertCreated();

    $row = TraceBook::of($job->refresh())?->read()->trace->rows()[0];
    expect(
        $row?->setup === null || $row->probe === null
            ? ''
            : $book->trace->house->contacts->key($row->setup, $row->probe),
    )
        ->toBe($proposed)
        ->and(shareOf($job, 'contactor:contactor'))
        ->toBeGreaterThan(shareOf($job, 'disconnect'));
});
