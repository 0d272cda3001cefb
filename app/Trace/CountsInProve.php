<?php

declare(strict_types=1);

namespace App\Trace;

use App\Models\Crew\User;
use App\Models\Job;
use App\Records\Reading\RunningProof;
use App\Records\Step\ObserveSign;
use Illuminate\Support\Str;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\Show\SignAnswer;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Proving\Step\Sign;

/** What Trace sees while the proof of the same call runs, counts in that proof too. */
final class CountsInProve
{
    /**
     * Signs of the running proof that were answered here.
     *
     * @param  array<string, string>  $sees
     * @return array<string, array{sign: Sign, seen: bool, how: ?SignAnswer}> by the id that each will have
     */
    public static function signs(Job $job, Hands $setup, array $sees): array
    {
        $record = $sees !== [] && $setup->isPlain() ? RunningProof::of($job, $setup->call) : null;
        if ($record === null || ! $record->isRunning() || $record->offAt !== null) {
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
     * @return array{seen: bool, how: ?SignAnswer}
     */
    private static function answered(Sign $sign, array $answers): array
    {
        $said = count($answers) === 1 ? SignAnswer::tryFrom($answers[0]) : null;
        $how = in_array($said, SignAnswer::NEITHER, true) ? $said : null;
        $runs = array_any($answers, static fn (string $a): bool => $a === 'yes' || $a === 'on');

        return [
            'seen' => $how === null && $runs !== $sign->still,
            'how' => $how !== null && in_array($how, $sign->neither(), true) ? $how : null,
        ];
    }

    /** @param  array<string, array{sign: Sign, seen: bool, how: ?SignAnswer}>  $signs  by id */
    public static function record(Job $job, User $user, CallName $call, array $signs): void
    {
        $step = $signs === [] ? '' : RunningProof::of($job, $call)?->step->key() ?? '';
        foreach ($signs as $id => $one) {
            ObserveSign::record($job, $user, $id, $step, $one['sign']->key, $one['seen'], $one['how']);
        }
    }
}
