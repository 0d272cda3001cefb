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
    case Strip = 'strip';

    /** On the line side: the line itself, a primary, what switches it. No control circuit meets it. */
    case Line = 'line';
    case Primary = 'primary';
    case LineSwitch = 'line-switch';
    case LineContact = 'line-contact';

    public function isLineSide(): bool
    {
        return match ($this) {
            self::Line, self::Primary, self::LineSwitch, self::LineContact => true,
            default => false,
        };
    }

    /** Elements that are only copper: a path through them alone is one wire. */
    public function isCopper(): bool
    {
        return match ($this) {
            self::Winding, self::Load, self::Electronics, self::Line, self::Primary => false,
            default => true,
        };
    }
}
