<?php

declare(strict_types=1);

namespace App\Records\Reading;

use App\House\House;
use App\Models\Job;
use App\Models\Kind\Stage;
use App\Models\Record\Reading;

/** A reading as the log and the record show it. */
final class ReadingView
{
    /**
     * @param  ?ReadingNotes  $notes  of the job; without them it is shown as it was recorded
     * @return array<string, mixed>
     */
    public static function of(Reading $reading, ?ReadingNotes $notes = null): array
    {
        return [
            'id' => $reading->id,
            'stage' => $reading->stage,
            'step' => $reading->step,
            'call' => $reading->call,
            'mode' => $reading->mode,
            'unit' => $reading->mode->unit(),
            'a' => $reading->a,
            'b' => $reading->b,
            'value' => $reading->value,
            'low' => $reading->expected['low'] ?? null,
            'high' => $reading->expected['high'] ?? null,
            'power' => $reading->power,
            'outcome' => $reading->outcome,
            'at' => $reading->at->toIso8601String(),
            'corrects' => $reading->corrects_id,
            'simulated' => $reading->simulated,
            'fromFile' => $reading->from_file,
            ...$notes?->on($reading) ?? [
                'reason' => $reading->reason,
                'candidates' => $reading->candidates,
                'unexplained' => false,
                'note' => '',
            ],
        ];
    }

    /** @return list<array<string, mixed>> latest first */
    public static function log(Job $job, Stage $stage, ?ReadingNotes $notes = null, int $most = 40): array
    {
        $rows = $job
            ->readings()
            ->where('stage', $stage)
            ->where('as_found', $stage === Stage::Prove && House::of($job)->isAsFound())
            ->reorder()
            ->orderByDesc('seq')
            ->limit($most)
            ->get();
        $notes ??= ReadingNotes::of($job);

        return array_values($rows->map(static fn (Reading $r): array => self::of($r, $notes))->all());
    }
}
