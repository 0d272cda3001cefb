<?php

declare(strict_types=1);

namespace App\Plan\Edit;

use App\House\House;
use App\House\Refused;
use App\Models\Job;
use Unionbit\Core\Planning\File\PlanFile;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\End;
use Unionbit\Core\Wiring\EndState;
use Unionbit\Core\Words\Message;

/** A job's plan while it is edited, and the way back into the document. Edited by hand it is no longer in use. */
final readonly class PlanDraft
{
    private function __construct(private Job $job, public Plan $plan)
    {
    }

    public static function of(Job $job): self
    {
        return new self(
            $job,
            House::of($job)->plan ??
                throw Refused::at('profile', Message::of('plan.plan-draft.choose-thermostat-first')),
        );
    }

    public function conductor(string $id): Conductor
    {
        return $this->plan->installation->wallConductor($id) ??
            throw Refused::at('conductor', Message::of('plan.plan-draft.there-no-conductor-at-wall', number: $id));
    }

    /** A conductor that goes on from where this one ends, to which it can be spliced. */
    public function atBoard(Conductor $conductor, string $id): ?Conductor
    {
        foreach ($this->plan->onward($conductor) as $onward) {
            if ($onward->id() === $id) {
                return $onward;
            }
        }

        return null;
    }

    /** An end on a screw; without one it is capped. */
    public static function end(?string $screw): End
    {
        return $screw === null ? End::free(EndState::Capped) : End::landed($screw);
    }

    public function keep(Plan $plan): void
    {
        self::write($this->job, $plan);
    }

    public static function write(Job $job, Plan $plan): void
    {
        $job->plan = PlanFile::write($plan);
        $job->planned_at = null;
    }
}
