<?php

declare(strict_types=1);

namespace App\Prove;

use App\House\House;
use App\Models\Job;
use App\Models\Record\Reading;
use App\Records\Reading\ReadingNotes;
use App\Records\Reading\ReadingView;
use App\Records\Step\StepSheet;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Planning\Plan\Plan;

/** Load checks of a job with the last readings taken for them, and the loaded ones judged against the one at rest. */
final class LoadCheckView
{
    /** @return list<array<string, mixed>> */
    public static function all(Job $job, Plan $plan, ReadingNotes $notes): array
    {
        $readings = $job
            ->proving($job->readings(), House::of($job)->isAsFound())
            ->where('stage', 'prove')
            ->whereNull('step')
            ->get();
        $latest = [];
        foreach ($readings as $reading) {
            $latest[self::key($reading->call ?? 'idle', $reading->mode, $reading->a, $reading->b)] = $reading;
        }
        $last = static fn (string $call, MeterMode $mode, string $a, string $b): ?Reading => $latest[
            self::key($call, $mode, $a, $b)
        ] ?? null;
        $rows = [];
        foreach (StepSheet::loads($plan) as $check) {
            $call = $check->call->value;
            $volts = $last($call, MeterMode::Volts, $check->a, $check->b);
            $rest = $last('idle', MeterMode::Volts, $check->a, $check->b);
            $amps = $check->clamp === null ? null : $last($call, MeterMode::Amps, $check->clamp, $check->clamp);
            $verdict =
                $call === 'idle' || $volts?->value === null || $rest?->value === null
                    ? null
                    : $check->judge($rest->value, $volts->value)->toArray();
            $rows[] = [
                ...$check->toArray(),
                'read' => [
                    'volts' => $volts === null ? null : ReadingView::of($volts, $notes),
                    'amps' => $amps === null ? null : ReadingView::of($amps, $notes),
                ],
                'rest' => $rest?->value,
                'verdict' => $verdict,
            ];
        }

        return $rows;
    }

    /** What is measured where: between two points whichever way round, through one conductor with the clamp. */
    private static function key(string $call, MeterMode $mode, string $a, string $b): string
    {
        $points = $mode === MeterMode::Amps ? [$a] : [$a, $b];
        sort($points);

        return implode(' ', [$call, $mode->value, ...$points]);
    }
}
