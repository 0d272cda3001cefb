<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting;

use Unionbit\Core\Call\CallSettings;
use Unionbit\Core\Equipment\Dehumidify;
use Unionbit\Core\Equipment\Heat\FanInHeat;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Setting\Key\HasSteps;
use Unionbit\Core\Setting\Key\OwnChoices;
use Unionbit\Core\Setting\Key\Setting;
use Unionbit\Core\Setting\Key\SettingKey;
use Unionbit\Core\Words\Message;

/** Derives every setting of a plan from the survey, with its reason and the consequence of each other choice. */
final class Derivation
{
    /** @return list<DerivedSetting> in the order of the thermostat's own menu, those that it lacks after them */
    public static function all(Plan $plan): array
    {
        $settings = [];
        foreach (Settings::all() as $setting) {
            $value = $setting->value($plan);
            if ($value !== null) {
                $settings[] = self::setting($plan, $setting, $value);
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
        $value = static fn (SettingKey $key): ?string => $entered[$key->value] ?? Settings::of($key)->value($plan);
        // A thermostat that is not asked for its stages makes all that it has.
        $stages = static fn (SettingKey $key): ?int => isset($entered[$key->value]) ||
        isset($plan->profile->menu[$key->value])
            ? self::count($value($key))
            : null;
        // Where only the fuel is entered otherwise, the thermostat concludes the fan from it.
        $fuel = $entered[SettingKey::HeatFuel->value] ?? null;
        $fan =
            $entered[SettingKey::FanInHeat->value] ??
            ($fuel === null || $fuel === $plan->installation->archetype->heatSource->value
                ? null
                : ['electric' => 'thermostat', 'hydronic' => 'none'][$fuel] ?? 'equipment');
        // Set to another type, the thermostat does with backup heat what that type does, until it is told otherwise.
        $type = $entered[SettingKey::EquipmentType->value] ?? null;
        $backup =
            $type === null || $type === Settings::of(SettingKey::EquipmentType)->value($plan)
                ? $value(SettingKey::AuxiliaryWithCompressor)
                : $entered[SettingKey::AuxiliaryWithCompressor->value] ?? null;
        $dehumidify = $value(SettingKey::Dehumidify);

        return new CallSettings(
            $value(SettingKey::EquipmentType) ?? 'conventional',
            FanInHeat::tryFrom($fan ?? '') ?? $plan->installation->archetype->fanInHeat,
            $value(SettingKey::ReversingValve) ?? 'O',
            $stages(SettingKey::OutdoorStages),
            $stages(SettingKey::HeatStages),
            $stages(SettingKey::AuxiliaryStages),
            $backup === null ? null : $backup === 'yes',
            $dehumidify === null ? null : Dehumidify::tryFrom($dehumidify),
        );
    }

    private static function count(?string $value): ?int
    {
        return $value === null ? null : (int) $value;
    }

    private static function setting(Plan $plan, Setting $setting, string $value): DerivedSetting
    {
        $menu =
            $setting instanceof OwnChoices
                ? ['label' => $setting->where(), 'choices' => $setting->choices($plan)]
                : $plan->profile->menu[$setting->key()->value] ?? null;

        return new DerivedSetting(
            key: $setting->key(),
            value: $value,
            reason: $setting->reason($plan, $value),
            menuLabel: $menu['label'] ?? '',
            choices: $menu['choices'] ?? [],
            plan: $plan,
            lacking: $menu === null
                ? Message::of('setting.derivation.lacking', choice: $setting->choice($value))
                : null,
            open: Disagreement::of($plan, $setting->key(), $value),
            steps: $setting instanceof HasSteps ? $setting->steps($plan) : [],
        );
    }
}
