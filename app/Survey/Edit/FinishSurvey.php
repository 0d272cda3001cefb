<?php

declare(strict_types=1);

namespace App\Survey\Edit;

use App\Document\Edit;
use App\Document\EditRequest;
use App\House\House;
use App\House\Refused;
use App\Models\Job;
use App\Models\User;

/** The survey is done: a plan can rest on it. */
final readonly class FinishSurvey implements Edit
{
    public static function op(): string
    {
        return 'finish';
    }

    public static function rules(): array
    {
        return [];
    }

    public static function from(EditRequest $request): self
    {
        return new self();
    }

    public function apply(Job $job, User $by): string
    {
        if ((House::of($job)->installation->wallCable()->conductors ?? []) === []) {
            throw Refused::at('survey', 'Enter the conductors at the wall first: a plan needs them.');
        }
        $job->surveyed_at = now();

        return 'finished the survey';
    }
}
