<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting;

/** The settings that an installer enters in a thermostat's menu. */
enum SettingKey: string
{
    case EquipmentType = 'equipment-type';
    case FanInHeat = 'fan-in-heat';
    case ReversingValve = 'reversing-valve';
    case CompressorOff = 'compressor-off';

    public function label(): string
    {
        return match ($this) {
            self::EquipmentType => 'Equipment type',
            self::FanInHeat => 'Fan in heat',
            self::ReversingValve => 'Reversing valve',
            self::CompressorOff => 'Compressor minimum off',
        };
    }

    /** A choice in the trade's words. */
    public function choiceLabel(string $choice): string
    {
        return match ($this) {
            self::EquipmentType => ucfirst(str_replace('-', ' ', $choice)),
            self::FanInHeat => ['none' => 'No fan', 'equipment' => 'The equipment runs it', 'thermostat' => 'The thermostat runs it'][$choice] ?? $choice,
            self::ReversingValve => ['O' => 'Energised in cooling (O)', 'B' => 'Energised in heating (B)'][$choice] ?? $choice,
            self::CompressorOff => is_numeric($choice) && (int) $choice > 0 ? sprintf('%g min', (int) $choice / 60) : 'Off',
        };
    }
}
