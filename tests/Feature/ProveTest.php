<?php

declare(strict_types=1);

use App\Handover\HandoverPage;
use App\Models\Job;
use App\Models\Record\Reading;
use App\Records\Progress;
use Database\Seeders\DatabaseSeeder;

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
        ->toContain('It has fan, cool-1 and heat-1');
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
    $this->seed(DatabaseSeeder::class);
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
