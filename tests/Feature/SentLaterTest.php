<?php

declare(strict_types=1);

use App\Models\Job;
use App\Models\Record\Reading;
use App\Records\Step\StepRecord;
use Illuminate\Testing\TestResponse;

// What a device kept while it had no signal is held against the house as it stood for the person.

/** @param  array<string, mixed>  $body */
function sendLater(Job $job, string $path, array $body, int $secondsAgo, int $knew): TestResponse
{
    return test()->postJson("/jobs/{$job->id}/{$path}", [
        'id' => newId(),
        'ago' => $secondsAgo * 1000,
        'knew' => $knew,
        ...$body,
    ]);
}

/** Cool 1 by voltage is begun and its delay is over; answers the place in the job's order that a page then knows. */
function calling(Job $job): int
{
    test()
        ->postJson("/jobs/{$job->id}/steps", ['id' => newId(), 'step' => 'cool-1.voltage', 'event' => 'start'])
        ->assertSuccessful();
    test()
        ->travel(StepRecord::all($job->refresh())['cool-1.voltage']->step->wait->seconds + 5)
        ->seconds();

    return $job->refresh()->recorded;
}

/** @return array<string, mixed> the reading that the step asks for first */
function askedFirst(Job $job, string $value): array
{
    $probe = StepRecord::all($job)['cool-1.voltage']->step->probes[0];

    return [
        'stage' => 'prove',
        'step' => 'cool-1.voltage',
        'call' => 'cool-1',
        'mode' => $probe->mode->value,
        'a' => $probe->a,
        'b' => $probe->b,
        'value' => $value,
    ];
}

it('keeps the time, the power and the run under which it was taken', function (): void {
    $job = houseToProve();
    $knew = calling($job);
    $then = now();
    $this->travel(300)->seconds();
    // Meanwhile somebody isolates on another device.
    raiseFlag($job, 'isolated', '0.0');

    $id = sendLater($job, 'readings', askedFirst($job, '0.2'), 300, $knew)->assertCreated()->json('id');
    $reading = Reading::query()->findOrFail($id);
    expect($reading->at->equalTo($then->startOfSecond()))
        ->toBeTrue()
        ->and($reading->power->value)
        ->toBe('live')
        ->and($reading->outcome->value)
        ->toBe('pass')
        ->and($reading->step)
        ->toBe('cool-1.voltage');
    sendLater($job, 'signs', ['step' => 'cool-1.voltage', 'sign' => 'display', 'seen' => true], 299, $knew)
        ->assertCreated()
        ->assertJsonPath('outcome', 'pass');
    // Taken now, the same is refused: the flag says isolated.
    test()
        ->postJson("/jobs/{$job->id}/readings", ['id' => newId(), ...askedFirst($job, '0.2')])
        ->assertJsonValidationErrors('power');
});

it('is too early when it was, however late it comes', function (): void {
    $job = houseToProve();
    test()
        ->postJson("/jobs/{$job->id}/steps", ['id' => newId(), 'step' => 'cool-1.voltage', 'event' => 'start'])
        ->assertSuccessful();
    $this->travel(2)->seconds();
    $knew = $job->refresh()->recorded;
    $this->travel(900)->seconds();
    $outdoor = array_find(
        StepRecord::all($job)['cool-1.voltage']->step->signs,
        static fn ($s): bool => $s->load === 'contactor',
    );
    sendLater($job, 'signs', ['step' => 'cool-1.voltage', 'sign' => $outdoor->key, 'seen' => false], 900, $knew)
        ->assertCreated()
        ->assertJsonPath('outcome', 'too-early');
});

it('counts for no run that was begun after it', function (): void {
    $job = houseToProve();
    $knew = calling($job);
    $this->travel(60)->seconds();
    calling($job);
    $id = sendLater($job, 'readings', askedFirst($job, '0.2'), 60, $knew)->assertCreated()->json('id');
    expect(Reading::query()->findOrFail($id)->step)
        ->toBeNull()
        ->and(StepRecord::all($job)['cool-1.voltage']->readings)
        ->toBe([]);
    sendLater(
        $job,
        'signs',
        ['step' => 'cool-1.voltage', 'sign' => 'display', 'seen' => true],
        60,
        $knew,
    )->assertJsonValidationErrors('step');
});

it('takes no time from before the job or from over a week ago', function (): void {
    $job = houseToProve();
    $knew = calling($job);
    $id = sendLater($job, 'readings', askedFirst($job, '0.2'), 500_000, $knew)->json('id');
    expect(Reading::query()->findOrFail($id)->at->equalTo($job->created_at))->toBeTrue();
    sendLater($job, 'readings', askedFirst($job, '0.2'), 700_000, $knew)->assertJsonValidationErrors('ago');
});
