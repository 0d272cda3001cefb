<?php

declare(strict_types=1);

namespace App\Pages;

use App\Models\Job;
use App\Models\Reading;
use Unionbit\Core\Circuit\MeterMode;

/** A reading as the log and the record show it. */
final class ReadingView
{
    /** @return array<string, mixed> */
    public static function of(Reading $reading): array
    {
        return [
            'id' => $reading->id, 'stage' => $reading->stage, 'step' => $reading->step, 'call' => $reading->call, 'mode' => $reading->mode,
            'unit' => MeterMode::from($reading->mode)->unit(), 'a' => $reading->a, 'b' => $reading->b, 'value' => $reading->value,
            'low' => $reading->expected['low'] ?? null, 'high' => $reading->expected['high'] ?? null, 'power' => $reading->power,
            'outcome' => $reading->outcome, 'reason' => $reading->reason, 'candidates' => $reading->candidates, 'at' => $reading->at->toIso8601String(),
            'corrects' => $reading->corrects_id, 'simulated' => $reading->simulated,
        ];
    }

    /** @return list<array<string, mixed>> latest first */
    public static function log(Job $job, string $stage, int $most = 40): array
    {
        $rows = $job->readings()->where('stage', $stage)->reorder()->orderByDesc('at')->orderByDesc('id')->limit($most)->get();

        return array_values($rows->map(self::of(...))->all());
    }
}
