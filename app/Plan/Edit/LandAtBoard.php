<?php

declare(strict_types=1);

namespace App\Plan\Edit;

use App\Document\Edit;
use App\Document\EditRequest;
use App\House\Refused;
use App\Models\Crew\User;
use App\Models\Job;
use Unionbit\Core\Wiring\End;
use Unionbit\Core\Words\Message;

/** The equipment end: on a screw of the board, spliced to a conductor of the outdoor cable (@B2), or capped. */
final readonly class LandAtBoard implements Edit
{
    public function __construct(private string $conductor, private ?string $screw)
    {
    }

    public static function op(): string
    {
        return 'board';
    }

    public static function rules(): array
    {
        return ['conductor' => ['required', 'string', 'max:12'], 'screw' => ['nullable', 'string', 'max:12']];
    }

    public static function from(EditRequest $request): self
    {
        return new self($request->text('conductor'), $request->nullableString('screw'));
    }

    public function apply(Job $job, User $by): Message
    {
        $draft = PlanDraft::of($job);
        $conductor = $draft->conductor($this->conductor);
        if ($this->screw !== null && str_starts_with($this->screw, '@')) {
            $target =
                $draft->atBoard($conductor, substr($this->screw, 1)) ??
                throw Refused::at(
                    'screw',
                    Message::of(
                        'plan.land-at-board.there-no-outdoor-conductor-splice',
                        number: substr($this->screw, 1),
                    ),
                );
            $end = End::spliced($target->id());
            $draft->keep($draft->plan->landed($draft->plan->landing->onBoard($conductor->id(), $end)));

            return Message::of(
                'plan.land-at-board.splices-outdoor',
                conductor: $conductor->name(),
                target: $target->name(),
            );
        }
        $printed = $draft->plan->screwsFor($conductor);
        if ($this->screw !== null && ! in_array($this->screw, $printed, true)) {
            throw Refused::at(
                'screw',
                Message::of('plan.land-at-board.no-terminal-on-board-has', screw: $this->screw, has: $printed),
            );
        }
        $draft->keep(
            $draft->plan->landed($draft->plan->landing->onBoard($conductor->id(), PlanDraft::end($this->screw))),
        );

        return $this->screw === null
            ? Message::of('plan.land-at-board.caps-at-board', conductor: $conductor->name())
            : Message::of(
                'plan.land-at-board.lands-on-at-board',
                conductor: $conductor->name(),
                screw: $this->screw,
            );
    }
}
