<?php

declare(strict_types=1);

namespace Unionbit\Core\Fault;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\LoadState;
use Unionbit\Core\Circuit\OperatingPoint;
use Unionbit\Core\Equipment\Heat\FanInHeat;
use Unionbit\Core\Equipment\LoadKind;
use Unionbit\Core\Equipment\Observable;
use Unionbit\Core\Thermostat\PowerKind;

/** What a person sees and hears of an operating point: blower, outdoor unit, valve, burner, strips, display, lamp. */
final class Observables
{
    /** Board electronics run from this many volts. */
    private const BOARD_RUNS_ABOVE = 16.0;

    /** @return array<string, bool> */
    public static function of(Circuit $circuit, OperatingPoint $point, ?Fault $fault = null): array
    {
        $seen = [];
        foreach ($circuit->installation->loads() as $load) {
            if ($load->observable !== null) {
                $seen[$load->observable->value] =
                    ($seen[$load->observable->value] ?? false) || $point->loads[$load->id] === LoadState::PulledIn;
            }
            if ($load->kind === LoadKind::BoardLogic && $load->id === 'board-logic') {
                $seen['board-lamp'] = $point->loadVolts[$load->id] >= self::BOARD_RUNS_ABOVE;
            }
        }
        if (array_key_exists(Observable::Blower->value, $seen) && self::unitRunsFan($circuit, $fault)) {
            $seen[Observable::Blower->value] = $seen[Observable::Blower->value] || self::heats($seen);
        }
        $seen['display'] = match ($circuit->profile->power) {
            PowerKind::Battery, PowerKind::CommonOrBattery => $fault?->entry !== 'display-dead',
            default => $point->thermostatUp,
        };
        foreach ($fault->forces ?? [] as $name) {
            $seen[$name] = true;
        }
        foreach ($fault->blocks ?? [] as $name) {
            $seen[$name] = false;
        }

        return $seen;
    }

    /** Whether the unit starts its own blower with heat; its fan jumper turned over does the opposite. */
    private static function unitRunsFan(Circuit $circuit, ?Fault $fault): bool
    {
        $runs = $circuit->installation->archetype->fanInHeat === FanInHeat::Equipment;

        return $fault?->fanTurned === true ? ! $runs : $runs;
    }

    /** @param  array<string, bool>  $seen */
    private static function heats(array $seen): bool
    {
        foreach ($seen as $name => $on) {
            if ($on && Observable::tryFrom($name)?->needsAir() === true) {
                return true;
            }
        }

        return false;
    }
}
