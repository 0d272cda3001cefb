<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting;

/** The settings that an installer enters in a thermostat's menu, in the order in which they follow from each other. */
enum SettingKey: string
{
    case EquipmentType = 'equipment-type';
    case HeatFuel = 'heat-fuel';
    case FanInHeat = 'fan-in-heat';
    case OutdoorStages = 'outdoor-stages';
    case Compressors = 'compressors';
    case HeatStages = 'heat-stages';
    case ReversingValve = 'reversing-valve';
    case AuxiliaryStages = 'aux-stages';
    case AuxiliaryWithCompressor = 'aux-with-compressor';
    case Emergency = 'emergency';
    case CompressorOff = 'compressor-off';
    case CompressorLockout = 'compressor-lockout';
    case AuxiliaryLockout = 'aux-lockout';
    case Cycles = 'cycles';
    case PowerSource = 'power-source';
    case RSource = 'r-source';
    case Accessories = 'accessories';
    case Remote = 'remote';

    public function label(): string
    {
        return match ($this) {
            self::EquipmentType => 'Equipment type',
            self::HeatFuel => 'Indoor heat',
            self::FanInHeat => 'Fan in heat',
            self::OutdoorStages => 'Outdoor stages',
            self::Compressors => 'Compressor arrangement',
            self::HeatStages => 'Indoor heat stages',
            self::ReversingValve => 'Reversing valve',
            self::AuxiliaryStages => 'Auxiliary stages',
            self::AuxiliaryWithCompressor => 'Auxiliary with the compressor',
            self::Emergency => 'Emergency heat',
            self::CompressorOff => 'Compressor minimum off',
            self::CompressorLockout => 'Compressor lockout, changeover',
            self::AuxiliaryLockout => 'Auxiliary lockout',
            self::Cycles => 'Cycles per hour in heat',
            self::PowerSource => 'Power source',
            self::RSource => 'R source',
            self::Accessories => 'Accessories',
            self::Remote => 'Remote control',
        };
    }

    /** A choice in the trade's words. */
    public function choiceLabel(string $choice): string
    {
        return match ($this) {
            self::EquipmentType, self::HeatFuel, self::PowerSource => ucfirst(str_replace('-', ' ', $choice)),
            self::FanInHeat => [
                'none' => 'No fan',
                'equipment' => 'The equipment runs it',
                'thermostat' => 'The thermostat runs it',
            ][$choice] ?? $choice,
            self::ReversingValve => ['O' => 'Energised in cooling (O)', 'B' => 'Energised in heating (B)'][$choice] ??
                $choice,
            self::CompressorOff => is_numeric($choice) && (int) $choice > 0
                ? sprintf('%g min', (int) $choice / 60)
                : 'Off',
            self::Compressors => ['one' => 'One with two stages', 'two' => 'Two compressors'][$choice] ?? $choice,
            self::AuxiliaryWithCompressor => ['yes' => 'Joins it', 'no' => 'Takes its place'][$choice] ?? $choice,
            self::Emergency => ['electric' => 'Electric strips', 'furnace' => 'The furnace', 'none' => 'None'][
                $choice
            ] ?? $choice,
            self::CompressorLockout, self::AuxiliaryLockout => $choice === 'off' ? 'No lockout' : "{$choice} °F",
            self::RSource => ['one' => 'One R, link in', 'two' => 'Rc and Rh apart, link out'][$choice] ?? $choice,
            self::Accessories, self::Remote => ['yes' => 'Yes', 'no' => 'None', 'join' => 'Join it', 'none' => 'None'][
                $choice
            ] ?? $choice,
            self::OutdoorStages, self::HeatStages, self::AuxiliaryStages, self::Cycles => $choice,
        };
    }

    /** Settings that change which terminals a call closes: what they do is asked of the circuit. */
    public function decidesCalls(): bool
    {
        return in_array(
            $this,
            [
                self::EquipmentType,
                self::HeatFuel,
                self::FanInHeat,
                self::OutdoorStages,
                self::HeatStages,
                self::ReversingValve,
                self::AuxiliaryStages,
                self::AuxiliaryWithCompressor,
            ],
            true,
        );
    }
}
