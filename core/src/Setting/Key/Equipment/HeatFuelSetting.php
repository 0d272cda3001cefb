<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting\Key\Equipment;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Setting\Key\DecidesCalls;
use Unionbit\Core\Setting\Key\SettingKey;
use Unionbit\Core\Words\Message;

/** What heats indoors. */
final readonly class HeatFuelSetting implements DecidesCalls
{
    public function key(): SettingKey
    {
        return SettingKey::HeatFuel;
    }

    public function value(Plan $plan): ?string
    {
        $archetype = $plan->installation->archetype;
        $heats = $archetype->heatStages > 0 || ($archetype->heatPump->auxiliaryStages ?? 0) > 0;

        return $heats ? $archetype->heatSource->value : null;
    }

    public function choice(string $choice): Message
    {
        return Message::of('setting.heat-fuel.choice', choice: $choice);
    }

    public function reason(Plan $plan, string $value): Message
    {
        return Message::of('setting.heat-fuel.found', fuel: $value);
    }
}
