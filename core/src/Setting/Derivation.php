<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting;

use Unionbit\Core\Call\CallSettings;
use Unionbit\Core\Planning\Plan\Plan;

/** Derives every setting of a plan from the survey, with its reason and the consequence of each other choice. */
final class Derivation
{
    /** Compressor minimum off time in seconds, where nothing says otherwise. */
    public const COMPRESSOR_OFF_SECONDS = 300;

    /** @return list<DerivedSetting> in the order of the thermostat's own menu, those that it lacks after them */
    public static function all(Plan $plan): array
    {
        $settings = [];
        foreach (SettingKey::cases() as $key) {
            $value = Values::of($plan, $key);
            if ($value !== null) {
                $settings[] = self::setting($plan, $key, $value);
            }
        }
        $order = array_flip(array_keys($plan->profile->menu));
        usort(
            $settings,
            static fn (DerivedSetting $a, DerivedSetting $b): int => ($order[$a->key->value] ?? 99) <=>
                ($order[$b->key->value] ?? 99),
        );

        return $settings;
    }

    /**
     * The settings that decide the calls: as entered, and as derived where nothing is entered yet.
     *
     * @param  array<string, string>  $entered  value by setting key
     */
    public static function callSettings(Plan $plan, array $entered = []): CallSettings
    {
        $value = static fn (SettingKey $key): ?string => $entered[$key->value] ?? Values::of($plan, $key);
        $stages = static fn (SettingKey $key): ?int => isset($entered[$key->value]) ? (int) $entered[$key->value] : null;
        // Where only the fuel is entered otherwise, the thermostat concludes the fan from it.
        $fuel = $entered[SettingKey::HeatFuel->value] ?? null;
        $fan =
            $entered[SettingKey::FanInHeat->value] ??
            ($fuel === null || $fuel === Values::of($plan, SettingKey::HeatFuel)
                ? null
                : ['electric' => 'thermostat', 'hydronic' => 'none'][$fuel] ?? 'equipment');
        $backup = $value(SettingKey::AuxiliaryWithCompressor);

        return new CallSettings(
            $value(SettingKey::EquipmentType) ?? 'conventional',
            $fan ?? (Values::of($plan, SettingKey::FanInHeat) ?? 'equipment'),
            $value(SettingKey::ReversingValve) ?? 'O',
            $stages(SettingKey::OutdoorStages),
            $stages(SettingKey::HeatStages),
            $stages(SettingKey::AuxiliaryStages),
            $backup === null ? null : $backup === 'yes',
        );
    }

    private static function setting(Plan $plan, SettingKey $key, string $value): DerivedSetting
    {
        $reason = Reasons::of($plan, $key, $value);
        $open = Reasons::disagreement($plan, $key, $value);
        $menu = $plan->profile->menu[$key->value] ?? null;
        if ($menu === null) {
            return new DerivedSetting(
                $key,
                $value,
                $reason,
                '',
                [],
                $plan,
                "This thermostat has no such setting: it must behave as {$key->choiceLabel(
                    $value,
                )} by itself. See its sheet.",
                $open,
            );
        }

        return new DerivedSetting($key, $value, $reason, $menu['label'], $menu['choices'], $plan, null, $open);
    }
}
