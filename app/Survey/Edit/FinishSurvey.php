<?php

declare(strict_types=1);

namespace App\Survey\Edit;

use App\Document\Edit;
use App\Document\EditRequest;
use App\House\House;
use App\House\Refused;
use App\Models\Crew\User;
use App\Models\Job;
use Unionbit\Core\Words\Message;

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

    public function apply(Job $job, User $by): Message
    {
        if (House::of($job)->installation->wallConductors() === []) {
            throw Refused::at('survey', Message::of('survey.finish-survey.enter-conductors-at-wall-first'));
        }
        $job->surveyed_at = now();

        return Message::of('survey.finish-survey.finished-survey');
    }
}
