<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Job;
use App\Models\Reading;
use App\Pages\StepSheet;
use Illuminate\Support\Facades\Cache;
use Unionbit\Core\Circuit\MeterMode;
use Unionbit\Core\Proving\Judge;
use Unionbit\Core\Proving\TakenReading;

/**
 * Why the failed readings of a step's last run read as they do, from all readings of that run together. What was
 * recorded with a reading was its reason at that moment; a later one of the same call can leave fewer causes. Every
 * place that shows a reason asks here, so that they all say the same.
 */
final class JointReasons
{
    private const A_WEEK = 7 * 24 * 3600;

    /** @param  array<string, array{reason: string, candidates: list<string>}>  $known  by reading */
    private function __construct(private readonly array $known)
    {
    }

    public static function of(Job $job): self
    {
        $known = [];
        foreach (StepRecord::all($job) as $record) {
            $failed = array_filter($record->readings, static fn (Reading $r): bool => $r->outcome === 'fail');
            if ($failed !== [] && count($record->readings) > 1) {
                $known += self::run($job, $record, $failed);
            }
        }

        return new self($known);
    }

    public function reason(Reading $reading): string
    {
        return $this->known[$reading->id]['reason'] ?? $reading->reason;
    }

    /** @return list<string> */
    public function candidates(Reading $reading): array
    {
        return $this->known[$reading->id]['candidates'] ?? $reading->candidates;
    }

    /**
     * What was read in this run, as evidence for the reading of another pair.
     *
     * @return list<TakenReading>
     */
    public static function evidence(StepRecord $record): array
    {
        return array_values(array_map(
            static fn (Reading $r): TakenReading => new TakenReading(MeterMode::from($r->mode), $r->a, $r->b, $r->value),
            array_filter($record->readings, static fn (Reading $r): bool => $r->outcome !== 'too-early' && $r->outcome !== 'neutral'),
        ));
    }

    /**
     * @param  array<string, Reading>  $failed
     * @return array<string, array{reason: string, candidates: list<string>}>
     */
    private static function run(Job $job, StepRecord $record, array $failed): array
    {
        $plan = $job->house()->plan;
        if ($plan === null) {
            return [];
        }
        $taken = self::evidence($record);
        $key = 'joint-reasons/'.StepSheet::key($plan).'/'.md5(serialize([$record->step->key(), $taken, array_keys($failed)]));
        $by = Cache::remember($key, self::A_WEEK, static function () use ($job, $failed, $taken): array {
            $by = [];
            foreach ($failed as $pair => $reading) {
                $place = new ReadingPlace($reading->stage, MeterMode::from($reading->mode), $reading->a, $reading->b, $reading->step);
                $context = $place->context($job, PowerFlag::as($reading->power));
                $expected = $context->expect($place->mode, $reading->a, $reading->b);
                $verdict = (new Judge($context->circuit))->reading($expected, $context->setup, $reading->value, others: $taken);
                $by[$pair] = ['reason' => $verdict->reason, 'candidates' => $verdict->candidates];
            }

            return $by;
        });
        $known = [];
        foreach ($failed as $pair => $reading) {
            $known[$reading->id] = $by[$pair];
        }

        return $known;
    }
}
