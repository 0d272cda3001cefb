<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Netlist;

use Unionbit\Core\Equipment\Load;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Point\At;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Wiring\Landing;
use Unionbit\Core\Words\Message;

/** The equipment: supplies, switches in the line, contacts, loads, and the ties at plate and boards. */
final readonly class EquipmentParts
{
    private const JUMPER_OHMS = 0.01;

    /** The ground of the line between the sheet metal of two units. */
    private const GROUND_OHMS = 0.1;

    public function __construct(
        private NetBuilder $net,
        private Installation $installation,
        private Landing $landing,
        private Tolerance $tolerance,
        private SafetyParts $safety,
        private SupplyParts $supply,
    ) {
    }

    public function equipment(): void
    {
        $archetype = $this->installation->archetype;
        $this->metal();
        foreach ($this->installation->transformers() as $transformer) {
            $this->supply->add($transformer);
        }
        $this->names();
        foreach ($archetype->switches as $switch) {
            $this->net->copper(
                $switch->id,
                ElementKind::SafetySwitch,
                $switch->from,
                $switch->to,
                Assembly::SWITCH_OHMS,
                $switch->label,
                $switch->id,
            );
        }
        foreach ($this->installation->facts->safety as $device) {
            if ($device->relay) {
                $this->net->copper(
                    $device->id,
                    ElementKind::SafetySwitch,
                    $device->point('R'),
                    $device->point($device->id),
                    Assembly::SWITCH_OHMS,
                    $device->name(),
                    $device->id,
                );
            }
        }
        foreach ($archetype->modes as $mode => $contacts) {
            foreach ($contacts as $contact) {
                $ohms = $contact->normallyClosed ? Assembly::SWITCH_OHMS : Element::OPEN;
                $this->net->copper(
                    $contact->id,
                    ElementKind::Contact,
                    $contact->from,
                    $contact->to,
                    $ohms,
                    $contact->label,
                    $mode,
                );
            }
        }
        foreach ($this->installation->loads() as $load) {
            $this->net->add(self::loadElement($load, false, $this->tolerance));
            foreach ($load->drives as $contact) {
                $ohms = $contact->normallyClosed ? Assembly::SWITCH_OHMS : Element::OPEN;
                $to = $contact->overLead ? $this->safety->before($contact->to) : $contact->to;
                $this->net->copper(
                    $contact->id,
                    $contact->onLine ? ElementKind::LineContact : ElementKind::Contact,
                    $contact->from,
                    $to,
                    $ohms,
                    $contact->label,
                    $load->id,
                );
            }
        }
    }

    /** The sheet metal of each unit, joined by the ground of the line. */
    private function metal(): void
    {
        $own = At::metal()->id;
        $this->net->at($own, PointKind::Metal, Place::Indoor, Message::of('circuit.assembly.cabinet'));
        foreach ($this->installation->archetype->units as $unit) {
            $place = Place::from($unit['place']);
            if ($place === Place::Indoor) {
                continue;
            }
            $metal = At::metal($place)->id;
            $this->net->at(
                $metal,
                PointKind::Metal,
                $place,
                Message::of('circuit.assembly.cabinet-of', place: $this->installation->placeName($place)),
            );
            $this->net->copper(
                Part::ground($place)->id,
                ElementKind::Bond,
                $own,
                $metal,
                self::GROUND_OHMS,
                Message::of('circuit.assembly.ground'),
                'ground',
            );
        }
    }

    /** What the points inside the units are called, before anything is joined to them. */
    private function names(): void
    {
        foreach ($this->installation->archetype->switches as $switch) {
            $this->inside($switch->to, Message::of('circuit.assembly.after', part: $switch->label));
        }
        foreach ($this->installation->loads() as $load) {
            $this->inside($load->from, Message::of('circuit.assembly.at', part: $load->label));
            $this->inside($load->to, Message::of('circuit.assembly.back-from', part: $load->label));
            foreach ($load->drives as $contact) {
                if ($contact->onLine) {
                    $this->inside(
                        $contact->from,
                        Message::of('circuit.assembly.line-in', part: $load->label),
                        PointKind::Line,
                    );
                    $this->inside(
                        $contact->to,
                        Message::of('circuit.assembly.line-out', part: $load->label),
                        PointKind::Line,
                    );
                }
            }
        }
        foreach ($this->installation->loads() as $load) {
            foreach ($load->drives as $contact) {
                $this->inside($contact->to, Message::of('circuit.assembly.behind', part: $contact->label));
            }
        }
    }

    public function jumpers(): void
    {
        $house = $this->installation;
        foreach ([...$house->archetype->ties, ...$this->landing->jumpers] as $index => $jumper) {
            $this->net->copper(
                Part::tie($index)->id,
                ElementKind::Jumper,
                $this->tied($jumper->place, $jumper->a),
                $this->tied($jumper->place, $jumper->b),
                self::JUMPER_OHMS,
                Message::raw($jumper->label),
                $jumper->label,
            );
        }
    }

    /** A point inside a unit, which a probe reaches too; screws have their own names. */
    private function inside(string $point, Message $label, PointKind $kind = PointKind::Inside): void
    {
        $place = At::read($point)->place;
        if ($place !== null) {
            $this->net->at($point, $kind, $place, $label);
        }
    }

    private function tied(Place $place, string $printed): string
    {
        return $place === Place::Wall || $place === Place::Module
            ? At::screw($place, $printed)->id
            : $this->installation->pointOf($place, $printed);
    }

    /** The element of a load in one of its states, with the coil tolerance of the corner. */
    public static function loadElement(Load $load, bool $pulledIn, Tolerance $tolerance): Element
    {
        [$ohms, $reactance] = $load->kind->impedance($pulledIn);
        $factor = $load->kind->isCoil() ? $tolerance->coil : 1.0;

        return new Element(
            id: $load->id,
            kind: ElementKind::Load,
            a: $load->from,
            b: $load->to,
            label: $load->label,
            subject: $load->id,
            ohms: $ohms * $factor,
            reactance: $reactance * $factor,
            dcOhms: $load->kind->dcOhms(),
        );
    }
}
