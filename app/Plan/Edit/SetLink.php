<?php

declare(strict_types=1);

namespace App\Plan\Edit;

use App\Document\Edit;
use App\Document\EditRequest;
use App\Models\Crew\User;
use App\Models\Job;
use Unionbit\Core\Words\Message;

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

    public function apply(Job $job, User $by): Message
    {
        $draft = PlanDraft::of($job);
        $draft->keep($draft->plan->landed($draft->plan->landing->withLink($this->in)));

        return $this->in ? Message::of('plan.set-link.link-in') : Message::of('plan.set-link.link-out');
    }
}
