<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Offer;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\WayOut;
use Unionbit\Core\Thermostat\PowerKind;
use Unionbit\Core\Thermostat\RemoteControl;

/** What an offered plan asks and gives up, in the points by which plans are ranked; fewer are better. */
final readonly class PlanPoints
{
    /** Of a lost call: what a household misses most. */
    private const LOSS = [
        'fan' => 2.0,
        'cool-1' => 20.0,
        'cool-2' => 3.0,
        'heat-1' => 20.0,
        'heat-2' => 3.0,
        'aux-1' => 8.0,
        'aux-2' => 3.0,
        'emergency' => 4.0,
        'furnace-1' => 20.0,
        'furnace-2' => 3.0,
        'defrost' => 4.0,
    ];

    /** Of a call that always runs its higher stage: a burner or one compressor; two compressors at once. */
    private const ALWAYS_HIGH = 3.5;

    private const COMPRESSORS_TIED = 6.0;

    /** Of an overflow switch that lets something go on making water. */
    private const WATER = 10.0;

    private const ACCESSORY = 2.0;

    private function __construct(
        public float $loss,
        public float $parts,
        public int $minutes,
        public int $trips,
        public int $risk,
    ) {
    }

    /** The points of an offer, computed once however often it is asked for. */
    public static function of(PlanOffer $offer): self
    {
        static $known = null;
        $known ??= new \WeakMap();
        /** @var \WeakMap<PlanOffer, self> $points */
        $points = $known;

        return $points[$offer] ??= new self(
            self::ofLoss($offer),
            $offer->partPoints(),
            $offer->minutes(),
            $offer->trips(),
            self::ofRisk($offer),
        );
    }

    public function score(Weights $weights): float
    {
        return round(
            $weights->capability * $this->loss +
                $weights->parts * $this->parts +
                $weights->time * ($this->minutes / 10.0 + $this->trips) +
                ($weights->risk * $this->risk) / 2.0,
            2,
        );
    }

    private static function ofLoss(PlanOffer $offer): float
    {
        $points =
            self::ACCESSORY * count($offer->accessories()) +
            Wishes::POINTS * count($offer->unmet()) +
            self::WATER * count($offer->proof->leaks()) +
            ($offer->plan->profile->remoteControl === RemoteControl::None ? 1.5 : 0.0);
        foreach ($offer->lostCalls() as $call) {
            $points += self::LOSS[$call] ?? 2.0;
        }
        foreach (array_column($offer->proof->raised, 'call') as $call) {
            $points += self::ofRaised($offer->plan, $call);
        }

        return $points;
    }

    /**
     * A call that always runs high costs more than its second stage left off: temperature rise, airflow and cycling
     * change (MR09); two compressors tied together start at once.
     */
    private static function ofRaised(Plan $plan, CallName $call): float
    {
        $burner = ! $call->isCooling() && $plan->installation->archetype->heatPump === null;
        $one = $plan->installation->answers->is('compressors', 'one');

        return $burner || $one ? self::ALWAYS_HIGH : self::COMPRESSORS_TIED;
    }

    private static function ofRisk(PlanOffer $offer): int
    {
        return array_sum(array_map(static fn (WayOut $w): int => $w->risk, $offer->ways)) +
            $offer->guesses() +
            ($offer->plan->profile->power === PowerKind::Shared ? 2 : 0) +
            4 * count($offer->proof->doubts);
    }
}
