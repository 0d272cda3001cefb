<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting\Key\Equipment;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Setting\Key\DecidesCalls;
use Unionbit\Core\Setting\Key\SettingKey;
use Unionbit\Core\Words\Message;

/** Conventional, heat pump or dual fuel; heat or cooling alone. */
final readonly class EquipmentTypeSetting implements DecidesCalls
{
    public function key(): SettingKey
    {
        return SettingKey::EquipmentType;
    }

    public function value(Plan $plan): string
    {
        $archetype = $plan->installation->archetype;

        return match (true) {
            $archetype->heatPump !== null => $archetype->system(),
            $archetype->coolStages === 0 => 'heat-only',
            $archetype->heatStages === 0 => 'cool-only',
            default => 'conventional',
        };
    }

    public function choice(string $choice): Message
    {
        return Message::of('setting.equipment-type.choice', choice: $choice);
    }

    public function reason(Plan $plan, string $value): Message
    {
        $archetype = $plan->installation->archetype;

        return match ($value) {
            'heat-only' => Message::of('setting.equipment-type.no-cooling', equipment: $archetype->title),
            'cool-only' => Message::of('setting.equipment-type.no-heat', equipment: $archetype->title),
            'heat-pump' => $archetype->heatPump?->auxiliaryStages === 0
                ? Message::of('setting.equipment-type.heat-pump-alone')
                : Message::of('setting.equipment-type.heat-pump'),
            'dual-fuel' => Message::of('setting.equipment-type.dual-fuel', fuel: $archetype->heatSource->value),
            default => Message::of('setting.equipment-type.conventional'),
        };
    }
}
