<?php

declare(strict_types=1);

namespace App\Plan\Edit;

use App\Document\Edit;
use App\Document\EditRequest;
use App\House\Refused;
use App\Models\Crew\User;
use App\Models\Job;
use Unionbit\Core\Thermostat\PlateTerminal;
use Unionbit\Core\Words\Message;

/** Lands a conductor on a screw of the plate, or caps it. */
final readonly class LandConductor implements Edit
{
    public function __construct(private string $conductor, private ?string $screw)
    {
    }

    public static function op(): string
    {
        return 'land';
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
        if ($this->screw !== null && $draft->plan->profile->terminal($this->screw) === null) {
            $terminals = $draft->plan->profile->terminals;
            $has = implode(', ', array_map(static fn (PlateTerminal $t): string => $t->printed, $terminals));
            throw Refused::at(
                'screw',
                Message::of('plan.land-conductor.no-terminal-on-plate-has', screw: $this->screw, has: $has),
            );
        }
        $end = PlanDraft::end($this->screw);
        $draft->keep($draft->plan->landed($draft->plan->landing->onWall($conductor->id(), $end)));

        return $this->screw === null
            ? Message::of('plan.land-conductor.caps', conductor: $conductor->name())
            : Message::of('plan.land-conductor.lands-on', conductor: $conductor->name(), screw: $this->screw);
    }
}
