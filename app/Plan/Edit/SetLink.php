<?php

declare(strict_types=1);

namespace App\Plan\Edit;

use App\Document\Edit;
use App\Document\EditRequest;
use App\Models\Job;
use App\Models\User;

/** The Rc–Rh link of the plate, in or out. */
final readonly class SetLink implements Edit
{
    public function __construct(private bool $in)
    {
    }

    public static function op(): string
    {
        return 'link';
    }

    public static function rules(): array
    {
        return ['in' => ['required', 'boolean']];
    }

    public static function from(EditRequest $request): self
    {
        return new self($request->boolean('in'));
    }

    public function apply(Job $job, User $by): string
    {
        $draft = PlanDraft::of($job);
        $draft->keep($draft->plan->landed($draft->plan->landing->withLink($this->in)));

        return $this->in ? 'link in' : 'link out';
    }
}
