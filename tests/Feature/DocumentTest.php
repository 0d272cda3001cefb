<?php

declare(strict_types=1);

use App\House\House;
use App\Models\Job;
use App\Models\JobRevision;

it('opens a job with an empty survey, once however often it is sent', function (): void {
    installer();
    $body = [
        'id' => newId(),
        'site' => 'Lock Keeper\'s Row 6',
        'address' => 'Saltmarsh Locks',
        'kind' => 'replacement',
        'archetype' => 'furnace-gas-1h-1c',
        'feet' => '38',
    ];

    $this->postJson('/jobs', $body)
        ->assertCreated()
        ->assertJson(['url' => "/jobs/{$body['id']}/survey"]);
    $this->postJson('/jobs', $body)
        ->assertCreated()
        ->assertJson(['url' => "/jobs/{$body['id']}/survey"]);
    expect(Job::query()->count())
        ->toBe(1)
        ->and(JobRevision::query()->count())
        ->toBe(1)
        ->and(House::of(Job::query()->firstOrFail())->installation->wallCable()?->feet)
        ->toBe(38.0);
});

it('refuses a job with a bad field, naming it', function (array $change, string $field): void {
    installer();

    $this->postJson('/jobs', [
        ...[
            'id' => newId(),
            'site' => 'Tollhouse',
            'kind' => 'replacement',
            'archetype' => 'furnace-gas-1h-1c',
            'feet' => '38',
        ],
        ...$change,
    ])
        ->assertUnprocessable()
        ->assertJsonValidationErrorFor($field);
    expect(Job::query()->count())->toBe(0);
})->with([
    [['site' => ''], 'site'],
    [['site' => str_repeat('x', 81)], 'site'],
    [['feet' => '0'], 'feet'],
    [['feet' => 'long'], 'feet'],
    [['archetype' => 'steam'], 'archetype'],
    [['kind' => 'party'], 'kind'],
    [['id' => '7'], 'id'],
]);

it('keeps a conductor from one line, with a revision', function (): void {
    $job = Job::factory()->create();
    installer($job);

    editSurvey($job, 'add-conductor', ['cable' => 'A', 'line' => 'blk L>"L" ?'])
        ->assertOk()
        ->assertJson(['version' => 2]);
    $conductor = House::of($job->refresh())->installation->wallCable()?->conductor(6);
    expect($conductor?->name())
        ->toBe('6 black')
        ->and($conductor->far->terminal)
        ->toBe('L')
        ->and($job->revisions()->pluck('what')->all())
        ->toBe(['opened the job', 'added 6 black']);
});

it('refuses a bad line at its place and keeps nothing of it', function (string $line, string $says): void {
    $job = Job::factory()->create();
    installer($job);
    $before = $job->survey;

    expect(
        editSurvey($job, 'add-conductor', ['cable' => 'A', 'line' => $line])
            ->assertUnprocessable()
            ->json('errors.line.0'),
    )->toContain($says);
    expect($job->refresh()->survey)->toEqual($before)->and($job->version)->toBe(1);
})->with([
    ['mauve R>R', '"mauve" is no insulation color'],
    ['red R>Q', 'No terminal Q on this indoor board. It has R, W, G, Y and C'],
    ['3 red R>R', 'Conductor 3 is there already: 3 green'],
    ['red', 'Say where it goes'],
]);

it('previews what it understands without keeping anything', function (): void {
    $job = Job::factory()->create();
    installer($job);

    $this->postJson("/jobs/{$job->id}/entry-preview", ['cable' => 'A', 'line' => 'brn - > - spare'])
        ->assertOk()
        ->assertJson(['colour' => 'brown', 'complete' => true, 'near' => ['state' => 'spare']]);
    $this->postJson("/jobs/{$job->id}/entry-preview", ['cable' => 'A', 'line' => 'brn W>Z'])
        ->assertOk()
        ->assertJson(['complete' => false, 'problems' => [['field' => 'far', 'value' => 'Z']]]);
    expect($job->refresh()->version)->toBe(1);
});

it('answers a stale edit with both sides and loses neither', function (): void {
    $job = Job::factory()->create();
    installer($job);
    editSurvey($job, 'set-facts', ['facts' => ['fuseAmps' => 5]])->assertOk();

    $stale = editSurvey($job, 'set-facts', ['facts' => ['fuseAmps' => 3]], version: 1)->assertStatus(409);
    expect($stale->json('theirs.version'))
        ->toBe(2)
        ->and($stale->json('theirs.changes.0.what'))
        ->toBe('set fuseAmps')
        ->and($stale->json('yours.edit.facts.fuseAmps'))
        ->toBe(3)
        ->and(House::of($job->refresh())->installation->facts->fuseAmps)
        ->toBe(5.0);
});

it('changes nothing when the same edit comes twice', function (): void {
    $job = Job::factory()->create();
    installer($job);
    $body = ['id' => newId(), 'version' => 1, 'op' => 'remove-conductor', 'cable' => 'A', 'number' => 5];

    $this->postJson("/jobs/{$job->id}/survey-edits", $body)
        ->assertOk()
        ->assertJson(['version' => 2]);
    $this->postJson("/jobs/{$job->id}/survey-edits", $body)
        ->assertOk()
        ->assertJson(['version' => 2]);
    expect(House::of($job->refresh())->installation->wallCable()->conductors)->toHaveCount(4);
});

it('undoes by going back to an earlier version, as a new one', function (): void {
    $job = Job::factory()->create();
    installer($job);
    editSurvey($job, 'remove-conductor', ['cable' => 'A', 'number' => 5])->assertOk();

    editSurvey($job, 'restore', ['to_version' => 1])
        ->assertOk()
        ->assertJson(['version' => 3]);
    expect(House::of($job->refresh())->installation->wallCable()?->conductor(5)?->name())
        ->toBe('5 blue')
        ->and($job->revisions()->count())
        ->toBe(3);
});

it('refuses facts out of range and names them', function (string $key, mixed $value): void {
    $job = Job::factory()->create();
    installer($job);

    editSurvey($job, 'set-facts', ['facts' => [$key => $value]])
        ->assertUnprocessable()
        ->assertJsonValidationErrorFor("facts.{$key}");
})->with([
    ['lineVolts', 12],
    ['transformerVa', 4000],
    ['fuseAmps', 'big'],
    ['plateLink', 'perhaps'],
    ['oldPower', 'steam'],
]);

it('plans: chooses, lands by hand, refuses to use what blocks', function (): void {
    $job = Job::factory()->create();
    installer($job);
    $plan = fn (string $op, array $fields = []) => $this->postJson("/jobs/{$job->id}/plan-edits", [
        'id' => newId(),
        'version' => $job->refresh()->version,
        'op' => $op,
        ...$fields,
    ]);

    $plan('use')->assertUnprocessable()->assertJsonValidationErrorFor('profile');
    $plan('choose', ['profile' => 'no-such'])
        ->assertUnprocessable()
        ->assertJsonValidationErrorFor('profile');
    $plan('choose', ['profile' => 'c-powered-1h-1c'])->assertOk();
    $plan('land', ['conductor' => 'A3', 'screw' => 'Z'])
        ->assertUnprocessable()
        ->assertJsonValidationErrorFor('screw');
    $plan('land', ['conductor' => 'A3', 'screw' => 'Y1'])->assertOk();
    expect($plan('use')->assertUnprocessable()->json('errors.plan'))
        ->toHaveCount(2)
        ->sequence(
            fn ($message) => $message->toContain('MR01', '3 green lands on Y1 but is G at the board'),
            fn ($message) => $message->toContain('MR13', 'Two conductors on one screw: 3 green and 4 yellow on Y1'),
        );
    $plan('land', ['conductor' => 'A3', 'screw' => 'G'])->assertOk();
    $plan('use')->assertOk();
    expect($job->refresh()->planned_at)->not->toBeNull();
    $plan('link', ['in' => false])->assertOk();
    expect($job->refresh()->planned_at)->toBeNull('a plan that changes has to be used anew');
});

it('keeps both of two edits that do not touch, whichever comes first', function (array $one, array $other): void {
    $survey = static function (Job $job): array {
        $survey = $job->refresh()->survey;
        foreach ($survey['cables'] as &$cable) {
            $cable['conductors'] = array_column($cable['conductors'], null, 'colour');
            foreach ($cable['conductors'] as &$conductor) {
                unset($conductor['number']);
            }
            ksort($cable['conductors']);
        }
        array_walk_recursive($survey, static fn (mixed & $v): mixed => ($v = is_int($v) ? (float) $v : $v));
        ksort($survey['answers']);

        return $survey;
    };
    $found = [];
    foreach ([[$one, $other], [$other, $one]] as [$first, $second]) {
        foreach ([false, true] as $apart) {
            $job = Job::factory()->create();
            installer($job);
            editSurvey($job, 'add-conductor', ['cable' => 'A', 'line' => 'green G>G'])->assertOk();
            editSurvey($job, ...$first)->assertOk();
            // Apart, each from the page as it was before; else one after the other.
            editSurvey($job, ...$second, ...['version' => $apart ? 2 : 3])
                ->assertOk()
                ->assertJson(['version' => 4]);
            $found[] = $survey($job);
        }
    }
    expect($found)->each->toEqual($found[0]);
})->with([
    'two conductors' => [
        ['add-conductor', ['cable' => 'A', 'line' => 'red R>R']],
        ['add-conductor', ['cable' => 'A', 'line' => 'white W>W']],
    ],
    'a conductor, and one on the other cable' => [
        ['add-conductor', ['cable' => 'A', 'line' => 'red R>R']],
        ['add-conductor', ['cable' => 'B', 'line' => 'white Y>Y']],
    ],
    'two answers' => [
        ['answer', ['key' => 'outdoor', 'value' => 'cools']],
        ['answer', ['key' => 'heatSource', 'value' => 'gas']],
    ],
    'an answer, and a conductor changed' => [
        ['answer', ['key' => 'plateLink', 'value' => 'in']],
        ['change-conductor', ['cable' => 'A', 'number' => 1, 'line' => 'green G>G traced']],
    ],
    'two figures of the supply' => [
        ['set-facts', ['facts' => ['fuseAmps' => 3]]],
        ['set-facts', ['facts' => ['transformerVa' => 40]]],
    ],
]);

it('takes no edit that touches what somebody else changed meanwhile', function (array $one, array $other): void {
    $job = Job::factory()->create();
    installer($job);
    editSurvey($job, 'add-conductor', ['cable' => 'A', 'line' => 'green G>G'])->assertOk();
    editSurvey($job, ...$one)->assertOk();
    $survey = $job->refresh()->survey;
    editSurvey($job, ...$other, ...['version' => 2])->assertStatus(409);
    expect($job->refresh()->survey)->toBe($survey)->and($job->version)->toBe(3);
})->with([
    'the same conductor' => [
        ['change-conductor', ['cable' => 'A', 'number' => 1, 'line' => 'green G>C']],
        ['change-conductor', ['cable' => 'A', 'number' => 1, 'line' => 'green C>G']],
    ],
    'one that is gone' => [
        ['remove-conductor', ['cable' => 'A', 'number' => 1]],
        ['change-conductor', ['cable' => 'A', 'number' => 1, 'line' => 'green C>G']],
    ],
    'the same answer' => [
        ['answer', ['key' => 'outdoor', 'value' => 'none']],
        ['answer', ['key' => 'outdoor', 'value' => 'reverses']],
    ],
    'the same figure' => [
        ['set-facts', ['facts' => ['fuseAmps' => 7]]],
        ['set-facts', ['facts' => ['fuseAmps' => 5]]],
    ],
    'what rests on the whole house' => [
        ['answer', ['key' => 'outdoor', 'value' => 'reverses']],
        ['set-archetype', ['archetype' => 'furnace-gas-2h-1c']],
    ],
]);
