<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting;

use Unionbit\Core\Call\CallSettings;
use Unionbit\Core\Planning\Plan;

/** Derives every setting of a plan from the survey, with its reason and the consequence of each other choice. */
final class Derivation
{
    /** Compressor minimum off time in seconds, where nothing says otherwise. */
    public const COMPRESSOR_OFF_SECONDS = 300;

    /** @return list<DerivedSetting> */
    public static function all(Plan $plan): array
    {
        $settings = [self::equipmentType($plan), self::fanInHeat($plan)];
        if ($plan->installation->archetype->heatPump !== null) {
            $settings[] = self::reversingValve($plan);
        }
        if ($plan->installation->archetype->coolStages > 0) {
            $settings[] = self::compressorOff($plan);
        }

        return $settings;
    }

    /**
     * The settings that decide the calls: as entered, and as derived where nothing is entered yet.
     *
     * @param  array<string, string>  $entered  value by setting key
     */
    public static function callSettings(Plan $plan, array $entered = []): CallSettings
    {
        $values = [];
        foreach ([SettingKey::EquipmentType, SettingKey::FanInHeat, SettingKey::ReversingValve] as $key) {
            $values[$key->value] = $entered[$key->value] ?? self::value($plan, $key);
        }

        return new CallSettings($values[SettingKey::EquipmentType->value], $values[SettingKey::FanInHeat->value], $values[SettingKey::ReversingValve->value]);
    }

    private static function value(Plan $plan, SettingKey $key): string
    {
        $archetype = $plan->installation->archetype;

        return match ($key) {
            SettingKey::EquipmentType => match (true) {
                $archetype->heatPump !== null => $archetype->system(),
                $archetype->coolStages === 0 => 'heat-only',
                $archetype->heatStages === 0 => 'cool-only',
                default => 'conventional',
            },
            SettingKey::FanInHeat => $archetype->fanInHeat,
            SettingKey::ReversingValve => $archetype->heatPump->valve ?? 'O',
            SettingKey::CompressorOff => self::offTime($plan),
        };
    }

    private static function equipmentType(Plan $plan): DerivedSetting
    {
        $archetype = $plan->installation->archetype;
        $value = self::value($plan, SettingKey::EquipmentType);
        $reason = match ($value) {
            'heat-only' => "{$archetype->title}: no cooling.",
            'cool-only' => "{$archetype->title}: no heat.",
            'heat-pump' => 'The outdoor unit reverses: a heat pump, with '.($archetype->heatPump?->auxiliaryStages === 0 ? 'no auxiliary heat.' : 'strip heat as auxiliary.'),
            'dual-fuel' => "The outdoor unit reverses and a {$archetype->heatSource} furnace is the second source: never both on the thermostat's account.",
            default => 'Heat on W and cooling on Y, and nothing at the outdoor unit reverses: conventional.',
        };

        return self::setting($plan, SettingKey::EquipmentType, $value, $reason);
    }

    private static function fanInHeat(Plan $plan): DerivedSetting
    {
        $archetype = $plan->installation->archetype;
        $reason = match ($archetype->fanInHeat) {
            'thermostat' => 'Electric heat or a hot-water coil: the fan must be called with the heat.',
            'none' => 'Radiators or a zone valve: no fan in heat at all.',
            default => ucfirst($archetype->heatSource).' heat: the furnace runs the blower itself, after the burner has lit.',
        };

        return self::setting($plan, SettingKey::FanInHeat, $archetype->fanInHeat, $reason);
    }

    private static function reversingValve(Plan $plan): DerivedSetting
    {
        $valve = $plan->installation->archetype->heatPump->valve ?? 'O';
        $reason = "The outdoor unit has {$valve}: its valve is energised in ".($valve === 'O' ? 'cooling' : 'heating').'. From the equipment, never from the colour; proved by the air on the first call.';

        return self::setting($plan, SettingKey::ReversingValve, $valve, $reason);
    }

    private static function compressorOff(Plan $plan): DerivedSetting
    {
        $board = $plan->installation->archetype->delays['outdoor-board'] ?? null;
        $reason = $board === null
            ? 'The outdoor unit has no board of its own with a delay: only the thermostat protects the compressor.'
            : 'The outdoor board holds a delay too; the thermostat\'s covers power losses at the wall.';

        return self::setting($plan, SettingKey::CompressorOff, self::offTime($plan), $reason);
    }

    /** The profile's shortest choice that is at least five minutes, else its longest. */
    private static function offTime(Plan $plan): string
    {
        $choices = array_map(intval(...), array_keys($plan->profile->menu[SettingKey::CompressorOff->value]['choices'] ?? []));
        sort($choices);
        foreach ($choices as $seconds) {
            if ($seconds >= self::COMPRESSOR_OFF_SECONDS) {
                return (string) $seconds;
            }
        }

        return (string) (end($choices) ?: self::COMPRESSOR_OFF_SECONDS);
    }

    private static function setting(Plan $plan, SettingKey $key, string $value, string $reason): DerivedSetting
    {
        $menu = $plan->profile->menu[$key->value] ?? null;
        if ($menu === null) {
            return new DerivedSetting($key, $value, $reason, '', [], $plan, "This thermostat has no such setting: it must behave as {$key->choiceLabel($value)} by itself. See its sheet.");
        }

        return new DerivedSetting($key, $value, $reason, $menu['label'], $menu['choices'], $plan);
    }
}
