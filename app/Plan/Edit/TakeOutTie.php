<?php

declare(strict_types=1);

namespace App\Plan\Edit;

use App\Document\Edit;
use App\Document\EditRequest;
use App\House\Refused;
use App\Models\Crew\User;
use App\Models\Job;
use Unionbit\Core\Words\Message;

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

    public function apply(Job $job, User $by): Message
    {
        $draft = PlanDraft::of($job);
        $tie =
            $draft->plan->landing->jumper($this->label) ??
            throw Refused::at('label', Message::of('plan.take-out-tie.there-no-take-out', label: $this->label));
        $draft->keep($draft->plan->landed($draft->plan->landing->withoutJumper($tie->label)));

        return Message::of('plan.take-out-tie.takes-out', tie: $tie->label);
    }
}
