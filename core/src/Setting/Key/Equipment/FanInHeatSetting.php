<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting\Key\Equipment;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Setting\Key\DecidesCalls;
use Unionbit\Core\Setting\Key\SettingKey;
use Unionbit\Core\Words\Message;

/** Who runs the fan in heat. */
final readonly class FanInHeatSetting implements DecidesCalls
{
    public function key(): SettingKey
    {
        return SettingKey::FanInHeat;
    }

    public function value(Plan $plan): string
    {
        return $plan->installation->archetype->fanInHeat->value;
    }

    public function choice(string $choice): Message
    {
        return Message::of('setting.fan-in-heat.choice', choice: $choice);
    }

    public function reason(Plan $plan, string $value): Message
    {
        return match ($value) {
            'thermostat' => Message::of('setting.fan-in-heat.thermostat'),
            'none' => Message::of('setting.fan-in-heat.none'),
            default => Message::of(
                'setting.fan-in-heat.equipment',
                fuel: $plan->installation->archetype->heatSource->value,
            ),
        };
    }
}
