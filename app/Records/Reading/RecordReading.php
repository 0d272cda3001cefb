<?php

declare(strict_types=1);

namespace App\Records\Reading;

use App\House\Refused;
use App\Models\Crew\User;
use App\Models\Job;
use App\Models\Record\Reading;
use App\Records\Append;
use App\Records\MeterValue;
use App\Records\Power\PowerFlag;
use App\Records\Step\StepRecord;
use App\Records\Taken;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Proving\Judge\Judge;
use Unionbit\Core\Words\Message;

/** Takes a reading: expects it from the circuit, judges it, and keeps both with the power state. */
final class RecordReading
{
    /**
     * @param  string  $typed  the reading as the person typed it
     * @param  ?string  $corrects  id of the reading that this one stands for, judged as it was taken
     */
    public static function record(
        Job $job,
        User $user,
        string $id,
        ReadingPlace $place,
        string $typed,
        ?string $corrects = null,
        ?Taken $taken = null,
    ): Reading {
        $taken ??= Taken::now();
        $value = MeterValue::parse($typed, $place->mode);
        $original = self::original($job, $place, $corrects);

        return Append::row(
            Reading::class,
            $id,
            $job,
            $user,
            static fn (): array => self::row($job, $place, $value, $original, $taken),
        );
    }

    /** The reading that is corrected: of the same pair, in the same step and mode. */
    private static function original(Job $job, ReadingPlace $place, ?string $corrects): ?Reading
    {
        if ($corrects === null) {
            return null;
        }
        $original =
            $job->readings()->whereKey($corrects)->first() ??
            throw Refused::at('corrects', Message::of('records.record-reading.reading-correct-not-in-job'));
        $was = new ReadingPlace(
            $original->stage,
            $original->mode,
            $original->a,
            $original->b,
            $original->step,
            $original->call,
        );
        if (! $was->is($place)) {
            throw Refused::at('corrects', Message::of('records.record-reading.correction-stands-for-reading-same'));
        }

        return $original;
    }

    /**
     * @param  ?float  $value  in the mode's unit; null is over limit
     * @return array<string, mixed> the columns of its row
     */
    private static function row(
        Job $job,
        ReadingPlace $place,
        ?float $value,
        ?Reading $original,
        Taken $taken,
    ): array {
        $flag = $original === null ? PowerFlag::of($job, $taken) : PowerFlag::as($original->power);
        $context = self::context($job, $place, $original, $flag, $taken);
        $expected = $context->expect($place->mode, $place->a, $place->b);
        if ($expected->refused !== null) {
            throw Refused::at('value', $expected->refused);
        }
        $verdict = (new Judge($context->house))->reading(
            $expected,
            $context->hands,
            $value,
            $context->step?->secondsLeft($original->at ?? $taken->at) ?? 0,
            $context->step?->step->waiting,
            JointReasons::before($job, $place, $context->step),
        );
        // Begun anew since it was taken: it belongs to no run of the step any more, and stands beside it.
        $ofRun = $place->step === null || StepRecord::isOfRun($job, $place->step, $taken);

        return [
            'stage' => $place->stage,
            'step' => $ofRun ? $place->step : null,
            'at' => $taken->at,
            'call' => $place->call,
            'mode' => $place->mode,
            'a' => $expected->a,
            'b' => $expected->b,
            'value' => $value,
            'power' => $flag->state,
            'expected' => $expected->toArray(),
            'outcome' => $verdict->outcome,
            'reason' => $verdict->reason,
            'candidates' => $verdict->candidates,
            'corrects_id' => $original?->id,
        ];
    }

    /** The circuit as it stood when it was read; refused where it could not be read then. */
    private static function context(
        Job $job,
        ReadingPlace $place,
        ?Reading $original,
        PowerFlag $flag,
        Taken $taken,
    ): ReadingContext {
        $context = $place->context($job, $flag, $original?->seq, $original === null ? $taken : null);
        if ($original !== null) {
            self::sameRun($context->step, $original);
        } elseif ($context->step !== null) {
            self::gate($context->step, $flag, $place->mode);
        }

        return $context;
    }

    /** A correction stands for a reading of the step's last run; after another start it has to be measured anew. */
    private static function sameRun(?StepRecord $step, Reading $original): void
    {
        if ($step !== null && $step->startedSeq !== null && $original->seq < $step->startedSeq) {
            throw Refused::at('corrects', Message::of('records.record-reading.reading-belongs-earlier-run-step'));
        }
    }

    private static function gate(StepRecord $step, PowerFlag $flag, MeterMode $mode): void
    {
        if ($step->offAt !== null && $step->isRunning()) {
            // What was called is no more: a reading now would be held against a call that has ended.
            throw Refused::at('step', Message::of('records.run-step.call-has-ended'));
        }
        if (! $step->isRunning() && ! $step->isReadAgain()) {
            throw Refused::at('step', Message::of('records.record-reading.start-step-first-set-up'));
        }
        $live = $mode === MeterMode::Volts || $mode === MeterMode::Amps;
        if ($live && ! $flag->isLive()) {
            throw Refused::at(
                'power',
                Message::of('records.record-reading.reading-needs-24-v-live', flag: $flag->says()),
            );
        }
    }
}
