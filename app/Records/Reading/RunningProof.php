<?php

declare(strict_types=1);

namespace App\Records\Reading;

use App\Models\Job;
use App\Records\Step\StepRecord;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Proving\Step\Method;

/** The proof of a call while a fault is traced: what is read and seen of that call meanwhile belongs to it. */
final class RunningProof
{
    /** The proof by the thermostat of a call, begun or not; null where this house has none. */
    public static function of(Job $job, CallName $call): ?StepRecord
    {
        $method = $call === CallName::Idle ? Method::AtRest : Method::Voltage;

        return StepRecord::all($job)["{$call->value}.{$method->value}"] ?? null;
    }

    /** A reading of a pair that the running proof asks for, taken in a trace, is its own. */
    public static function place(Job $job, ReadingPlace $place): ReadingPlace
    {
        $call = CallName::tryFrom($place->call ?? CallName::Idle->value);
        $traces = $place->isLoose() && $call !== null && $job->openFault() !== null;
        $record = $traces ? self::of($job, $call) : null;
        if ($record === null || ! $record->isRunning()) {
            return $place;
        }
        foreach ($record->step->probes as $probe) {
            if ($probe->mode === $place->mode && $probe->key() === "{$place->a}~{$place->b}") {
                return $place->ofStep($record->step->key());
            }
        }

        return $place;
    }
}
