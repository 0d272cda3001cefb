<?php

declare(strict_types=1);

namespace App\Records\Reading;

use App\House\House;
use App\Models\Job;
use App\Models\Record\Reading;
use App\Records\Power\PowerFlag;
use App\Records\SetUp\SetupStrip;
use App\Records\Step\StepRecord;
use App\Words\Words;
use Illuminate\Support\Facades\Cache;
use Unionbit\Core\Asked\MeterReading;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Proving\Judge\Judge;
use Unionbit\Core\Proving\Step\Outcome;

/**
 * Why the failed readings of a call read as they do, from all readings of it together: those of a step's last run, or
 * those taken outside the steps since the power last changed. What was recorded with a reading was its reason at that
 * moment; a later one of the same call can leave fewer causes. Every place that shows a reason asks here, so that they
 * all say the same.
 */
final readonly class JointReasons
{
    private const A_WEEK = 7 * 24 * 3600;

    /** @param  array<string, array{reason: string, candidates: list<string>}>  $known  by reading */
    private function __construct(private array $known)
    {
    }

    /** @param  ?array<string, StepRecord>  $steps  of the job, where they are at hand */
    public static function of(Job $job, ?array $steps = null): self
    {
        $plan = House::of($job)->standing;
        if ($plan === null) {
            return new self([]);
        }
        $groups = [
            ...array_map(
                static fn (StepRecord $r): array => array_values($r->readings),
                array_values($steps ?? StepRecord::all($job)),
            ),
            ...self::outside($job),
        ];
        $known = [];
        foreach ($groups as $readings) {
            $failed = array_values(
                array_filter($readings, static fn (Reading $r): bool => $r->outcome === Outcome::Fail),
            );
            if ($failed !== [] && count($readings) > 1) {
                $known += self::together($job, $plan, $readings, $failed);
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
     * What was read of a call before, as evidence for the reading of another pair.
     *
     * @param  ?StepRecord  $step  the step in whose run it is read; null outside the steps
     * @return list<MeterReading>
     */
    public static function before(Job $job, ReadingPlace $place, ?StepRecord $step): array
    {
        return self::evidence(
            $step === null
                ? self::outside($job)["{$place->stage->value}/{$place->call}"] ?? []
                : array_values($step->readings),
        );
    }

    /**
     * @return array<string, list<Reading>> taken outside the steps since the power last changed, the last of each
     *     pair, by stage and call
     */
    private static function outside(Job $job): array
    {
        $since = $job->counting($job->powerEvents())->max('seq') ?? 0;
        $readings = $job
            ->proving($job->readings(), House::of($job)->isAsFound())
            ->whereNull('step')
            ->whereNotNull('call')
            ->where('seq', '>', $since)
            ->get();
        $groups = [];
        foreach ($readings as $reading) {
            $groups["{$reading->stage->value}/{$reading->call}"][
                "{$reading->mode->value}/{$reading->a}~{$reading->b}"
            ] = $reading;
        }

        return array_map(array_values(...), $groups);
    }

    /**
     * @param  list<Reading>  $readings
     * @return list<MeterReading>
     */
    private static function evidence(array $readings): array
    {
        $judged = array_filter(
            $readings,
            static fn (Reading $r): bool => $r->outcome === Outcome::Pass || $r->outcome === Outcome::Fail,
        );

        return array_values(
            array_map(
                static fn (Reading $r): MeterReading => new MeterReading($r->mode, $r->a, $r->b, $r->value),
                $judged,
            ),
        );
    }

    /**
     * @param  list<Reading>  $readings  of one call
     * @param  non-empty-list<Reading>  $failed  of them
     * @return array<string, array{reason: string, candidates: list<string>}> by reading
     */
    private static function together(Job $job, Plan $plan, array $readings, array $failed): array
    {
        $taken = self::evidence($readings);
        $stood = SetupStrip::read($job);
        $of = array_map(
            static fn (Reading $r): array => [
                array_keys($stood->before($r->seq)->all),
                $r->stage->value,
                $r->step,
                $r->call,
                $r->mode->value,
                $r->a,
                $r->b,
                $r->value,
                $r->power->value,
            ],
            $failed,
        );
        $verdicts = Cache::remember(
            'joint-reasons/'.House::key($plan).'/'.md5(serialize([$of, $taken])),
            self::A_WEEK,
            static fn (): array => array_map(static function (Reading $reading) use ($job, $taken): array {
                $place = new ReadingPlace(
                    $reading->stage,
                    $reading->mode,
                    $reading->a,
                    $reading->b,
                    $reading->step,
                    $reading->call,
                );
                $context = $place->context($job, PowerFlag::as($reading->power), $reading->seq);
                $expected = $context->expect($place->mode, $reading->a, $reading->b);
                $verdict = (new Judge($context->house))->reading(
                    $expected,
                    $context->hands,
                    $reading->value,
                    others: $taken,
                );

                return ['reason' => $verdict->reason, 'candidates' => $verdict->candidates];
            }, $failed),
        );

        return array_combine(
            array_map(static fn (Reading $r): string => $r->id, $failed),
            array_map(
                static fn (array $v): array => [
                    'reason' => Words::say($v['reason']),
                    'candidates' => Words::each($v['candidates']),
                ],
                $verdicts,
            ),
        );
    }
}
