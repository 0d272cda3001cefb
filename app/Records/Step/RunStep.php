<?php

declare(strict_types=1);

namespace App\Records\Step;

use App\House\Refused;
use App\Models\Crew\User;
use App\Models\Job;
use App\Models\Kind\StepMoment;
use App\Models\Record\StepEvent;
use App\Records\Append;
use App\Records\Power\PowerFlag;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use Unionbit\Core\Words\Message;

/**
 * Starts a proving step, calls it once more, or ends it with everything put back. The power flag has to agree with the
 * set-up. A higher stage may be started while its lower one runs: that one then ends in the same moment.
 */
final class RunStep
{
    public static function record(Job $job, User $user, string $id, string $key, StepMoment $event): StepEvent
    {
        return Append::row(StepEvent::class, $id, $job, $user, static function () use (
            $job,
            $user,
            $key,
            $event,
        ): array {
            $now = now();
            $records = StepRecord::all($job);
            $record =
                $records[$key] ??
                throw Refused::at('step', Message::of('records.run-step.there-no-proving-step-for', key: $key));
            $flag = PowerFlag::of($job);
            if ($event === StepMoment::Forced && $record->step->forced === null) {
                throw Refused::at('event', Message::of('records.run-step.no-test-menu'));
            }
            if ($event === StepMoment::Off && $record->step->dropOff === null) {
                throw Refused::at('step', Message::of('records.run-step.no-call-that-ends'));
            }
            if ($record->step->setUpIsolated && ! $flag->isIsolated()) {
                $doing = $event->calls()
                    ? Message::of('records.run-step.jumper-placed')
                    : Message::of('records.run-step.jumper-comes-out');
                throw Refused::at(
                    'power',
                    Message::of('records.run-step.with-power-off-proved-dead', doing: $doing, flag: $flag->says()),
                );
            }
            $needsLive = ! $record->step->setUpIsolated && ! $record->step->method->isAtAnyPower();
            if ($event->calls() && $needsLive && ! $flag->isLive()) {
                throw Refused::at(
                    'power',
                    Message::of('records.run-step.step-needs-24-v-live', flag: $flag->says()),
                );
            }
            if ($event === StepMoment::Again && $record->endedAt === null) {
                throw Refused::at('event', Message::of('records.run-step.no-run-to-go-on-with'));
            }
            if ($event->calls()) {
                foreach ($records as $other) {
                    if (! $other->isRunning() || $other->step->key() === $key) {
                        continue;
                    }
                    if ($other->step->key() === $record->step->follows) {
                        self::ends($job, $user, $other->step->key(), $now);
                    } else {
                        throw Refused::at(
                            'step',
                            Message::of(
                                'records.run-step.end-first-set-up-still',
                                call: $other->step->call->label(),
                                method: $other->step->method->label(),
                            ),
                        );
                    }
                }
            } elseif (! $record->isRunning()) {
                throw Refused::at('step', Message::of('records.run-step.step-not-running'));
            }

            return ['step' => $key, 'event' => $event, 'at' => $now];
        });
    }

    /**
     * A step that ends with something else: a lower stage in the very moment in which the higher one joins it, a call
     * with the answer that everything has fallen out, or not.
     */
    public static function ends(Job $job, User $user, string $key, Carbon $now): void
    {
        Append::write(StepEvent::class, (string) Str::ulid(), $job, $user, [
            'at' => $now,
            'step' => $key,
            'event' => StepMoment::End,
        ]);
    }
}
