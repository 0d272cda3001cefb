<?php

declare(strict_types=1);

namespace App\Records\Step;

use App\House\House;
use App\House\Refused;
use App\Models\Job;
use App\Models\Record\Observation;
use App\Models\User;
use App\Records\Append;
use App\Records\Power\PowerFlag;
use Unionbit\Core\Circuit\LoadState;
use Unionbit\Core\Proving\Step\Sign;

/** Records what was seen or heard of a call, judged against what the circuit has pulled in. */
final class ObserveSign
{
    public static function record(Job $job, User $user, string $id, string $step, string $sign, bool $seen): Observation
    {
        return Append::row(Observation::class, $id, $job, $user, static function () use (
            $job,
            $step,
            $sign,
            $seen,
        ): array {
            $record =
                StepRecord::all($job)[$step] ??
                throw Refused::at('step', "There is no proving step {$step} for this house.");
            $wanted =
                array_values(array_filter($record->step->signs, static fn (Sign $s): bool => $s->key === $sign))[0] ??
                throw Refused::at('sign', "Nothing called {$sign} is watched in this step.");
            $flag = PowerFlag::of($job);
            if (! $record->isRunning() || ! $flag->isLive()) {
                throw Refused::at('power', $record->isRunning()
                        ? "Nothing can run yet: {$flag->says()}."
                        : 'Start the step first: set it up, then watch.');
            }
            $outcome = match (true) {
                $seen => 'pass',
                $record->secondsLeft() > 0 && self::waits($job, $record, $wanted) => 'too-early',
                default => 'fail',
            };

            return [
                'step' => $step,
                'sign' => $sign,
                'seen' => $seen,
                'outcome' => $outcome,
                'reason' => self::reason($job, $record, $wanted, $outcome),
            ];
        });
    }

    /** Whether the delay holds this sign back: a load that has pulled in already is there now, and so is the display. */
    private static function waits(Job $job, StepRecord $record, Sign $sign): bool
    {
        if ($sign->load === null) {
            return $sign->key !== 'display';
        }
        $now = House::of($job)->circuit()->operate($record->step->waiting)->loads[$sign->load] ?? LoadState::Rest;

        return $now !== LoadState::PulledIn || $sign->key === 'outdoor-stops' || $record->isJustStarted();
    }

    private static function reason(Job $job, StepRecord $record, Sign $sign, string $outcome): string
    {
        if ($sign->load === null) {
            return $outcome === 'pass'
                ? "{$sign->text}: seen."
                : "{$sign->text}: not seen. ".
                        ($sign->key === 'display'
                            ? 'The thermostat does not call: its settings, its mode or its power.'
                            : 'Something holds: a welded contact, leakage through an open output, or another call.');
        }
        $point = House::of($job)->circuit()->operate($record->step->setup);
        $load = $point->netlist->element($sign->load)->label;
        $volts = sprintf('%.1f V', $point->loadVolts[$sign->load]);
        $state = ($point->loads[$sign->load] ?? LoadState::Rest)->label();

        if ($sign->key === 'outdoor-stops') {
            return $outcome === 'pass'
                ? "The circuit has the {$load} {$state} at {$volts}, and it stopped."
                : "The circuit has the {$load} {$state} at {$volts}: the float does not stand in its conductor, or its contact holds.";
        }

        return match ($outcome) {
            'pass' => "The circuit has the {$load} {$state} at {$volts}, and it was seen.",
            'too-early' => "A delay is still running, {$record->secondsLeft()} s to go: too early to judge.",
            default => "The circuit has the {$load} {$state} at {$volts}. If that voltage is measured there, the {$load} or what it drives is at fault; if not, the way to it.",
        };
    }
}
