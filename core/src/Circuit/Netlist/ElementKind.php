<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Netlist;

/** What a two-terminal element of the circuit is. */
enum ElementKind: string
{
    case Winding = 'winding';
    case Fuse = 'fuse';
    case Wire = 'wire';
    case Joint = 'joint';
    case Jumper = 'jumper';
    case ThermostatSwitch = 'thermostat-switch';
    case SafetySwitch = 'safety-switch';
    case Contact = 'contact';
    case Load = 'load';
    case Electronics = 'electronics';
    case Touch = 'touch';
    case Bond = 'bond';

    /** Elements that are only copper: a path through them alone is one wire. */
    public function isCopper(): bool
    {
        return match ($this) {
            self::Winding, self::Load, self::Electronics => false,
            default => true,
        };
    }
}
