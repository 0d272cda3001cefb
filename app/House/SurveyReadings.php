<?php

declare(strict_types=1);

namespace App\House;

use App\Models\Job;
use App\Models\Record\Reading;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\Equipment\Sc20OtherEquipment;
use Unionbit\Core\Screening\Rule\SurveyReading;
use Unionbit\Core\Screening\Screening;
use Unionbit\Core\Screening\VanishingPoint;
use Unionbit\Core\Visit\LeftOpen;

/** The survey's readings as the screening rules take them: those that stand, corrected ones left out. */
final class SurveyReadings
{
    /** @return list<SurveyReading> in the order they were taken */
    public static function of(Job $job): array
    {
        $readings = $job
            ->counting($job->readings())
            ->where('stage', 'survey')
            ->whereIn('mode', ['V', 'O'])
            ->get();
        $corrected = $readings->pluck('corrects_id')->filter()->all();
        // What was read at a transformer's line leads is the line, and no line voltage at a thermostat.
        $points = House::of($job)->circuitAsFound()->netlist(Setup::calling())->points;
        $standing = $readings->reject(
            static fn (Reading $r): bool => in_array($r->id, $corrected, true) ||
                ((($points[$r->a] ?? null)?->isLine() ?? false) && (($points[$r->b] ?? null)?->isLine() ?? false)),
        );

        return array_values(
            $standing
                ->map(static fn (Reading $r): SurveyReading => new SurveyReading($r->a, $r->b, $r->value, $r->mode))
                ->all(),
        );
    }

    public static function supplyMeasured(Job $job): bool
    {
        foreach (self::of($job) as $reading) {
            if ($reading->mode === MeterMode::Volts && $reading->isHotToCommon(House::of($job)->installation)) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Finding> what screening says of the house as it was found */
    public static function screening(Job $job): array
    {
        $readings = self::of($job);
        $house = House::of($job)->installation;
        $vanishes = VanishingPoint::find($house, $readings);

        return array_values(
            array_filter([self::otherEquipment($house), ...Screening::check($house, $readings), $vanishes]),
        );
    }

    /**
     * @param  bool  $landed  every move of the plan is done
     * @return list<Finding> what screening says of the house as the work leaves it; as it was found until then
     */
    public static function screeningAsLeft(Job $job, bool $landed): array
    {
        $plan = House::of($job)->plan;

        return $plan === null || ! $landed
            ? self::screening($job)
            : array_values(
                array_filter([
                    self::otherEquipment($plan->installation),
                    ...LeftOpen::findings(House::of($job)->installation, $plan, self::of($job)),
                ]),
            );
    }

    /** @return list<Finding> what stops a plan and its moves */
    public static function stops(Job $job): array
    {
        $house = House::of($job)->installation;
        $other = self::otherEquipment($house);

        return [
            ...$other?->severity === Severity::Stop ? [$other] : [],
            ...Screening::stops($house, self::of($job)),
        ];
    }

    private static function otherEquipment(Installation $house): ?Finding
    {
        return Sc20OtherEquipment::find($house, app(Catalog::class)->shelf());
    }
}
