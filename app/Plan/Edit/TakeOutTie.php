<?php

declare(strict_types=1);

namespace App\Plan\Edit;

use App\Document\Edit;
use App\Document\EditRequest;
use App\House\Refused;
use App\Models\Job;
use App\Models\User;

/** Takes a tie out again. */
final readonly class TakeOutTie implements Edit
{
    public function __construct(private string $label)
    {
    }

    public static function op(): string
    {
        return 'untie';
    }

    public static function rules(): array
    {
        return ['label' => ['required', 'string', 'max:40']];
    }

    public static function from(EditRequest $request): self
    {
        return new self($request->text('label'));
    }

    public function apply(Job $job, User $by): string
    {
        $draft = PlanDraft::of($job);
        $tie =
            $draft->plan->landing->jumper($this->label) ??
            throw Refused::at('label', "There is no {$this->label} to take out.");
        $draft->keep($draft->plan->landed($draft->plan->landing->withoutJumper($tie->label)));

        return "takes out the {$tie->label}";
    }
}
