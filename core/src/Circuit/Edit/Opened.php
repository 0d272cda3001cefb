<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Edit;

use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Netlist\ElementKind;
use Unionbit\Core\Circuit\Netlist\Netlist;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Words\Message;

/** An element that no longer conducts: a broken conductor, an open switch, a blown fuse, an open coil. */
final readonly class Opened implements CircuitEdit
{
    public function __construct(private Part $part)
    {
    }

    public function apply(Netlist $netlist): Netlist
    {
        return $netlist->changing($this->part->id, static fn (Element $e): Element => $e->opened());
    }

    public function describe(Netlist $netlist): Message
    {
        $element = $netlist->part($this->part->id);

        return match ($element->kind) {
            ElementKind::Wire => Message::of('circuit.opened.open-in-cable', element: $element->label),
            ElementKind::Joint => Message::of('circuit.opened.makes-no-contact-at-screw', element: $element->label),
            ElementKind::ThermostatSwitch => Message::of(
                'circuit.opened.thermostats-switch-open',
                subject: $element->subject,
            ),
            ElementKind::Load => Message::of('circuit.opened.open', element: $element->label),
            ElementKind::Winding => Message::of('circuit.opened.transformer-gives-nothing'),
            default => Message::of('circuit.opened.open', element: $element->label),
        };
    }

    public function holdsOut(): array
    {
        return [];
    }
}
