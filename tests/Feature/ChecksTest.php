<?php

declare(strict_types=1);

use App\Handover\HandoverPage;
use App\Models\Job;
use App\Records\Step\StepRecord;
use Illuminate\Testing\TestResponse;

function record(Job $job, string $what, array $body): TestResponse
{
    return test()->postJson("/jobs/{$job->id}/{$what}", ['id' => newId(), ...$body]);
}

function provedReading(Job $job, string $value, array $more = []): TestResponse
{
    return record($job, 'readings', [
        'stage' => 'prove',
        'step' => 'fan.voltage',
        'mode' => 'V',
        'a' => 'indoor.G',
        'b' => 'indoor.C',
        'value' => $value,
        ...$more,
    ]);
}

it(
    'keeps a split and an airflow with their verdicts, and refuses what they are not at its field',
    function (): void {
        $job = houseToProve();
        $split = fn (array $values, ?string $call = 'cool-1') => record($job, 'measurements', [
            'figure' => 'split',
            'call' => $call,
            'values' => $values,
        ]);
        expect(
            $split(['return' => 76, 'supply' => 57, 'mode' => 1])
                ->assertCreated()
                ->json('tone'),
        )
            ->toBe('verd')
            ->and(
                $split(['return' => 57, 'supply' => 76, 'mode' => 1])
                    ->assertCreated()
                    ->json('verdict'),
            )
            ->toContain('reversing valve is in the wrong position')
            ->and(
                $split(['return' => 76, 'supply' => 570, 'mode' => 1])
                    ->assertUnprocessable()
                    ->json('errors.supply.0'),
            )
            ->toContain('is 570 °F; allowed: supply air from 20 °F to 180 °F')
            ->and(
                $split(['return' => 76, 'mode' => 1])
                    ->assertUnprocessable()
                    ->json('errors.values.0'),
            )
            ->toContain('Fill in every field')
            ->and(
                $split(['return' => 76, 'supply' => 57, 'mode' => 1], 'aux-1')
                    ->assertUnprocessable()
                    ->json('errors.call.0'),
            )
            ->toContain('no call aux-1')
            ->and(
                record($job, 'measurements', ['figure' => 'fuse', 'values' => []])
                    ->assertUnprocessable()
                    ->json('errors.figure.0'),
            )
            ->toContain('Use split or airflow')
            ->and(
                record($job, 'measurements', ['figure' => 'airflow', 'values' => ['tons' => 3, 'cfm' => 800]])
                    ->assertCreated()
                    ->json('tone'),
            )
            ->toBe('fault');
        $page = said(HandoverPage::props($job->refresh()));
        // The last split of the mode counts, and a bad airflow stays open.
        expect($page['measurements'])
            ->toHaveCount(3)
            ->and(implode(' ', $page['open']))
            ->toContain('Temperature split: Backwards')
            ->toContain('Airflow: Too little');
    },
);

it('flags a reading as unexplained, and takes the flag off only with the explanation', function (): void {
    $job = houseToProve();
    record($job, 'steps', ['step' => 'fan.voltage', 'event' => 'start'])->assertCreated();
    $this->travel(10)->seconds();
    $id = provedReading($job, '13.2')->assertCreated()->json('id');
    record($job, 'marks', ['reading' => $id, 'unexplained' => true, 'note' => ''])->assertCreated();
    expect(said(HandoverPage::props($job))['unexplained'][0])
        ->toMatchArray(['id' => $id, 'unexplained' => true])
        ->and(
            record($job, 'marks', ['reading' => $id, 'unexplained' => false, 'note' => ' '])
                ->assertUnprocessable()
                ->json('errors.note.0'),
        )
        ->toBe('Say what explains it.')
        ->and(
            record($job, 'marks', ['reading' => newId(), 'unexplained' => true])
                ->assertUnprocessable()
                ->json('errors.reading.0'),
        )
        ->toContain('not in this job');
    record($job, 'marks', [
        'reading' => $id,
        'unexplained' => false,
        'note' => 'probe on the tag, not on the screw',
    ])->assertCreated();
    expect(said(HandoverPage::props($job))['unexplained'][0])
        ->toMatchArray(['unexplained' => false, 'note' => 'probe on the tag, not on the screw'])
        ->and($this->get("/jobs/{$job->id}/prove")->inertiaProps('readings.0.unexplained'))
        ->toBeFalse();
});

it('judges a correction as the reading was taken, power and wait of then', function (): void {
    $job = houseToProve();
    record($job, 'steps', ['step' => 'cool-1.voltage', 'event' => 'start'])->assertCreated();
    $place = ['step' => 'cool-1.voltage', 'a' => 'indoor.Y'];
    $early = provedReading($job, '2.5', $place)->assertCreated();
    expect($early->json('outcome'))->toBe('too-early');
    $this->travel(301)->seconds();
    $late = provedReading($job, '2.5', $place)->assertCreated();
    record($job, 'steps', ['step' => 'cool-1.voltage', 'event' => 'end'])->assertCreated();
    raiseFlag($job, 'isolated', '0.0');

    expect($late->json('outcome'))
        ->toBe('fail')
        ->and(provedReading($job, '25.4', $place)->assertUnprocessable()->json('errors.step.0'))
        ->toContain('Start the step first')
        ->and(
            provedReading($job, '0.4', [...$place, 'corrects' => $early->json('id')])
                ->assertCreated()
                ->json('outcome'),
        )
        ->toBe('too-early')
        ->and(
            provedReading($job, '25.4', [...$place, 'corrects' => $late->json('id')])
                ->assertCreated()
                ->json(),
        )
        ->toMatchArray(['outcome' => 'pass', 'power' => 'live', 'corrects' => $late->json('id')])
        ->and(
            provedReading($job, '25.4', ['corrects' => $late->json('id')])
                ->assertUnprocessable()
                ->json('errors.corrects.0'),
        )
        ->toContain('same points');
    raiseFlag($job, 'live', '26.4');
    $this->travel(5)->seconds();
    record($job, 'steps', ['step' => 'cool-1.voltage', 'event' => 'start'])->assertCreated();
    expect(
        provedReading($job, '25.4', [...$place, 'corrects' => $late->json('id')])
            ->assertUnprocessable()
            ->json('errors.corrects.0'),
    )->toContain('earlier run');
});

it('adds a stage to the running call, and lets the compressor rest after it', function (): void {
    $job = landedHouse('heat-pump-o-2c-1aux', 'c-powered-3h-2c');
    $start = fn (string $step) => record($job, 'steps', ['step' => $step, 'event' => 'start']);
    $left = fn (string $step): int => StepRecord::all($job->refresh())[$step]->secondsLeft();
    $this->travel(500)->seconds();
    $start('cool-1.voltage')->assertCreated();
    expect($left('cool-1.voltage'))->toBe(0);
    $this->travel(30)->seconds();
    $start('heat-1.voltage')->assertUnprocessable();
    $start('cool-2.voltage')->assertCreated();
    expect(StepRecord::all($job)['cool-1.voltage']->isRunning())
        ->toBeFalse()
        ->and($left('cool-2.voltage'))
        ->toBe(5);
    $this->travel(60)->seconds();
    record($job, 'steps', ['step' => 'cool-2.voltage', 'event' => 'end'])->assertCreated();
    $start('heat-1.voltage')->assertCreated();
    // Minimum off and the outdoor board's delay count from the end of the cooling call, not from the power-on long ago.
    expect($left('heat-1.voltage'))->toBe(480);
});

it('says what a step and a pair of points would tell, to the crew only', function (): void {
    $job = houseToProve();
    $groups = $this->getJson("/jobs/{$job->id}/cannot-tell?step=cool-1.voltage")
        ->assertOk()
        ->json('groups');
    expect(array_keys($groups[0]['places']))
        ->toContain('cable')
        ->and($groups[0]['told']['label'])
        ->toBe('At the board')
        ->and(
            $this->getJson("/jobs/{$job->id}/cannot-tell?step=aux-1.voltage")
                ->assertUnprocessable()
                ->json('errors.step.0'),
        )
        ->toContain('no proving step aux-1.voltage');
    $ask = ['stage' => 'prove', 'step' => 'cool-1.voltage', 'mode' => 'V', 'a' => 'indoor.Y', 'b' => 'indoor.C'];
    $all = $this->postJson("/jobs/{$job->id}/tells", $ask)
        ->assertOk()
        ->json();
    // Once a sign has failed, only what still fits is in question.
    record($job, 'steps', ['step' => 'cool-1.voltage', 'event' => 'start'])->assertCreated();
    $this->travel(301)->seconds();
    record($job, 'signs', ['step' => 'cool-1.voltage', 'sign' => 'outdoor-unit', 'seen' => false])->assertCreated();
    record($job, 'signs', ['step' => 'cool-1.voltage', 'sign' => 'blower', 'seen' => true])->assertCreated();
    $some = $this->postJson("/jobs/{$job->id}/tells", $ask)
        ->assertOk()
        ->json();
    expect($all['suspects'])
        ->toBeNull()
        ->and($some['suspects'])
        ->toBeGreaterThan(0)
        ->toBeLessThan(60)
        ->and(count($some['groups']))
        ->toBeGreaterThan(1)
        ->and(
            $this->postJson("/jobs/{$job->id}/tells", [...$ask, 'mode' => 'A'])
                ->assertUnprocessable()
                ->json('errors.mode.0'),
        )
        ->toContain('Volts or ohms')
        ->and(
            $this->postJson("/jobs/{$job->id}/tells", [...$ask, 'a' => 'attic.Y'])
                ->assertUnprocessable()
                ->json('errors'),
        )
        ->toHaveKey('a');
    installer();
    $this->getJson("/jobs/{$job->id}/cannot-tell?step=cool-1.voltage")->assertForbidden();
    $this->postJson("/jobs/{$job->id}/tells", $ask)->assertForbidden();
});

it('judges the supply loaded against unloaded from two readings of the same job', function (): void {
    $job = houseToProve();
    $volts = fn (string $call, string $value) => provedReading($job, $value, [
        'step' => null,
        'call' => $call,
        'a' => 'indoor.R',
    ])->assertCreated();
    $row = fn (): array => collect($this->get("/jobs/{$job->id}/prove")->inertiaProps('loads'))
        ->keyBy('call')
        ->get('cool-1');
    $volts('cool-1', '25.8');
    expect($row()['verdict'])->toBeNull();
    $volts('idle', '26.3');
    expect($row()['verdict']['outcome'])->toBe('pass');
    // Both in the band of the line's tolerance, and still too far apart.
    $this->travel(2)->seconds();
    $volts('idle', '28.9');
    expect($row()['verdict'])
        ->toMatchArray(['outcome' => 'fail'])
        ->and($row()['verdict']['reason'])
        ->toContain('falls by 3.1 V where 1.0 V at most')
        ->and(said(HandoverPage::props($job))['loads'])
        ->toHaveCount(2);
});

it('practises a fault of a part that the step has taken out', function (): void {
    $job = houseToProve();
    $job = practice($job, 'switch-open:switch.G');
    raiseFlag($job, 'isolated', '0.0');
    record($job, 'steps', ['step' => 'fan.jumper', 'event' => 'start'])->assertCreated();
    raiseFlag($job, 'live', '26.4');
    $this->travel(10)->seconds();
    expect(
        record($job, 'simulated-signs', ['step' => 'fan.jumper'])
            ->assertOk()
            ->json('signs'),
    )->toBe(['blower' => true]);
});

it('carries marks, measurements, calls left out and signatures through the job file', function (): void {
    $job = houseToProve();
    record($job, 'steps', ['step' => 'fan.voltage', 'event' => 'start'])->assertCreated();
    $this->travel(10)->seconds();
    $id = provedReading($job, '13.2')->json('id');
    record($job, 'marks', ['reading' => $id, 'unexplained' => true, 'note' => 'odd'])->assertCreated();
    record($job, 'measurements', [
        'figure' => 'split',
        'call' => 'cool-1',
        'values' => ['return' => 76, 'supply' => 57, 'mode' => 1],
    ])->assertCreated();
    record($job, 'waivers', ['call' => 'heat-1', 'note' => 'gas is off'])->assertCreated();
    record($job, 'signatures', [
        'role' => 'customer',
        'name' => 'A. Teal',
        'strokes' => [[[10, 10], [900, 400]]],
    ])->assertCreated();
    $out = (string) $this->get("/jobs/{$job->id}/job-file")
        ->assertOk()
        ->getContent();
    $again = Job::query()->findOrFail(importFiles(['house.json' => $out])[0]['job']['id']);
    [$before, $after] = [said(HandoverPage::props($job->refresh())), said(HandoverPage::props($again))];
    // The same rows; what came out of a file says so.
    $plain = static fn (array $rows): array => array_map(
        static fn (array $r): array => [
            ...array_diff_key($r, ['id' => 1, 'fromFile' => 1]),
            ...isset($r['name']) ? ['name' => str_replace('in the file: ', '', $r['name'])] : [],
        ],
        $rows,
    );

    foreach (['unexplained', 'measurements', 'waived', 'signatures'] as $part) {
        expect($plain($after[$part]))->toEqual($plain($before[$part]), $part)->and($after[$part])->not->toBe([]);
    }
    expect($after['job']['importedAt'])
        ->not->toBeNull()
        ->and(importFiles(['bad.json' => str_replace('"role": "customer"', '"role": 7', $out)])[0]['problem'] ?? '')
        ->toContain('/records/signatures/0/role')
        ->and(
            importFiles([
                'bad.json' => (string) preg_replace(
                    '/"strokes": "[^"]*"/',
                    '"strokes": "[[[1,5000],[2,3]]]"',
                    $out,
                ),
            ])[0]['problem'] ?? '',
        )
        ->toContain('/records/signatures/0/strokes');
});
