<?php

declare(strict_types=1);

use App\Models\Job;
use App\Models\User;
use Illuminate\Support\Str;
use Tests\TestCase;

pest()->extend(TestCase::class)->in('Feature');

/** A signed-in installer with a surveyed house of the crew. */
function installer(?Job $job = null): User
{
    $user = $job === null ? User::factory()->create() : User::query()->where('crew_id', $job->crew_id)->firstOrFail();
    test()->actingAs($user);

    return $user;
}

function newId(): string
{
    return (string) Str::ulid();
}

/** @param  array<string, mixed>  $fields */
function editSurvey(Job $job, string $op, array $fields = [], ?int $version = null): Illuminate\Testing\TestResponse
{
    return test()->postJson("/jobs/{$job->id}/survey-edits", ['id' => newId(), 'version' => $version ?? $job->refresh()->version, 'op' => $op, ...$fields]);
}

function raiseFlag(Job $job, string $state, string $volts): void
{
    test()->postJson("/jobs/{$job->id}/power", ['id' => newId(), 'state' => $state, 'volts' => $volts, 'meter_proved' => true])->assertCreated();
}

function skipPhotos(Job $job): void
{
    foreach (['wall', 'indoor'] as $place) {
        test()->postJson("/jobs/{$job->id}/photo-skips", ['id' => newId(), 'place' => $place, 'reason' => 'no camera here'])->assertCreated();
    }
}
