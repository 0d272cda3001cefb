<?php

declare(strict_types=1);

namespace App\Records\Step;

use App\House\House;
use App\House\Refused;
use App\Models\Crew\User;
use App\Models\Job;
use App\Models\Record\Observation;
use App\Records\Append;
use App\Records\Power\PowerFlag;
use App\Records\SetUp\SetupStrip;
use App\Records\Taken;
use Unionbit\Core\Asked\AskedHouse;
use Unionbit\Core\Asked\Show\SignAnswer;
use Unionbit\Core\Circuit\LoadState;
use Unionbit\Core\Proving\Step\Sign;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/** Records what was seen or heard of a call, judged against what the circuit has pulled in. */
final class ObserveSign
{
    public static function record(
        Job $job,
        User $user,
        string $id,
        string $step,
        string $sign,
        bool $seen,
        ?SignAnswer $how = null,
        ?Taken $taken = null,
    ): Observation {
        $taken ??= Taken::now();

        return Append::row(
            Observation::class,
            $id,
            $job,
            $user,
            static fn (): array => self::row($job, $user, $step, $sign, $seen, $how, $taken),
        );
    }

    /** @return array<string, mixed> the columns of its row */
    private static function row(
        Job $job,
        User $user,
        string $step,
        string $sign,
        bool $seen,
        ?SignAnswer $how,
        Taken $taken,
    ): array {
        $record =
            StepRecord::all($job, $taken)[$step] ??
            throw Refused::at('step', Message::of('records.observe-sign.there-no-proving-step-for', step: $step));
        $wanted =
            array_find($record->step->signs, static fn (Sign $s): bool => $s->key === $sign) ??
            throw Refused::at(
                'sign',
                Message::of('records.observe-sign.nothing-called-watched-in-step', sign: $sign),
            );
        self::gate($job, $record, $wanted, $taken);
        self::gateHow($wanted, $seen, $how);
        $outcome = self::outcome($job, $record, $wanted, $seen, $how, $taken);
        if ($wanted->key === Sign::DROP_OFF && $outcome !== 'too-early') {
            RunStep::ends($job, $user, $step, $taken->at);
        }

        return [
            'step' => $step,
            'sign' => $sign,
            'seen' => $seen,
            'how' => $how,
            'at' => $taken->at,
            'outcome' => $outcome,
            'reason' => ($outcome === 'too-early' ? null : $how?->meaning()) ??
                self::reason($job, $record, $wanted, $outcome, $taken),
        ];
    }

    /** Whether this can be seen now: the run is the one it was seen in, it is called, and the power agrees. */
    private static function gate(Job $job, StepRecord $record, Sign $wanted, Taken $taken): void
    {
        if (! StepRecord::isOfRun($job, $record->step->key(), $taken)) {
            // What was seen in a run that was begun anew since says nothing of the new one.
            throw Refused::at('step', Message::of('records.observe-sign.begun-anew-since'));
        }
        $flag = PowerFlag::of($job, $taken);
        $dark = $record->step->staysDead || $record->step->method->isAtAnyPower();
        if (! $record->isRunning() || (! $dark && ! $flag->isLive())) {
            throw Refused::at(
                'power',
                $record->isRunning()
                    ? Message::of('records.observe-sign.nothing-can-run-yet', flag: $flag->says())
                    : Message::of('records.observe-sign.start-step-first-set-up'),
            );
        }
        if ($record->offAt !== null && $wanted->key !== Sign::DROP_OFF) {
            throw Refused::at('sign', Message::of('records.run-step.call-has-ended'));
        }
    }

    private static function gateHow(Sign $wanted, bool $seen, ?SignAnswer $how): void
    {
        if ($how !== null && ($seen || ! in_array($how, $wanted->neither(), true))) {
            throw Refused::at(
                'how',
                Message::of(
                    'records.observe-sign.never-so',
                    sign: $wanted->text,
                    how: $how->label(),
                    allowed: array_map(static fn (SignAnswer $n): Message => $n->ofCall(), $wanted->neither()),
                ),
            );
        }
    }

    private static function outcome(
        Job $job,
        StepRecord $record,
        Sign $wanted,
        bool $seen,
        ?SignAnswer $how,
        Taken $taken,
    ): string {
        $dropOff = $wanted->key === Sign::DROP_OFF;

        return match (true) {
            $how?->takesTime() === true && $record->secondsLeft($taken->at) > 0 => 'too-early',
            $how !== null => Sign::outcomeOf($how)->value,
            $dropOff && $record->offAt === null => 'too-early',
            $seen => 'pass',
            $dropOff => $record->secondsOfDropOff($taken->at) > 0 ? 'too-early' : 'fail',
            $record->secondsLeft($taken->at) > 0 && self::waits($job, $record, $wanted, $taken) => 'too-early',
            default => 'fail',
        };
    }

    /**
     * Whether the delay holds this sign back: a load that has pulled in already is there now, and so is the display.
     */
    private static function waits(Job $job, StepRecord $record, Sign $sign, Taken $taken): bool
    {
        if ($sign->load === null) {
            return $sign->key !== 'display';
        }
        $waiting = $record->step->waiting->beside(SetupStrip::read($job)->before($taken->before));
        $point = AskedHouse::of(House::of($job)->circuit())->state($waiting)->point;
        $now = $point->loads[$sign->load] ?? LoadState::Rest;

        return $now !== LoadState::PulledIn || $sign->still || $record->isJustStarted($taken->at);
    }

    private static function reason(Job $job, StepRecord $record, Sign $sign, string $outcome, Taken $taken): Message
    {
        if ($sign->load === null) {
            return self::withoutLoad($record, $sign, $outcome, $taken);
        }
        $circuit = House::of($job)->circuit();
        $hands = $record->step->hands->beside(SetupStrip::read($job)->before($taken->before));
        $point = $circuit->operate(AskedHouse::of($circuit)->setup($hands));
        $load = $point->netlist->element($sign->load)->label;
        $volts = Quantity::volts($point->loadVolts[$sign->load]);
        $state = ($point->loads[$sign->load] ?? LoadState::Rest)->label();

        return $outcome === 'too-early'
            ? Message::of(
                'records.observe-sign.delay-still-running-s-go',
                left: Quantity::of($record->secondsLeft($taken->at), Unit::Seconds),
            )
            : Message::of(
                match (true) {
                    $sign->still && $outcome === 'pass' => 'records.observe-sign.circuit-has-at-stopped',
                    $sign->still => 'records.observe-sign.circuit-has-at-float-does',
                    $outcome === 'pass' => 'records.observe-sign.circuit-has-at-was-seen',
                    default => 'records.observe-sign.circuit-has-at-if-voltage',
                },
                load: $load,
                state: $state,
                volts: $volts,
            );
    }

    /** Why, of what no load of the circuit tells: a display, the drop-off, a look. */
    private static function withoutLoad(StepRecord $record, Sign $sign, string $outcome, Taken $taken): Message
    {
        return match (true) {
            $outcome === 'pass' => Message::of('records.observe-sign.seen', sign: $sign->text),
            $sign->key === 'display' => Message::of('records.observe-sign.display-not-seen', sign: $sign->text),
            $sign->key === Sign::DROP_OFF && $record->offAt === null => Message::of(
                'records.observe-sign.end-the-call-first',
            ),
            $outcome === 'too-early' => Message::of(
                'records.observe-sign.delay-still-running-s-go',
                left: Quantity::of(
                    $sign->key === Sign::DROP_OFF
                        ? $record->secondsOfDropOff($taken->at)
                        : $record->secondsLeft($taken->at),
                    Unit::Seconds,
                ),
            ),
            $sign->key === Sign::DROP_OFF => Message::of('records.observe-sign.not-stopped', sign: $sign->text),
            $sign->still => Message::of('records.observe-sign.runs-uncalled', sign: $sign->text),
            default => Message::of('records.observe-sign.looks-otherwise', sign: $sign->text),
        };
    }
}
