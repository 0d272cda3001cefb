<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting\Key;

use Unionbit\Core\Planning\Plan\Plan;

/** The choices that a thermostat's own menu has for a setting. */
final class Menu
{
    /** @return list<string> */
    public static function choices(Plan $plan, SettingKey $key): array
    {
        return array_map(strval(...), array_keys($plan->profile->menu[$key->value]['choices'] ?? []));
    }

    /** The choice next to a temperature; the temperature itself where the menu has none. */
    public static function nearest(Plan $plan, SettingKey $key, float $degrees): string
    {
        $best = null;
        foreach (self::choices($plan, $key) as $choice) {
            $away = static fn (string $of): float => abs((float) $of - $degrees);
            if (is_numeric($choice) && ($best === null || $away($choice) < $away($best))) {
                $best = $choice;
            }
        }

        return $best ?? sprintf('%.0f', $degrees);
    }
}
