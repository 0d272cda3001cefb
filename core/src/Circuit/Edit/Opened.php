<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Edit;

use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Netlist\ElementKind;
use Unionbit\Core\Circuit\Netlist\Netlist;

/** An element that no longer conducts: a broken conductor, an open switch, a blown fuse, an open coil. */
final readonly class Opened implements CircuitEdit
{
    public function __construct(private string $elementId)
    {
    }

    public function apply(Netlist $netlist): Netlist
    {
        return $netlist->changing($this->elementId, static fn (Element $e): Element => $e->opened());
    }

    public function describe(Netlist $netlist): string
    {
        $element = $netlist->part($this->elementId);

        return match ($element->kind) {
            ElementKind::Wire => "{$element->label} is open in the cable",
            ElementKind::Joint => "{$element->label} makes no contact at its screw",
            ElementKind::ThermostatSwitch => "the thermostat's {$element->subject} switch is open",
            ElementKind::Load => "the {$element->label} is open",
            ElementKind::Winding => 'the transformer gives nothing',
            default => "the {$element->label} is open",
        };
    }

    public function holdsOut(): array
    {
        return [];
    }
}
