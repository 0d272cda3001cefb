<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Job;
use App\Models\Reading;
use App\Models\User;
use App\Support\MeterValue;
use App\Support\PowerFlag;
use App\Support\ReadingPlace;
use Illuminate\Validation\ValidationException;
use Unionbit\Core\Circuit\MeterMode;
use Unionbit\Core\Proving\Judge;

/** Takes a reading: expects it from the circuit, judges it, and keeps both with the power state. */
final class RecordReading
{
    /**
     * @param  string  $typed  the reading as the person typed it
     * @param  ?string  $corrects  id of the reading that this one stands for
     */
    public static function record(Job $job, User $user, string $id, ReadingPlace $place, string $typed, ?string $corrects = null): Reading
    {
        $value = MeterValue::parse($typed, $place->mode);
        if ($corrects !== null && ! $job->readings()->whereKey($corrects)->exists()) {
            throw ValidationException::withMessages(['corrects' => 'The reading to correct is not in this job.']);
        }

        return Append::row(Reading::class, $id, $job, $user, static function () use ($job, $place, $value, $corrects): array {
            $flag = PowerFlag::of($job);
            $context = $place->context($job);
            if ($context->step !== null) {
                self::gate($context->step->isRunning(), $flag, $place->mode);
            }
            $expected = $context->expect($place->mode, $place->a, $place->b);
            if ($expected->refused !== null) {
                throw ValidationException::withMessages(['value' => $expected->refused]);
            }
            $verdict = (new Judge($context->circuit))->reading($expected, $context->setup, $value, $context->step?->secondsLeft() ?? 0);

            return [
                'stage' => $place->stage, 'step' => $place->step, 'call' => $place->call, 'mode' => $place->mode->value, 'a' => $expected->a, 'b' => $expected->b, 'value' => $value,
                'power' => $flag->state, 'expected' => $expected->toArray(), 'outcome' => $verdict->outcome->value, 'reason' => $verdict->reason,
                'candidates' => $verdict->candidates, 'corrects_id' => $corrects, 'simulated' => $job->practice !== null,
            ];
        });
    }

    private static function gate(bool $running, PowerFlag $flag, MeterMode $mode): void
    {
        if (! $running) {
            throw ValidationException::withMessages(['step' => 'Start the step first: set it up, then measure.']);
        }
        $live = $mode === MeterMode::Volts || $mode === MeterMode::Amps;
        if ($live && ! $flag->isLive()) {
            throw ValidationException::withMessages(['power' => "This reading needs 24 V live, and {$flag->says()}."]);
        }
    }
}
