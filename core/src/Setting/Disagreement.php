<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Setting\Key\SettingKey;
use Unionbit\Core\Words\Message;

/** Where two sources of a house disagree on a setting: both answers, kept open until somebody decides. */
final class Disagreement
{
    /** @return list<array{value: string, source: Message}> empty, or two or more */
    public static function of(Plan $plan, SettingKey $key, string $value): array
    {
        $other = match ($key) {
            SettingKey::FanInHeat => self::fan($plan, $value),
            SettingKey::EquipmentType => self::equipment($plan),
            SettingKey::AirflowSwitches => [
                'value' => 'as-found',
                'source' => Message::of('setting.disagreement.switches-as-found'),
            ],
            default => null,
        };

        return $other === null ? [] : [['value' => $value, 'source' => self::own($key)], $other];
    }

    private static function own(SettingKey $key): Message
    {
        return $key === SettingKey::AirflowSwitches
            ? Message::of('setting.disagreement.switches-by-sheet')
            : Message::of('setting.disagreement.surveyed');
    }

    /** @return ?array{value: string, source: Message} */
    private static function fan(Plan $plan, string $value): ?array
    {
        $jumper = $plan->installation->answers->choice('fanJumper');
        $other = match ([$value, $jumper]) {
            ['equipment', 'electric'] => 'thermostat',
            ['thermostat', 'gas'] => 'equipment',
            default => null,
        };

        return $other === null
            ? null
            : [
                'value' => $other,
                'source' => Message::of('setting.disagreement.fan-jumper', jumper: (string) $jumper),
            ];
    }

    /** @return ?array{value: string, source: Message} */
    private static function equipment(Plan $plan): ?array
    {
        $plate = $plan->installation->answers->choice('indoorPlate');
        $other = match ([$plan->installation->archetype->reverses, $plate]) {
            [true, 'cools'] => 'conventional',
            [false, 'reverses'] => 'heat-pump',
            default => null,
        };

        return $other === null
            ? null
            : [
                'value' => $other,
                'source' => Message::of('setting.disagreement.indoor-plate', plate: (string) $plate),
            ];
    }
}
