<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting\Key;

use Unionbit\Core\Words\Message;

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
    case AuxiliaryGap = 'aux-gap';
    case Cycles = 'cycles';
    case PowerSource = 'power-source';
    case RSource = 'r-source';
    case Dehumidify = 'dehumidify';
    case Accessories = 'accessories';
    case AirflowSwitches = 'airflow-switches';
    case LeakCheck = 'leak-check';
    case Batteries = 'batteries';
    case Remote = 'remote';

    public function label(): Message
    {
        return Message::term($this);
    }
}
