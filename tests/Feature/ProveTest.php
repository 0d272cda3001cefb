<?php

declare(strict_types=1);

use App\Handover\HandoverPage;
use App\House\House;
use App\Models\Job;
use App\Models\Record\Reading;
use App\Prove\Coverage\CoverageSheet;
use App\Prove\Coverage\CoverageView;
use App\Records\Progress\Progress;
use App\Records\Step\StepRecord;
use Unionbit\Core\Proving\Step\Sign;

function start(Job $job, string $step): Illuminate\Testing\TestResponse
{
    return test()->postJson("/jobs/{$job->id}/steps", ['id' => newId(), 'step' => $step, 'event' => 'start']);
}

it('leaves a call out with a reason, and takes that back', function (): void {
    $job = houseToProve();
    $waive = fn (string $call, string $note) => $this->postJson("/jobs/{$job->id}/waivers", [
        'id' => newId(),
        'call' => $call,
        'note' => $note,
    ]);
    $waive('cool-1', '38 °F outside: the compressor is not started')->assertCreated();
    expect(Progress::of($job)->calls()['cool-1']['waived'])
        ->toBe('38 °F outside: the compressor is not started')
        ->and(said(HandoverPage::props($job))['waived'])
        ->toBe([['call' => 'Cool 1', 'reason' => '38 °F outside: the compressor is not started']]);
    $waive('cool-1', '')->assertCreated();
    expect(Progress::of($job)->calls()['cool-1']['waived'])
        ->toBeNull()
        ->and($waive('aux-1', 'x')->assertUnprocessable()->json('errors.call.0'))
        ->toContain('It has fan, cool-1, heat-1 and idle');
});

it(
    'lets the simulated meter read in practice only, with the hidden fault, and marks what it gave',
    function (): void {
        $job = houseToProve();
        $ask = fn (string $a, string $b) => $this->postJson("/jobs/{$job->id}/simulated-reading", [
            'stage' => 'prove',
            'step' => 'fan.voltage',
            'mode' => 'V',
            'a' => $a,
            'b' => $b,
        ]);
        expect($ask('wall.Rc', 'wall.C')->assertUnprocessable()->json('errors.value.0'))->toContain('for practice');
        $this->postJson("/jobs/{$job->id}/practice", [
            'on' => true,
            'fault' => 'conductor-open:A9.h1',
        ])->assertUnprocessable();
        $real = $job;
        $job = practice($job, 'conductor-open:A3.h1');
        $ask = fn (string $a, string $b) => $this->postJson("/jobs/{$job->id}/simulated-reading", [
            'stage' => 'prove',
            'step' => 'fan.voltage',
            'mode' => 'V',
            'a' => $a,
            'b' => $b,
        ]);
        raiseFlag($job, 'live', '26.5');
        start($job, 'fan.voltage')->assertCreated();
        $this->travel(20)->seconds();
        expect((float) $ask('wall.Rc', 'wall.C')->json('value'))
            ->toBeGreaterThan(24.0)
            ->and((float) $ask('indoor.G', 'indoor.C')->json('value'))
            ->toBeLessThan(1.0)
            ->and($this->postJson("/jobs/{$job->id}/simulated-signs", ['step' => 'fan.voltage'])->json('signs'))
            ->toBe(['blower' => false, 'display' => true, 'drop-off' => true]);
        $this->postJson("/jobs/{$job->id}/readings", [
            'id' => newId(),
            'stage' => 'prove',
            'step' => 'fan.voltage',
            'mode' => 'V',
            'a' => 'indoor.G',
            'b' => 'indoor.C',
            'value' => '0.1',
        ])->assertCreated();
        $this->postJson("/jobs/{$job->id}/signs", [
            'id' => newId(),
            'step' => 'fan.voltage',
            'sign' => 'blower',
            'seen' => false,
        ])->assertCreated();

        expect(Reading::query()->where('job_id', $job->id)->where('step', 'fan.voltage')->sole()->simulated)
            ->toBeTrue()
            ->and(said(HandoverPage::props($job->refresh()))['job']['mark'])
            ->toContain('Practice on a copy');
        $pattern = $this->getJson("/jobs/{$job->id}/pattern")
            ->assertOk()
            ->json();
        expect(array_column($pattern['fits'], 'id'))
            ->toContain('conductor-open:A3.h1')
            ->and($pattern['calls'])
            ->toBe(1);
        expect(
            $this->postJson("/jobs/{$job->id}/practice", ['on' => false])
                ->assertOk()
                ->json('id'),
        )->toBe($real->id);
        $ask('wall.Rc', 'wall.C')->assertNotFound();
    },
);

it('changes its pulse with every record, and shows it to the crew only', function (): void {
    $job = houseToProve();
    $mark = fn (): string => $this->getJson("/jobs/{$job->id}/pulse")
        ->assertOk()
        ->json('mark');
    $before = $mark();
    expect($mark())->toBe($before);
    start($job, 'fan.voltage')->assertCreated();
    $after = $mark();
    expect($after)->not->toBe($before);
    installer();
    $this->getJson("/jobs/{$job->id}/pulse")->assertForbidden();
    $this->getJson("/jobs/{$job->id}/pattern")->assertForbidden();
});

it('proves by continuity with the power off from beginning to end', function (): void {
    $job = houseToProve('battery-1h-1c');
    expect(start($job, 'fan.continuity')->assertUnprocessable()->json('errors.power.0'))->toContain(
        'Isolate first',
    );
    raiseFlag($job, 'isolated', '0.0');
    start($job, 'fan.continuity')->assertCreated();
    $read = fn (string $b, string $value) => $this->postJson("/jobs/{$job->id}/readings", [
        'id' => newId(),
        'stage' => 'prove',
        'step' => 'fan.continuity',
        'mode' => 'O',
        'a' => $b === 'wall.W' ? 'wall.Rh' : 'wall.Rc',
        'b' => $b,
        'value' => $value,
    ])
        ->assertCreated()
        ->json('outcome');
    expect($read('wall.G', '0.4'))
        ->toBe('pass')
        ->and($read('wall.Y', 'OL'))
        ->toBe('pass')
        ->and($read('wall.W', 'OL'))
        ->toBe('pass')
        ->and($read('wall.Y', '14.8'))
        ->toBe('fail');
});

it('keeps signatures, and writes the record as PDF and CSV', function (): void {
    seedDemo();
    $job = Job::at('Tollhouse');
    installer($job);
    $sign = fn (array $fields) => $this->postJson("/jobs/{$job->id}/signatures", [
        'id' => newId(),
        'role' => 'customer',
        'name' => 'A. Teal',
        'strokes' => [[[10, 10], [900, 400]]],
        ...$fields,
    ]);
    $sign([])->assertCreated();
    expect(
        $sign(['name' => ''])
            ->assertUnprocessable()
            ->json('errors.name.0'),
    )
        ->toContain('Who is signing?')
        ->and(
            $sign(['strokes' => []])
                ->assertUnprocessable()
                ->json('errors.strokes.0'),
        )
        ->toContain('Sign in the field')
        ->and(
            $sign(['strokes' => [[[1, 1], [5000, 1]]]])
                ->assertUnprocessable()
                ->json('errors'),
        )
        ->not->toBe([])
        ->and(said(HandoverPage::props($job->refresh()))['signatures'][0]['strokes'])
        ->toBe([[[10, 10], [900, 400]]]);
    $finished = Job::at('Lock Keeper\'s Row 4');
    foreach (['a4', 'letter'] as $paper) {
        expect(
            (string) $this->get("/jobs/{$finished->id}/handover.pdf?paper={$paper}")
                ->assertOk()
                ->assertHeader('Content-Type', 'application/pdf')
                ->getContent(),
        )->toStartWith('%PDF-');
    }
    $rows = explode(
        "\n",
        trim(
            (string) $this->get("/jobs/{$finished->id}/readings.csv")
                ->assertOk()
                ->getContent(),
        ),
    );
    expect($rows[0])
        ->toStartWith('at,by,stage,step,mode,from,to,value')
        ->and(count($rows))
        ->toBe(1 + $finished->readings()->count());
});

it('proves a call only when what it pulled in has fallen out again, within its off-delay', function (): void {
    $job = landedHouse('heat-pump-o-2c-2aux', 'c-powered-3h-2c');
    $send = fn (string $path, array $body) => $this->postJson("/jobs/{$job->id}/{$path}", [
        'id' => newId(),
        ...$body,
    ]);
    $step = fn (string $key, string $event) => $send('steps', ['step' => $key, 'event' => $event]);
    $out = fn (string $key, bool $seen) => $send('signs', ['step' => $key, 'sign' => 'drop-off', 'seen' => $seen]);
    $proved = static fn (): array => array_keys(
        array_filter(Progress::of($job)->calls(), static fn (array $c): bool => $c['proved']),
    );
    $read = function (string $key) use ($job, $send): void {
        $record = StepRecord::all($job)[$key];
        $this->travel($record->secondsLeft() + 1)->seconds();
        foreach ($record->step->probes as $probe) {
            $pair = ['stage' => 'prove', 'step' => $key, 'mode' => 'V', 'a' => $probe->a, 'b' => $probe->b];
            $nominal = (float) $send('expect', $pair)->json('nominal');
            $send('readings', ['value' => number_format($nominal, 1, '.', ''), ...$pair])->assertCreated();
        }
        foreach (array_filter($record->step->signs, static fn (Sign $s): bool => $s->load !== null) as $sign) {
            $send('signs', ['step' => $key, 'sign' => $sign->key, 'seen' => true])->assertCreated();
        }
    };
    $step('cool-1.voltage', 'start')->assertCreated();
    $read('cool-1.voltage');
    expect($out('cool-1.voltage', false)->json())->toMatchArray([
        'outcome' => 'too-early',
        'reason' => 'The call still stands: end it first, then watch everything fall out.',
    ]);
    // Nor does a yes count while it stands.
    expect($out('cool-1.voltage', true)->json('outcome'))->toBe('too-early');
    // The second stage joins: the first has not stopped, and is not proved before both have.
    $step('cool-2.voltage', 'start')->assertCreated();
    $read('cool-2.voltage');
    expect($proved())->toBe([]);
    $step('cool-2.voltage', 'off')->assertCreated();
    $late = $send('readings', [
        'stage' => 'prove',
        'step' => 'cool-2.voltage',
        'mode' => 'V',
        'a' => 'indoor.Y1',
        'b' => 'indoor.C',
        'value' => '0.0',
    ]);
    expect($late->assertUnprocessable()->json('errors.step.0'))
        ->toContain('The call has ended')
        ->and(
            $send('signs', ['step' => 'cool-2.voltage', 'sign' => 'blower', 'seen' => false])
                ->assertUnprocessable()
                ->json('errors.sign.0'),
        )
        ->toContain('The call has ended')
        ->and($out('cool-2.voltage', false)->json('outcome'))
        ->toBe('too-early');
    $this->travel(61)->seconds();
    expect($out('cool-2.voltage', true)->json('outcome'))
        ->toBe('pass')
        ->and($proved())
        ->toBe(['cool-1', 'cool-2'])
        ->and(StepRecord::all($job)['cool-2.voltage']->isRunning())
        ->toBeFalse();

    $step('fan.voltage', 'start')->assertCreated();
    $read('fan.voltage');
    $step('fan.voltage', 'off')->assertCreated();
    $this->travel(10)->seconds();
    expect($out('fan.voltage', false)->json('outcome'))
        ->toBe('fail')
        ->and(Progress::of($job)->calls()['fan'])
        ->toMatchArray(['proved' => false, 'failed' => true])
        ->and($step('idle.at-rest', 'off')->assertUnprocessable()->json('errors.step.0'))
        ->toContain('no call that ends');
});

it('certifies no house that runs by itself', function (): void {
    $job = houseToProve();
    foreach (['fan', 'cool-1', 'heat-1'] as $call) {
        proveStep($job, "{$call}.voltage");
    }
    $lines = static fn (): array => array_column(Progress::of($job)->handover(), 'done');
    expect($lines()[3])->toBeFalse();

    proveStep($job, 'idle.at-rest');
    expect($lines()[3])->toBeTrue();
    // Another call after it: at rest is to be seen again.
    $this->travel(300)->seconds();
    proveStep($job, 'heat-1.voltage');
    expect($lines()[3])->toBeFalse();

    start($job, 'idle.at-rest')->assertCreated();
    $early = $this->postJson("/jobs/{$job->id}/signs", [
        'id' => newId(),
        'step' => 'idle.at-rest',
        'sign' => 'still-indoor',
        'seen' => false,
    ]);
    expect($early->json())
        ->toMatchArray(['outcome' => 'too-early'])
        ->and($early->json('reason'))
        ->toContain('A delay is still running, 60 s to go');
    $this->travel(300)->seconds();
    $hot = $this->postJson("/jobs/{$job->id}/signs", [
        'id' => newId(),
        'step' => 'idle.at-rest',
        'sign' => 'still-indoor',
        'seen' => false,
    ]);
    expect($hot->json())
        ->toMatchArray(['outcome' => 'fail'])
        ->and($hot->json('reason'))
        ->toContain('something runs that nothing calls')
        ->and($lines()[3])
        ->toBeFalse()
        ->and(implode(' ', said(HandoverPage::props($job))['open']))
        ->toContain('Nothing runs at');
    $this->postJson("/jobs/{$job->id}/waivers", ['id' => newId(), 'call' => 'idle', 'note' => 'tenant asleep']);
    expect($lines()[3])
        ->toBeTrue()
        ->and($this->get("/jobs/{$job->id}/prove")->inertiaProps('routes.meter.keys'))
        ->not->toContain('idle.at-rest');
});

it('says what the proofs are worth so far, piece by piece, and more with each', function (): void {
    $job = houseToProve();
    $ask = fn () => $this->getJson("/jobs/{$job->id}/coverage")->assertOk();
    $plan = House::of($job)->plan ?? throw new LogicException('no plan');
    $begun = CoverageSheet::of($job, $plan, Progress::of($job), 0.0);
    expect([$begun->done, $begun->coverage])->toBe([1, null]);

    $worth = static fn (): array => CoverageView::of(
        CoverageSheet::of($job, House::of($job)->plan ?? $plan, Progress::of($job))->coverage ??
            throw new LogicException('not worked out'),
    );
    $first = $worth();
    proveStep($job, 'fan.voltage');
    $fan = $worth();
    proveStep($job, 'idle.at-rest');
    $rest = $worth();
    editSurvey($job, 'answer', ['key' => 'fuseAmps', 'value' => null])->assertOk();
    $job->refresh();
    $unseen = $worth();
    editSurvey($job, 'answer', ['key' => 'fuseAmps', 'value' => 3])->assertOk();
    $job->refresh();
    $looked = $worth();

    expect([$first['share'] < $fan['share'], $fan['share'] < $rest['share'], $unseen['share'] < $looked['share']])
        ->toBe([true, true, true])
        ->and($rest['share'])
        ->toBeLessThan($rest['atEnd'])
        ->and(array_column($unseen['gaps'], 'entry'))
        ->toContain('fuse-bridged')
        ->and(array_column($fan['gaps'], 'entry'))
        ->toContain('contactor-welded')
        ->and(array_column($rest['gaps'], 'entry'))
        ->not->toContain('contactor-welded')
        ->and(array_column($looked['gaps'], 'entry'))
        ->not->toContain('fuse-bridged')
        ->and($ask()->json('coverage.share'))
        ->toEqual($looked['share'])
        ->and($ask()->json('coverage.gaps.0.cheapest'))
        ->toHaveKeys(['step', 'says', 'minutes']);
});

it('leaves a record closed before rest and drop-off were asked for as it was certified', function (): void {
    seedDemo();
    $closed = Job::at('Lock Keeper\'s Row 4');
    installer($closed);
    $file = json_decode(
        (string) $this->get("/jobs/{$closed->id}/job-file")
            ->assertOk()
            ->getContent(),
        true,
    );
    $asked = static fn (array $row): bool => ! str_starts_with($row['step'] ?? '', 'idle.at-rest') &&
        ($row['sign'] ?? '') !== 'drop-off' &&
        ($row['event'] ?? '') !== 'off';
    foreach (['readings', 'signs', 'steps'] as $rows) {
        $file['records'][$rows] = array_values(array_filter($file['records'][$rows], $asked));
    }
    $old = importFiles(['old.json' => (string) json_encode($file)]);
    $job = Job::query()->findOrFail($old[0]['job']['id']);

    expect(array_column(Progress::of($job)->proofs(), 'proved'))
        ->toHaveCount(3)
        ->each->toBeTrue()
        ->and(implode(' ', said(HandoverPage::props($job))['open']))
        ->not->toContain('Not proved yet');
});

it('asks a record for nothing that was asked for only after it was closed', function (): void {
    seedDemo();
    $closed = Job::at('Lock Keeper\'s Row 4');
    installer($closed);
    $file = json_decode((string) $this->get("/jobs/{$closed->id}/job-file")->getContent(), true);
    $atWall = static fn (array $row): bool => ($row['step'] ?? '') === 'idle.at-rest' &&
        str_starts_with($row['a'], 'wall.');
    expect(array_filter($file['records']['readings'], $atWall))->not->toBe([]);
    $file['records']['readings'] = array_values(
        array_filter($file['records']['readings'], static fn (array $row): bool => ! $atWall($row)),
    );
    $rests = static function (string $closedAt) use ($file): bool {
        $job = Job::query()->findOrFail(importFiles(['old.json' => (string) json_encode($file)])[0]['job']['id']);
        $job->forceFill(['handed_over_at' => $closedAt])->save();

        return Progress::of($job->refresh())->restsAtEnd();
    };

    expect($rests('2026-11-20T10:00:00Z'))->toBeTrue()->and($rests('2026-11-29T23:59:00Z'))->toBeFalse();
});
