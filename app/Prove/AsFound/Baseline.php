<?php

declare(strict_types=1);

namespace App\Prove\AsFound;

use App\House\House;
use App\Models\Job;
use App\Models\Record\Waiver;
use App\Records\Step\StepRecord;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Proving\Step\Method;
use Unionbit\Core\Words\Message;

/** What worked before the work and what did not, on the thermostat that was found: said before, not after. */
final class Baseline
{
    /** @return list<array{call: Message, state: string, told: ?string}> of the proofs that were begun on it */
    public static function of(Job $job): array
    {
        if (House::of($job)->plan === null) {
            return [];
        }
        $told = $job
            ->proving($job->waivers(), true)
            ->get()
            ->mapWithKeys(static fn (Waiver $w): array => [$w->call => $w->reason])
            ->all();
        $rows = [];
        foreach (StepRecord::asFound($job) as $record) {
            $main = in_array($record->step->method, [Method::AtRest, Method::Voltage], true);
            if ($main && $record->startedAt !== null) {
                $call = $record->step->call;
                $rows[] = [
                    'call' => $call === CallName::Idle ? Message::of('prove.page.at-rest') : $call->label(),
                    'state' => $record->state(),
                    'told' => $told[$call->value] ?? null,
                ];
            }
        }

        return $rows;
    }
}
