<?php

declare(strict_types=1);

namespace App\Plan\Edit;

use App\Document\Edit;
use App\Document\EditRequest;
use App\House\Refused;
use App\Models\Crew\User;
use App\Models\Job;
use Illuminate\Validation\Rule;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Thermostat\PlateTerminal;
use Unionbit\Core\Wiring\Jumper;
use Unionbit\Core\Words\Message;

/** Ties two screws of the plate, or of the board. */
final readonly class AddTie implements Edit
{
    public function __construct(private Place $place, private string $a, private string $b)
    {
    }

    public static function op(): string
    {
        return 'tie';
    }

    public static function rules(): array
    {
        return [
            'place' => ['required', Rule::enum(Place::class)],
            'a' => ['required', 'string', 'max:12'],
            'b' => ['required', 'string', 'max:12'],
        ];
    }

    public static function from(EditRequest $request): self
    {
        return new self(Place::from($request->text('place')), $request->text('a'), $request->text('b'));
    }

    public function apply(Job $job, User $by): Message
    {
        $draft = PlanDraft::of($job);
        $printed = $this->screws($draft->plan);
        foreach ([$this->a, $this->b] as $screw) {
            if (! in_array($screw, $printed, true)) {
                throw Refused::at(
                    'a',
                    Message::of('plan.add-tie.no-terminal-there-has', screw: $screw, has: $printed),
                );
            }
        }
        if ($this->a === $this->b) {
            throw Refused::at('a', Message::of('plan.add-tie.tie-from-itself-joins-nothing', a: $this->a));
        }
        $tie = Jumper::tie($this->place, $this->a, $this->b, at: $this->place !== Place::Wall);
        if ($draft->plan->landing->jumper($tie->label) !== null) {
            throw Refused::at('a', Message::of('plan.add-tie.there-already', tie: $tie->label));
        }
        $draft->keep($draft->plan->landed($draft->plan->landing->withJumper($tie)));

        return Message::of('plan.add-tie.adds', tie: $tie->label);
    }

    /** @return list<string> */
    private function screws(Plan $plan): array
    {
        return $this->place === Place::Wall
            ? array_map(static fn (PlateTerminal $t): string => $t->printed, $plan->profile->terminals)
            : ($plan->installation->archetype->isBoard($this->place)
                ? $plan->installation->archetype->printedAt($this->place)
                : []);
    }
}
