<?php

declare(strict_types=1);

namespace Unionbit\Core\Equipment;

/** What sets a piece of equipment apart that its screws and loads do not show. */
enum EquipmentKind: string
{
    case Plain = 'plain';
    /** A fan and a hot-water coil, with the boiler's water behind a valve. */
    case HotWaterCoil = 'hot-water-coil';
    /** Made for a bus, taken back to conventional calls (MR19). */
    case Communicating = 'communicating';
    /** Relay and transformer on one plate beside a furnace without a board. */
    case FanCenter = 'fan-center';
    /** No board: W is the gas valve itself, through its limit. */
    case BareValve = 'bare-valve';
}
