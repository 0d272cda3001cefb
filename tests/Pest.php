<?php

declare(strict_types=1);

use App\Handover\HandoverSheet;
use App\Jobs\File\ImportJob;
use App\Jobs\Screen\JobSummaries;
use App\Models\Crew\Crew;
use App\Models\Crew\User;
use App\Models\Job;
use App\Records\Power\PowerFlag;
use App\Records\Step\StepRecord;
use App\Trace\Book\TraceBook;
use App\Trace\TracePage;
use App\Words\Dates;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;
use Unionbit\Core\Proving\Step\Sign;

require_once __DIR__.'/../core/tests/Support/said.php';
require_once __DIR__.'/Support/demo.php';
require_once __DIR__.'/Support/machines.php';
require_once __DIR__.'/Support/people.php';

pest()->extend(TestCase::class)->in('Feature');

/** A signed-in installer with a surveyed house of the crew. */
function installer(?Job $job = null): User
{
    $user =
        $job === null
            ? User::factory()->create()
            : User::query()->where('crew_id', $job->crew_id)->oldest('id')->firstOrFail();
    test()->actingAs($user);

    return $user;
}

/** Every summary of the jobs screen worked out: a busy machine would leave some for the next look. */
function summarized(): void
{
    foreach (Crew::query()->pluck('id') as $crew) {
        JobSummaries::catchUp($crew, INF);
    }
}

/** The printed record. */
function sheet(Job $job): string
{
    return (new HandoverSheet($job, new Dates('en', new DateTimeZone('UTC'))))->html();
}

function newId(): string
{
    return (string) Str::ulid();
}

/** @param  array<string, mixed>  $fields */
function editSurvey(Job $job, string $op, array $fields = [], ?int $version = null): TestResponse
{
    return test()->postJson("/jobs/{$job->id}/survey-edits", [
        'id' => newId(),
        'version' => $version ?? $job->refresh()->version,
        'op' => $op,
        ...$fields,
    ]);
}

function raiseFlag(Job $job, string $state, string $volts): void
{
    $supplies = array_fill_keys(array_column(PowerFlag::sources($job->refresh()), 'id'), $volts);
    test()
        ->postJson("/jobs/{$job->id}/power", [
            'id' => newId(),
            'state' => $state,
            'supplies' => $supplies,
            'meter_proved' => true,
            'despite' => true,
        ])
        ->assertCreated();
}

function skipPhotos(Job $job): void
{
    foreach (['wall', 'indoor'] as $place) {
        test()
            ->postJson("/jobs/{$job->id}/photo-skips", [
                'id' => newId(),
                'place' => $place,
                'reason' => 'no camera here',
            ])
            ->assertCreated();
    }
}

/** A house of any archetype with its plan in use. */
function plannedHouse(string $archetype, string $profile): Job
{
    installer();
    $id = newId();
    test()
        ->postJson('/jobs', [
            'id' => $id,
            'site' => 'Tollhouse',
            'kind' => 'replacement',
            'archetype' => $archetype,
            'feet' => '45',
            'example' => true,
        ])
        ->assertCreated();
    foreach ([['op' => 'choose', 'profile' => $profile], ['op' => 'use']] as $version => $edit) {
        test()
            ->postJson("/jobs/{$id}/plan-edits", ['id' => newId(), 'version' => $version + 1, ...$edit])
            ->assertOk();
    }

    return Job::query()->findOrFail($id);
}

/** The same, surveyed to its end, every move done and live. */
function landedHouse(string $archetype, string $profile): Job
{
    $job = plannedHouse($archetype, $profile);
    $id = $job->id;
    editSurvey($job, 'finish')->assertOk();
    skipPhotos($job);
    raiseFlag($job, 'isolated', '0.0');
    foreach (
        test()
            ->get("/jobs/{$id}/plan")
            ->inertiaProps('plan.moves') as $move
    ) {
        test()
            ->postJson("/jobs/{$id}/moves", ['id' => newId(), 'move' => $move['key'], 'done' => true])
            ->assertCreated();
    }
    raiseFlag($job, 'live', '26.5');

    return $job->refresh();
}

/** One proof: every reading as expected, every sign seen, the call ended and everything out again. */
function proveStep(Job $job, string $key): void
{
    $record = StepRecord::all($job)[$key];
    $post = static fn (string $path, array $body) => test()
        ->postJson("/jobs/{$job->id}/{$path}", ['id' => newId(), 'step' => $key, ...$body])
        ->assertSuccessful();
    $post('steps', ['event' => 'start']);
    test()
        ->travel($record->step->wait->seconds + 1)
        ->seconds();
    foreach ($record->step->probes as $probe) {
        $pair = ['stage' => 'prove', 'mode' => $probe->mode->value, 'a' => $probe->a, 'b' => $probe->b];
        $nominal = (float) $post('expect', $pair)->json('nominal');
        $value = number_format($nominal, $probe->mode->value === 'A' ? 2 : 1, '.', '');
        $post('readings', ['value' => $value, ...$pair])->assertJsonPath('outcome', 'pass');
    }
    foreach ($record->step->signs as $sign) {
        if ($sign->key !== Sign::DROP_OFF) {
            $post('signs', ['sign' => $sign->key, 'seen' => true])->assertJsonPath('outcome', 'pass');
        }
    }
    if ($record->step->dropOff === null) {
        $post('steps', ['event' => 'end']);

        return;
    }
    $post('steps', ['event' => 'off']);
    test()
        ->travel($record->step->dropOff->seconds + 1)
        ->seconds();
    $post('signs', ['sign' => Sign::DROP_OFF, 'seen' => true])->assertJsonPath('outcome', 'pass');
}

/** The demo's Lock Keeper's Row 6 with the plain furnace, landed and live, ready to be proved. */
function houseToProve(string $profile = 'c-powered-1h-1c'): Job
{
    $job = landedHouse('furnace-gas-1h-1c', $profile);
    raiseFlag($job, 'live', '26.5');

    return $job->refresh();
}

/** @param  array<string, string>  $files contents by name */
function importFiles(array $files, ?array $ids = null, string $as = 'copy'): array
{
    return test()
        ->post(
            '/import',
            [
                'as' => array_fill(0, count($files), $as),
                'ids' => $ids ?? array_map(static fn (): string => newId(), array_keys($files)),
                'files' => array_map(
                    static fn (
                        string $name,
                        string $content,
                    ): UploadedFile => UploadedFile::fake()->createWithContent($name, $content),
                    array_keys($files),
                    $files,
                ),
            ],
            ['Accept' => 'application/json'],
        )
        ->assertOk()
        ->json('files');
}

/** Begins to practise on a copy of the job, with this fault hidden in it; answers the copy. */
function practice(Job $job, string $fault = ''): Job
{
    return Job::query()->findOrFail(
        test()
            ->postJson("/jobs/{$job->id}/practice", ['on' => true, 'fault' => $fault])
            ->assertOk()
            ->json('id'),
    );
}

/** Both signatures of a handover. */
function signBoth(Job $job): void
{
    foreach (['installer', 'customer'] as $role) {
        test()
            ->postJson("/jobs/{$job->id}/signatures", [
                'id' => newId(),
                'role' => $role,
                'name' => 'A. Teal',
                'strokes' => [[[10, 10], [900, 400]]],
            ])
            ->assertCreated();
    }
}

/** A job file as text, with parts changed. */
function jobFile(array $changes = []): string
{
    $file = json_decode((string) file_get_contents(database_path('demo/lock-keepers-row-4.json')), true);

    return (string) json_encode(array_replace_recursive($file, $changes));
}

/** A house of the demo data, in the hands of the installer who is signed in. */
function demo(string $name): Job
{
    $user = User::factory()->create();
    test()->actingAs($user);

    return app(
        ImportJob::class,
    )($user, newId(), json_decode((string) file_get_contents(base_path("database/demo/{$name}.json")), true));
}

/** @param  array<string, mixed>  $body */
function traceRow(Job $job, string $kind, array $body = [], ?string $call = null): TestResponse
{
    return test()->postJson("/jobs/{$job->id}/trace-rows", [
        'id' => newId(),
        'kind' => $kind,
        'body' => $body,
        'call' => $call,
    ]);
}

/** @return array<string, mixed> */
function traced(Job $job): array
{
    $book = TraceBook::of($job->refresh()) ?? throw new LogicException('A thermostat hangs there.');

    return said(TracePage::props($job, $book));
}
