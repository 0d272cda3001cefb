<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting;

use Unionbit\Core\Figures\BalancePoint;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\PlannedConductor;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Thermostat\PowerKind;

/** What each setting must be for a plan, or null where the house does not ask for it. */
final class Values
{
    /** Working figures for cycles per hour; the maker's sheet wins. */
    private const CYCLES = ['gas' => '5', 'oil' => '3', 'electric' => '9', 'hydronic' => '3', 'heat-pump' => '3'];

    public static function of(Plan $plan, SettingKey $key): ?string
    {
        $archetype = $plan->installation->archetype;
        $pump = $archetype->heatPump;
        $heats = $archetype->heatStages > 0 || ($pump !== null && $pump->auxiliaryStages > 0);

        return match ($key) {
            SettingKey::EquipmentType => match (true) {
                $pump !== null => $archetype->system(),
                $archetype->coolStages === 0 => 'heat-only',
                $archetype->heatStages === 0 => 'cool-only',
                default => 'conventional',
            },
            SettingKey::HeatFuel => $heats ? self::fuel($plan) : null,
            SettingKey::FanInHeat => $archetype->fanInHeat,
            SettingKey::OutdoorStages => $archetype->coolStages > 0
                ? (string) min($archetype->coolStages, self::reaches($plan, TerminalName::Y2) ? 2 : 1)
                : null,
            SettingKey::Compressors => $archetype->coolStages > 1
                ? $plan->installation->answers->choice('compressors') ?? 'one'
                : null,
            SettingKey::HeatStages => $archetype->heatStages > 0 && $archetype->system() !== 'heat-pump'
                ? (string) min($archetype->heatStages, self::reaches($plan, TerminalName::W2) ? 2 : 1)
                : null,
            SettingKey::ReversingValve => $pump?->valve,
            SettingKey::AuxiliaryStages => $pump !== null && $archetype->system() === 'heat-pump'
                ? (string) min($pump->auxiliaryStages, self::reaches($plan, TerminalName::W2) ? 2 : 1)
                : null,
            SettingKey::AuxiliaryWithCompressor => $pump === null || ! $heats
                ? null
                : ($archetype->system() === 'dual-fuel'
                    ? 'no'
                    : 'yes'),
            SettingKey::Emergency => $pump === null
                ? null
                : ($archetype->system() === 'dual-fuel'
                    ? 'furnace'
                    : ($pump->auxiliaryStages > 0
                        ? 'electric'
                        : 'none')),
            SettingKey::CompressorOff => $archetype->coolStages > 0 ? self::offTime($plan) : null,
            SettingKey::CompressorLockout => $pump === null
                ? null
                : ($archetype->system() === 'dual-fuel'
                    ? self::nearest($plan, $key, BalancePoint::changeover(BalancePoint::valuesOf($plan)))
                    : 'off'),
            SettingKey::AuxiliaryLockout => $pump === null || $archetype->system() === 'dual-fuel' || ! $heats
                ? null
                : self::nearest($plan, $key, BalancePoint::auxiliaryLockout(BalancePoint::valuesOf($plan))),
            SettingKey::Cycles => $heats ? self::cycles($plan) : null,
            SettingKey::PowerSource => match ($plan->profile->power) {
                PowerKind::Battery => 'battery',
                PowerKind::Shared => 'shared',
                PowerKind::Common => 'common',
                PowerKind::CommonOrBattery => self::reaches($plan, TerminalName::C) ? 'common' : 'battery',
            },
            SettingKey::RSource => $plan->profile->link === null ? null : ($plan->landing->linkIn ? 'one' : 'two'),
            SettingKey::Accessories => self::accessories($plan) === [] ? 'no' : 'yes',
            SettingKey::Remote => $plan->profile->remoteControl === 'none' ? null : 'join',
        };
    }

    public static function fuel(Plan $plan): string
    {
        return $plan->installation->archetype->heatSource;
    }

    /** @return list<string> names of accessory conductors that land */
    public static function accessories(Plan $plan): array
    {
        $names = [];
        foreach (PlannedConductor::all($plan) as $planned) {
            if (
                in_array(
                    $planned->wallName,
                    [TerminalName::Hum, TerminalName::Deh, TerminalName::S1, TerminalName::S2],
                    true,
                )
            ) {
                $names[] = $planned->conductor->name();
            }
        }

        return $names;
    }

    /** Whether the plate has this terminal and something lands on it, or a lead leaves from it. */
    public static function reaches(Plan $plan, TerminalName $name): bool
    {
        $screw = $plan->profile->serving($name)?->printed;
        if ($screw === null) {
            return false;
        }

        return $plan->profile->outputs === Place::Module
            ? $plan->installation->archetype->terminalNamed(Place::Indoor, $name) !== null
            : $plan->landing->on($screw) !== [];
    }

    /** The profile's shortest choice that is at least five minutes, else its longest. */
    private static function offTime(Plan $plan): string
    {
        $choices = array_map(
            intval(...),
            array_keys($plan->profile->menu[SettingKey::CompressorOff->value]['choices'] ?? []),
        );
        sort($choices);
        foreach ($choices as $seconds) {
            if ($seconds >= Derivation::COMPRESSOR_OFF_SECONDS) {
                return (string) $seconds;
            }
        }

        return (string) (end($choices) ?: Derivation::COMPRESSOR_OFF_SECONDS);
    }

    /** The choice of the menu next to a temperature; the temperature itself where the menu has none. */
    private static function nearest(Plan $plan, SettingKey $key, float $degrees): string
    {
        $best = null;
        foreach (array_keys($plan->profile->menu[$key->value]['choices'] ?? []) as $choice) {
            if (
                is_numeric($choice) &&
                ($best === null || abs((float) $choice - $degrees) < abs((float) $best - $degrees))
            ) {
                $best = (string) $choice;
            }
        }

        return $best ?? sprintf('%.0f', $degrees);
    }

    private static function cycles(Plan $plan): string
    {
        $archetype = $plan->installation->archetype;
        $wanted = self::CYCLES[$archetype->system() === 'heat-pump' ? 'heat-pump' : $archetype->heatSource] ?? '5';
        $choices = array_map(strval(...), array_keys($plan->profile->menu[SettingKey::Cycles->value]['choices'] ?? []));

        return $choices === [] || in_array($wanted, $choices, true) ? $wanted : $choices[0];
    }
}
