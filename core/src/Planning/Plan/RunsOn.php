<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Plan;

use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Thermostat\PowerKind;

/** What the thermostat of a plan runs on, as this house gives it. */
enum RunsOn: string
{
    case Equipment = 'equipment';
    case PlugIn = 'plug-in';
    case Batteries = 'batteries';
    /** It takes a common or batteries, and no conductor brings the common. */
    case BatteriesWithoutC = 'batteries-without-c';
    case Charging = 'charging';

    public static function in(Plan $plan): self
    {
        return match ($plan->profile->power) {
            PowerKind::Battery => self::Batteries,
            PowerKind::CommonOrBattery => self::hasCommon($plan) ? self::Equipment : self::BatteriesWithoutC,
            PowerKind::Shared => self::Charging,
            PowerKind::Common => $plan->landing->plugIn ? self::PlugIn : self::Equipment,
        };
    }

    /** Its menu is dark while the equipment has no power: nothing of its own keeps the display up. */
    public static function needsEquipment(Plan $plan): bool
    {
        return ! self::needsBatteries($plan) &&
            $plan->profile->power !== PowerKind::CommonOrBattery &&
            self::in($plan) !== self::PlugIn;
    }

    /** Somebody has to change batteries: the thermostat's own, or those of a radio wall unit. */
    public static function needsBatteries(Plan $plan): bool
    {
        return in_array(self::in($plan), [self::Batteries, self::BatteriesWithoutC], true) || self::isRadio($plan);
    }

    /** A wall unit that no conductor reaches: it runs on batteries of its own. */
    public static function isRadio(Plan $plan): bool
    {
        return $plan->profile->outputs === Place::Module && $plan->profile->linkConductors === 0;
    }

    private static function hasCommon(Plan $plan): bool
    {
        $common = $plan->profile->named(TerminalName::C);

        return $common !== null &&
            ($plan->profile->outputs === Place::Module
                ? $plan->installation->archetype->boardTerminal(TerminalName::C) !== null
                : $plan->landing->reaching($common->printed) !== []);
    }
}
