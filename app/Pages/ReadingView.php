<?php

declare(strict_types=1);

namespace App\Pages;

use App\Models\Job;
use App\Models\Reading;
use App\Models\ReadingMark;
use Unionbit\Core\Circuit\MeterMode;

/** A reading as the log and the record show it. */
final class ReadingView
{
    /**
     * @param  array<string, array{unexplained: bool, note: string}>  $marks  by reading, the last of each
     * @return array<string, mixed>
     */
    public static function of(Reading $reading, array $marks = []): array
    {
        return [
            'id' => $reading->id, 'stage' => $reading->stage, 'step' => $reading->step, 'call' => $reading->call, 'mode' => $reading->mode,
            'unit' => MeterMode::from($reading->mode)->unit(), 'a' => $reading->a, 'b' => $reading->b, 'value' => $reading->value,
            'low' => $reading->expected['low'] ?? null, 'high' => $reading->expected['high'] ?? null, 'power' => $reading->power,
            'outcome' => $reading->outcome, 'reason' => $reading->reason, 'candidates' => $reading->candidates, 'at' => $reading->at->toIso8601String(),
            'corrects' => $reading->corrects_id, 'simulated' => $reading->simulated,
            'unexplained' => $marks[$reading->id]['unexplained'] ?? false, 'note' => $marks[$reading->id]['note'] ?? '',
        ];
    }

    /** @return list<array<string, mixed>> latest first */
    public static function log(Job $job, string $stage, int $most = 40): array
    {
        $rows = $job->readings()->where('stage', $stage)->reorder()->orderByDesc('at')->orderByDesc('id')->limit($most)->get();

        $marks = self::marks($job);

        return array_values($rows->map(static fn (Reading $r): array => self::of($r, $marks))->all());
    }

    /** @return array<string, array{unexplained: bool, note: string}> the last mark of each reading that has one */
    public static function marks(Job $job): array
    {
        return $job->readingMarks()->get()->mapWithKeys(static fn (ReadingMark $m): array => [$m->reading_id => ['unexplained' => $m->unexplained, 'note' => $m->note]])->all();
    }
}
