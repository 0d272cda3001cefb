<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting;

use LogicException;
use Unionbit\Core\Setting\Key\Equipment\AirflowSwitchesSetting;
use Unionbit\Core\Setting\Key\Equipment\CompressorsSetting;
use Unionbit\Core\Setting\Key\Equipment\EquipmentTypeSetting;
use Unionbit\Core\Setting\Key\Equipment\FanInHeatSetting;
use Unionbit\Core\Setting\Key\Equipment\HeatFuelSetting;
use Unionbit\Core\Setting\Key\Equipment\HeatStagesSetting;
use Unionbit\Core\Setting\Key\Equipment\LeakCheckSetting;
use Unionbit\Core\Setting\Key\Equipment\OutdoorStagesSetting;
use Unionbit\Core\Setting\Key\Equipment\ReversingValveSetting;
use Unionbit\Core\Setting\Key\HeatPump\AuxiliaryGapSetting;
use Unionbit\Core\Setting\Key\HeatPump\AuxiliaryLockoutSetting;
use Unionbit\Core\Setting\Key\HeatPump\AuxiliaryStagesSetting;
use Unionbit\Core\Setting\Key\HeatPump\AuxiliaryWithCompressorSetting;
use Unionbit\Core\Setting\Key\HeatPump\CompressorLockoutSetting;
use Unionbit\Core\Setting\Key\HeatPump\EmergencySetting;
use Unionbit\Core\Setting\Key\Setting;
use Unionbit\Core\Setting\Key\SettingKey;
use Unionbit\Core\Setting\Key\Thermostat\AccessoriesSetting;
use Unionbit\Core\Setting\Key\Thermostat\BatteriesSetting;
use Unionbit\Core\Setting\Key\Thermostat\CompressorOffSetting;
use Unionbit\Core\Setting\Key\Thermostat\CyclesSetting;
use Unionbit\Core\Setting\Key\Thermostat\DehumidifySetting;
use Unionbit\Core\Setting\Key\Thermostat\PowerSourceSetting;
use Unionbit\Core\Setting\Key\Thermostat\RemoteSetting;
use Unionbit\Core\Setting\Key\Thermostat\RSourceSetting;

/** The settings that an installer may have to enter, in the order in which they follow from each other. */
final class Settings
{
    /** @var ?list<Setting> */
    private static ?array $all = null;

    /** @return list<Setting> */
    public static function all(): array
    {
        return self::$all ??= [
            new EquipmentTypeSetting(),
            new HeatFuelSetting(),
            new FanInHeatSetting(),
            new OutdoorStagesSetting(),
            new CompressorsSetting(),
            new HeatStagesSetting(),
            new ReversingValveSetting(),
            new AuxiliaryStagesSetting(),
            new AuxiliaryWithCompressorSetting(),
            new EmergencySetting(),
            new CompressorOffSetting(),
            new CompressorLockoutSetting(),
            new AuxiliaryLockoutSetting(),
            new AuxiliaryGapSetting(),
            new CyclesSetting(),
            new PowerSourceSetting(),
            new RSourceSetting(),
            new DehumidifySetting(),
            new AccessoriesSetting(),
            new AirflowSwitchesSetting(),
            new LeakCheckSetting(),
            new BatteriesSetting(),
            new RemoteSetting(),
        ];
    }

    public static function of(SettingKey $key): Setting
    {
        foreach (self::all() as $setting) {
            if ($setting->key() === $key) {
                return $setting;
            }
        }
        throw new LogicException("No class for {$key->value}.");
    }
}
