<?php

declare(strict_types=1);

namespace Unionbit\Core\Visit;

use Unionbit\Core\Job\Facts;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\LinkState;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\RunsOn;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Thermostat\PowerKind;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\Evidence;

/** The survey that a visit leaves behind: what the next visit, a sister system or a copy starts from. */
final class AsLeft
{
    /** The house with its conductors where the plan landed them: the next visit finds them there. */
    public static function landed(Plan $plan): Installation
    {
        $house = $plan->installation;
        $left = static function (Conductor $conductor) use ($plan): Conductor {
            $now = $conductor->withNear($plan->landing->wall[$conductor->id()] ?? $conductor->near);

            return isset($plan->landing->board[$conductor->id()])
                ? $now->withFar($plan->landing->board[$conductor->id()])
                : $now;
        };
        foreach ($house->wallCables() as $cable) {
            $house = $house->withCable($cable->withConductors(array_map($left, $cable->conductors)));
        }
        $facts = $house->facts;
        $link =
            $plan->profile->link === null
                ? LinkState::NotThere
                : ($plan->landing->linkIn
                    ? LinkState::In
                    : LinkState::Out);

        return new Installation(
            $house->archetype,
            new Facts(
                lineVolts: $facts->lineVolts,
                tapVolts: $facts->tapVolts,
                transformerVa: $facts->transformerVa,
                fuseAmps: $facts->fuseAmps,
                commonBonded: $facts->commonBonded,
                plateLink: $link,
                oldPower: self::ranOn($plan),
                secondBonded: $facts->secondBonded,
                secondPhase: $facts->secondPhase,
                safety: $facts->safety,
                sharedKit: $facts->sharedKit,
                further: $facts->further,
                oldSwitches: match (true) {
                    $plan->profile->outputs === Place::Module => 'receiver',
                    default => $plan->profile->switchesInFace ? 'face' : 'base',
                },
            ),
            $house->cables,
            $plan->landing->jumpers,
            $house->answers->with('display', null),
            [],
            $house->places,
            $house->prints,
            $house->equipmentFrom,
        );
    }

    /** In the survey's words; what they have no word for, as a thermostat that charges through a load, is not known. */
    private static function ranOn(Plan $plan): string
    {
        return match (RunsOn::in($plan)) {
            RunsOn::Batteries, RunsOn::BatteriesWithoutC => 'battery',
            RunsOn::Equipment => $plan->profile->power === PowerKind::CommonOrBattery ? 'both' : 'common',
            RunsOn::PlugIn, RunsOn::Charging => 'unknown',
        };
    }

    /** A sister of this house: wired alike as far as anybody knows, but nothing of it was seen yet. */
    public static function sister(Installation $house): Installation
    {
        $cables = $house->cables;
        foreach ($cables as $index => $cable) {
            $cables[$index] = $cable->withConductors(
                array_map(
                    static fn (Conductor $c): Conductor => $c->withEvidence(
                        $c->isSpare() ? Evidence::Unknown : Evidence::ColourOnly,
                    ),
                    $cable->conductors,
                ),
            );
        }
        $facts = $house->facts;

        return new Installation(
            $house->archetype,
            new Facts(
                tapVolts: $facts->tapVolts,
                transformerVa: $facts->transformerVa,
                safety: $facts->safety,
                further: $facts->further,
            ),
            $cables,
            $house->jumpers,
            $house->answers->with('history', null)->with('display', null),
            equipmentFrom: $house->equipmentFrom,
        );
    }
}
