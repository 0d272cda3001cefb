<?php

declare(strict_types=1);

namespace App\Plan\Edit;

use App\Document\Edit;
use App\Document\EditRequest;
use App\House\Refused;
use App\House\Stops;
use App\Models\Crew\User;
use App\Models\Job;
use Unionbit\Core\Planning\MappingRules;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Words\Message;

/** Takes the plan for the job: only one without a finding that blocks. */
final readonly class UsePlan implements Edit
{
    public static function op(): string
    {
        return 'use';
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
        Stops::refuse($job);
        $blocking = array_values(
            array_filter(
                MappingRules::check(PlanDraft::of($job)->plan),
                static fn (Finding $f): bool => $f->severity->blocks(),
            ),
        );
        if ($blocking !== []) {
            throw Refused::at('plan', ...array_map(Stops::says(...), $blocking));
        }
        $job->planned_at = now();

        return Message::of('plan.use-plan.uses-plan');
    }
}
