<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Netlist;

use Unionbit\Core\Equipment\Load;
use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Thermostat\Meaning;
use Unionbit\Core\Thermostat\PowerKind;
use Unionbit\Core\Thermostat\Profile;
use Unionbit\Core\Wiring\Cable;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\End;
use Unionbit\Core\Wiring\Landing;
use Unionbit\Core\Wiring\Splices;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/**
 * Builds the netlist of an installation with a thermostat on the wall and its conductors landed as planned:
 * every screw, conductor half, landed end, link, switch, coil and contact, with everything at rest.
 */
final class Assembly
{
    /** Screws of the module for the link to a two-part thermostat's wall unit, whose own are 1, 2 and 3. */
    public const LINK_SCREWS = [1 => 'M1', 2 => 'M2', 3 => 'M3'];

    private const END_OHMS = 0.02;

    private const JUMPER_OHMS = 0.01;

    private const SWITCH_OHMS = 0.05;

    private const FUSE_OHMS = 0.02;

    private const ELECTRONICS_DC_OHMS = 25_000.0;

    /** A plug-in transformer of 20 VA, by the rule of {@see Transformer::sourceOhms()}. */
    private const PLUG_IN_OHMS = 69.12 / 20.0;

    /** The wall unit of a two-part thermostat takes about 2 VA; its signal conductor ends in a few kilohms. */
    private const WALL_UNIT_OHMS = (24.0 * 24.0) / 2.0;

    private const SIGNAL_OHMS = 6_800.0;

    /** @var array<string, Element> */
    private array $elements = [];

    /** @var array<string, Point> */
    private array $points = [];

    private function __construct(
        private readonly Installation $installation,
        private readonly Profile $profile,
        private readonly Landing $landing,
        private readonly Tolerance $tolerance,
    ) {
    }

    public static function netlist(
        Installation $installation,
        Profile $profile,
        Landing $landing,
        Tolerance $tolerance,
    ): Netlist {
        $assembly = new self($installation, $profile, $landing, $tolerance);
        $assembly->screws();
        $assembly->plate();
        foreach ($installation->cables as $cable) {
            $assembly->cable($cable);
        }
        $assembly->module();
        $assembly->wallUnit();
        $assembly->equipment();
        $assembly->jumpers();

        return new Netlist($assembly->elements, $assembly->points);
    }

    private function screws(): void
    {
        foreach ($this->profile->terminals as $terminal) {
            $this->points[$terminal->point()] = new Point(
                $terminal->point(),
                $terminal->place,
                Message::raw($terminal->printed),
                $terminal->printed,
                null,
                true,
            );
        }
        foreach ($this->installation->archetype->terminals as $terminal) {
            $this->points[$terminal->point()] = new Point(
                $terminal->point(),
                $terminal->place,
                Message::raw($terminal->printed),
                $terminal->printed,
                null,
                true,
            );
        }
    }

    private function plate(): void
    {
        $profile = $this->profile;
        if ($profile->link !== null && $this->landing->linkIn) {
            [$a, $b] = $profile->link;
            $this->copper(
                'plate.link',
                ElementKind::Jumper,
                $this->screw($a),
                $this->screw($b),
                self::JUMPER_OHMS,
                Message::of('circuit.assembly.link', a: $a, b: $b),
                'link',
            );
        }
        foreach ($profile->terminals as $terminal) {
            if ($terminal->hot !== null) {
                $this->add(
                    new Element(
                        id: "switch.{$terminal->printed}",
                        kind: ElementKind::ThermostatSwitch,
                        a: $this->screw($terminal->hot),
                        b: $terminal->point(),
                        label: Message::of('circuit.assembly.switch', terminal: $terminal->printed),
                        subject: $terminal->printed,
                        ohms: Element::OPEN,
                        reactance: 0.0,
                        dcOhms: Element::OPEN,
                    ),
                );
            }
        }
        $common = $profile->named(TerminalName::C);
        if ($profile->powerFrom !== null && $common !== null && $profile->powerVa > 0.0) {
            $this->add(
                new Element(
                    id: 'thermostat.electronics',
                    kind: ElementKind::Electronics,
                    a: $this->screw($profile->powerFrom),
                    b: $common->point(),
                    label: Message::of('circuit.assembly.thermostat-electronics'),
                    subject: 'thermostat',
                    ohms: (24.0 * 24.0) / $profile->powerVa,
                    reactance: 0.0,
                    dcOhms: self::ELECTRONICS_DC_OHMS,
                ),
            );
        }
        if ($this->landing->plugIn && $profile->powerFrom !== null && $common !== null) {
            $this->points['plug-in.winding'] = new Point(
                'plug-in.winding',
                Place::Wall,
                Message::of('circuit.assembly.plug-in-transformer'),
                null,
                null,
                true,
            );
            $this->add(
                new Element(
                    id: 'plug-in',
                    kind: ElementKind::Winding,
                    a: 'plug-in.winding',
                    b: $common->point(),
                    label: Message::of('circuit.assembly.plug-in-transformer'),
                    subject: 'plug-in',
                    ohms: self::PLUG_IN_OHMS,
                    reactance: 0.0,
                    dcOhms: 0.55 * self::PLUG_IN_OHMS,
                    emf: 24.0 * 1.12 * $this->tolerance->source,
                ),
            );
            $this->copper(
                'plug-in.lead',
                ElementKind::Wire,
                'plug-in.winding',
                $this->screw($profile->powerFrom),
                2.0 * self::END_OHMS,
                Message::of('circuit.assembly.plug-in-lead'),
                'plug-in',
            );
        }
        if ($profile->power === PowerKind::Shared && $profile->powerFrom !== null && $profile->charges !== null) {
            $this->add(
                new Element(
                    id: 'thermostat.electronics',
                    kind: ElementKind::Electronics,
                    a: $this->screw($profile->powerFrom),
                    b: $this->screw($profile->charges),
                    label: Message::of('circuit.assembly.thermostat-electronics'),
                    subject: 'thermostat',
                    ohms: (24.0 * 24.0) / $profile->powerVa,
                    reactance: 0.0,
                    dcOhms: self::ELECTRONICS_DC_OHMS,
                ),
            );
        }
    }

    /** Where the outputs stand at the equipment: short leads from the module to the board, letter to letter. */
    private function module(): void
    {
        if ($this->profile->outputs !== Place::Module) {
            return;
        }
        foreach ($this->installation->archetype->boardTerminals() as $terminal) {
            $serving = $this->profile->serving(Meaning::of($terminal->name, $this->installation->archetype));
            if ($serving !== null) {
                $this->copper(
                    "lead.{$terminal->printed}",
                    ElementKind::Wire,
                    $serving->point(),
                    $this->throughSafety($terminal->point()),
                    2.0 * self::END_OHMS,
                    Message::of('circuit.assembly.module-lead', terminal: $terminal->printed),
                    "lead.{$terminal->printed}",
                );
            }
        }
    }

    /**
     * A two-part thermostat's wall unit hangs on three conductors of the old cable: power over the first two, which
     * leave the module at its R and C, its signal over the third.
     */
    private function wallUnit(): void
    {
        if ($this->profile->linkConductors < 3) {
            return;
        }
        $board = $this->installation->archetype->boards[0];
        foreach (self::LINK_SCREWS as $number => $printed) {
            $this->points["wall.{$number}"] = new Point(
                "wall.{$number}",
                Place::Wall,
                Message::raw((string) $number),
                (string) $number,
                null,
                true,
            );
            $this->points["{$board->value}.{$printed}"] = new Point(
                "{$board->value}.{$printed}",
                $board,
                Message::raw($printed),
                $printed,
                null,
                true,
            );
        }
        $hot = $this->screw($this->profile->powerFrom ?? 'R');
        $common = $this->profile->named(TerminalName::C)?->point() ?? 'module.C';
        $this->copper(
            'module.link.1',
            ElementKind::Wire,
            $hot,
            "{$board->value}.M1",
            2.0 * self::END_OHMS,
            Message::of('circuit.assembly.module-link-1'),
            'module',
        );
        $this->copper(
            'module.link.2',
            ElementKind::Wire,
            $common,
            "{$board->value}.M2",
            2.0 * self::END_OHMS,
            Message::of('circuit.assembly.module-link-2'),
            'module',
        );
        $this->add(
            new Element(
                id: 'module.signal',
                kind: ElementKind::Electronics,
                a: "{$board->value}.M1",
                b: "{$board->value}.M3",
                label: Message::of('circuit.assembly.module-signal'),
                subject: 'module',
                ohms: self::SIGNAL_OHMS,
                reactance: 0.0,
                dcOhms: self::SIGNAL_OHMS,
            ),
        );
        $this->add(
            new Element(
                id: 'thermostat.wall-unit',
                kind: ElementKind::Electronics,
                a: 'wall.1',
                b: 'wall.2',
                label: Message::of('circuit.assembly.wall-unit'),
                subject: 'thermostat',
                ohms: self::WALL_UNIT_OHMS,
                reactance: 0.0,
                dcOhms: self::ELECTRONICS_DC_OHMS,
            ),
        );
        $this->add(
            new Element(
                id: 'thermostat.signal',
                kind: ElementKind::Electronics,
                a: 'wall.3',
                b: 'wall.2',
                label: Message::of('circuit.assembly.wall-unit-signal'),
                subject: 'thermostat',
                ohms: self::SIGNAL_OHMS,
                reactance: 0.0,
                dcOhms: self::SIGNAL_OHMS,
            ),
        );
    }

    private function screw(string $printed): string
    {
        return $this->profile->outputs->value.'.'.$printed;
    }

    private function cable(Cable $cable): void
    {
        $half = $cable->conductorOhms() / 2.0;
        foreach ($cable->conductors as $conductor) {
            $id = $conductor->id();
            $name =
                $cable->from === Place::Wall
                    ? $conductor->name()
                    : Message::of('circuit.assembly.outdoor', conductor: $conductor->name());
            foreach (['near' => $cable->from, 'mid' => null, 'far' => $cable->to] as $part => $place) {
                $this->points["{$id}.{$part}"] = new Point(
                    "{$id}.{$part}",
                    $place,
                    $name,
                    null,
                    $id,
                    $place !== null,
                );
            }
            $this->copper("{$id}.h1", ElementKind::Wire, "{$id}.near", "{$id}.mid", $half, $name, $id);
            $onward = "{$id}.mid";
            if ($conductor->colourAfterSplice !== null) {
                $onward = "{$id}.splice";
                $this->copper(
                    "{$id}.splice.joint",
                    ElementKind::Joint,
                    "{$id}.mid",
                    $onward,
                    2.0 * self::END_OHMS,
                    Message::of('circuit.assembly.splice', name: $name),
                    $id,
                );
            }
            $this->copper("{$id}.h2", ElementKind::Wire, $onward, "{$id}.far", $half, $name, $id);
            $this->land($cable, 'near', $this->nearEnd($cable, $conductor), "{$id}.near", $name, $id);
            $this->land($cable, 'far', $this->farEnd($cable, $conductor), "{$id}.far", $name, $id);
        }
    }

    private function nearEnd(Cable $cable, Conductor $conductor): End
    {
        return $cable->from === Place::Wall
            ? $this->landing->wall[$conductor->id()] ?? $conductor->near
            : $conductor->near;
    }

    private function farEnd(Cable $cable, Conductor $conductor): End
    {
        return $cable->from === Place::Wall
            ? $this->landing->board[$conductor->id()] ?? $conductor->far
            : $conductor->far;
    }

    private function land(Cable $cable, string $side, End $end, string $tip, Message $name, string $subject): void
    {
        $place = $side === 'far' ? $cable->to : $cable->from;
        $onto =
            $end->onto === null
                ? null
                : (new Splices($this->installation->cables))->target($cable, $side, $end->onto);
        if ($onto !== null) {
            $this->copper(
                "{$tip}.joint",
                ElementKind::Joint,
                $tip,
                "{$onto[1]->id()}.{$onto[2]}",
                2.0 * self::END_OHMS,
                Message::of('circuit.assembly.splice', name: $name),
                $subject,
            );
        }
        if ($end->terminal === null) {
            return;
        }
        $screw =
            $place === Place::Wall || $place === Place::Module
                ? "{$place->value}.{$end->terminal}"
                : $this->installation->pointOf($place, $end->terminal);
        $this->points[$screw] ??= new Point(
            $screw,
            $place,
            Message::raw($end->terminal),
            $end->terminal,
            null,
            true,
        );
        $this->copper(
            "{$tip}.joint",
            ElementKind::Joint,
            $tip,
            $cable->from === Place::Wall ? $this->throughSafety($screw) : $screw,
            self::END_OHMS,
            $name,
            $subject,
        );
    }

    /** A float switch in a conductor of the wall cable stands between its end and the board's screw. */
    private function throughSafety(string $screw): string
    {
        foreach ($this->installation->facts->safety as $device) {
            foreach ($device->breaks as $printed) {
                if ($screw !== $device->point($printed)) {
                    continue;
                }
                if (! $device->relay) {
                    $this->copper(
                        $device->id.(count($device->breaks) > 1 ? ".{$printed}" : ''),
                        ElementKind::SafetySwitch,
                        "{$screw}.{$device->id}",
                        $screw,
                        self::SWITCH_OHMS,
                        $device->name(),
                        $device->id,
                    );
                }

                return "{$screw}.{$device->id}";
            }
        }

        return $screw;
    }

    private function equipment(): void
    {
        $archetype = $this->installation->archetype;
        foreach ($this->installation->transformers() as $transformer) {
            $this->transformer($transformer);
        }
        foreach ($archetype->switches as $switch) {
            $this->copper(
                $switch->id,
                ElementKind::SafetySwitch,
                $switch->from,
                $switch->to,
                self::SWITCH_OHMS,
                $switch->label,
                $switch->id,
            );
        }
        foreach ($this->installation->facts->safety as $device) {
            if ($device->relay) {
                $this->copper(
                    $device->id,
                    ElementKind::SafetySwitch,
                    $device->point('R'),
                    $device->point($device->id),
                    self::SWITCH_OHMS,
                    $device->name(),
                    $device->id,
                );
            }
        }
        foreach ($archetype->modes as $mode => $contacts) {
            foreach ($contacts as $contact) {
                $ohms = $contact->normallyClosed ? self::SWITCH_OHMS : Element::OPEN;
                $this->copper(
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
            $this->add(self::loadElement($load, false, $this->tolerance));
            foreach ($load->drives as $contact) {
                $ohms = $contact->normallyClosed ? self::SWITCH_OHMS : Element::OPEN;
                $to = $contact->overLead ? $this->throughSafety($contact->to) : $contact->to;
                $this->copper(
                    $contact->id,
                    ElementKind::Contact,
                    $contact->from,
                    $to,
                    $ohms,
                    $contact->label,
                    $load->id,
                );
            }
        }
    }

    private function transformer(Transformer $transformer): void
    {
        $facts = $this->installation->facts;
        $winding = $transformer->id.'.winding';
        $this->points[$winding] = new Point(
            $winding,
            Place::Indoor,
            $transformer->fuseAmps === null
                ? Message::of('circuit.assembly.winding')
                : Message::of('circuit.assembly.secondary-before-fuse'),
            null,
            null,
            true,
        );
        $this->add(
            new Element(
                id: $transformer->id,
                kind: ElementKind::Winding,
                a: $winding,
                b: $transformer->common,
                label: Message::of('circuit.assembly.transformer'),
                subject: $transformer->id,
                ohms: $transformer->sourceOhms(),
                reactance: 0.0,
                dcOhms: $transformer->windingOhms(),
                emf: Transformer::idleVolts($facts->line(), $facts->tap()) *
                    $this->tolerance->source *
                    ($transformer->reversed ? -1.0 : 1.0),
            ),
        );
        $label =
            $transformer->fuseAmps === null
                ? Message::of('circuit.assembly.transformer-lead')
                : Message::of('circuit.assembly.fuse', fuseAmps: Quantity::of($transformer->fuseAmps, Unit::Amps));
        $this->copper(
            $transformer->id.'.fuse',
            $transformer->fuseAmps === null ? ElementKind::Wire : ElementKind::Fuse,
            $winding,
            $transformer->hot,
            self::FUSE_OHMS,
            $label,
            $transformer->id,
        );
        $this->points['cabinet'] ??= new Point(
            'cabinet',
            Place::Indoor,
            Message::of('circuit.assembly.cabinet'),
            null,
            null,
            true,
        );
        if ($transformer->bonded ?? $this->installation->commonBonded()) {
            $this->copper(
                $transformer->id.'.bond',
                ElementKind::Bond,
                $transformer->common,
                'cabinet',
                self::JUMPER_OHMS,
                Message::of('circuit.assembly.bond-cabinet'),
                'cabinet',
            );
        }
    }

    private function jumpers(): void
    {
        $house = $this->installation;
        foreach (
            [...$house->archetype->ties, ...$house->jumpers, ...$this->landing->jumpers] as $index => $jumper
        ) {
            $this->copper(
                "tie.{$index}",
                ElementKind::Jumper,
                $this->tied($jumper->place, $jumper->a),
                $this->tied($jumper->place, $jumper->b),
                self::JUMPER_OHMS,
                Message::raw($jumper->label),
                $jumper->label,
            );
        }
    }

    private function tied(Place $place, string $printed): string
    {
        return $place === Place::Wall || $place === Place::Module
            ? "{$place->value}.{$printed}"
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

    private function copper(
        string $id,
        ElementKind $kind,
        string $a,
        string $b,
        float $ohms,
        Message $label,
        string $subject,
    ): void {
        $this->add(Element::copper($id, $kind, $a, $b, $ohms, $label, $subject));
    }

    private function add(Element $element): void
    {
        $this->elements[$element->id] = $element;
        foreach ([$element->a, $element->b] as $point) {
            $this->points[$point] ??= new Point(
                $point,
                Place::tryFrom(explode('.', $point)[0]),
                $element->label,
                null,
                null,
                false,
            );
        }
    }
}
