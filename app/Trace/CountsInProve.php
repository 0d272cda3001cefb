<?php

declare(strict_types=1);

namespace App\Trace;

use App\Models\Job;
use App\Models\User;
use App\Records\Reading\ReadingPlace;
use App\Records\Step\ObserveSign;
use App\Records\Step\StepRecord;
use Illuminate\Support\Str;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Proving\Judge\Neither;
use Unionbit\Core\Proving\Step\Method;
use Unionbit\Core\Proving\Step\Sign;
use Unionbit\Core\Tracing\Test\TestSetup;

/** What Trace reads and sees while the proof of the same call runs, counts in that proof too. */
final class CountsInProve
{
    /** The proof by the thermostat of a call; null where this house has none. */
    public static function proof(Job $job, CallName $call): ?StepRecord
    {
        $method = $call === CallName::Idle ? Method::AtRest : Method::Voltage;

        return StepRecord::all($job)["{$call->value}.{$method->value}"] ?? null;
    }

    /**
     * Signs of the running proof that were answered here.
     *
     * @param  array<string, string>  $sees
     * @return array<string, array{sign: Sign, seen: bool, how: ?Neither}> by the id that each will have
     */
    public static function signs(Job $job, TestSetup $setup, array $sees): array
    {
        $record = $setup->isPlain() ? self::proof($job, $setup->call) : null;
        if ($record === null || ! $record->isRunning()) {
            return [];
        }
        $signs = [];
        foreach ($record->step->signs as $sign) {
            $answers = array_intersect_key($sees, array_flip($sign->watched()));
            if (count($answers) === count($sign->watched()) && $sign->key !== Sign::DROP_OFF) {
                $signs[(string) Str::ulid()] = ['sign' => $sign, ...self::answered($sign, array_values($answers))];
            }
        }

        return $signs;
    }

    /**
     * @param  list<string>  $answers
     * @return array{seen: bool, how: ?Neither}
     */
    private static function answered(Sign $sign, array $answers): array
    {
        $how = count($answers) === 1 ? Neither::tryFrom($answers[0]) : null;
        $runs = array_any($answers, static fn (string $a): bool => $a === 'yes' || $a === 'on');

        return [
            'seen' => $how === null && $runs !== $sign->still,
            'how' => $how !== null && in_array($how, Neither::of($sign), true) ? $how : null,
        ];
    }

    /** @param  array<string, array{sign: Sign, seen: bool, how: ?Neither}>  $signs  by id */
    public static function record(Job $job, User $user, CallName $call, array $signs): void
    {
        $step = self::proof($job, $call)?->step->key() ?? '';
        foreach ($signs as $id => $one) {
            ObserveSign::record($job, $user, $id, $step, $one['sign']->key, $one['seen'], $one['how']);
        }
    }

    /** A reading of a pair that the running proof asks for belongs to it. */
    public static function place(Job $job, ReadingPlace $place): ReadingPlace
    {
        $call = CallName::tryFrom($place->call ?? 'idle');
        $record = $place->isLoose() && $call !== null ? self::proof($job, $call) : null;
        if ($record === null || ! $record->isRunning() || $job->openFault() === null) {
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
