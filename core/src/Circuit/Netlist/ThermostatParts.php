<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Netlist;

use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Point\At;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Thermostat\PowerKind;
use Unionbit\Core\Thermostat\Profile;
use Unionbit\Core\Wiring\Landing;
use Unionbit\Core\Words\Message;

/** The thermostat: its plate with switches and link, its electronics, a module at the equipment and its wall unit. */
final readonly class ThermostatParts
{
    /** A plug-in transformer of 20 VA, by the rule of {@see Transformer::sourceOhms()}. */
    private const PLUG_IN_OHMS = 69.12 / 20.0;

    private const ELECTRONICS_DC_OHMS = 25_000.0;

    /** The wall unit of a two-part thermostat takes about 2 VA; its signal conductor ends in a few kilohms. */
    private const WALL_UNIT_OHMS = (24.0 * 24.0) / 2.0;

    private const SIGNAL_OHMS = 6_800.0;

    private const JUMPER_OHMS = 0.01;

    public function __construct(
        private NetBuilder $net,
        private Installation $installation,
        private Profile $profile,
        private Landing $landing,
        private Tolerance $tolerance,
        private SafetyParts $safety,
    ) {
    }

    public function plate(): void
    {
        $profile = $this->profile;
        if ($profile->link !== null && $this->landing->linkIn) {
            [$a, $b] = $profile->link;
            $this->net->copper(
                Part::link()->id,
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
                $this->net->add(
                    new Element(
                        id: Part::switch($terminal->printed)->id,
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
            $this->electronics(
                Part::electronics()->id,
                $this->screw($profile->powerFrom),
                $common->point(),
                Message::of('circuit.assembly.thermostat-electronics'),
                (24.0 * 24.0) / $profile->powerVa,
                self::ELECTRONICS_DC_OHMS,
            );
        }
        if ($this->landing->plugIn && $profile->powerFrom !== null && $common !== null) {
            $this->net->at(
                At::plugIn()->id,
                PointKind::Supply,
                Place::Wall,
                Message::of('circuit.assembly.plug-in-transformer'),
            );
            $this->net->add(
                new Element(
                    id: Part::plugIn()->id,
                    kind: ElementKind::Winding,
                    a: At::plugIn()->id,
                    b: $common->point(),
                    label: Message::of('circuit.assembly.plug-in-transformer'),
                    subject: Part::PLUG_IN,
                    ohms: self::PLUG_IN_OHMS,
                    reactance: 0.0,
                    dcOhms: 0.55 * self::PLUG_IN_OHMS,
                    emf: 24.0 * 1.12 * $this->tolerance->source,
                ),
            );
            $this->net->copper(
                Part::plugInLead()->id,
                ElementKind::Wire,
                At::plugIn()->id,
                $this->screw($profile->powerFrom),
                2.0 * Assembly::END_OHMS,
                Message::of('circuit.assembly.plug-in-lead'),
                Part::PLUG_IN,
            );
        }
        if ($profile->power === PowerKind::Shared && $profile->powerFrom !== null && $profile->charges !== null) {
            $this->electronics(
                Part::electronics()->id,
                $this->screw($profile->powerFrom),
                $this->screw($profile->charges),
                Message::of('circuit.assembly.thermostat-electronics'),
                (24.0 * 24.0) / $profile->powerVa,
                self::ELECTRONICS_DC_OHMS,
            );
        }
    }

    /** Where the outputs stand at the equipment: short leads from the module to the board, letter to letter. */
    public function module(): void
    {
        foreach (OutputLeads::of($this->installation, $this->profile) as [$serving, $terminal]) {
            $this->net->copper(
                Part::moduleLead($terminal->printed)->id,
                ElementKind::Wire,
                $serving->point(),
                $this->safety->before($terminal->point()),
                2.0 * Assembly::END_OHMS,
                Message::of('circuit.assembly.module-lead', terminal: $terminal->printed),
                Part::moduleLead($terminal->printed)->id,
            );
        }
    }

    /**
     * A two-part thermostat's wall unit hangs on three conductors of the old cable: power over the first two, which
     * leave the module at its R and C, its signal over the third.
     */
    public function wallUnit(): void
    {
        if ($this->profile->linkConductors < 3) {
            return;
        }
        $board = $this->installation->archetype->boards[0];
        foreach (Assembly::LINK_SCREWS as $number => $printed) {
            $this->net->screw(At::screw(Place::Wall, (string) $number)->id, Place::Wall, (string) $number);
            $this->net->screw(At::screw($board, $printed)->id, $board, $printed);
        }
        $hot = $this->screw($this->profile->powerFrom ?? 'R');
        $common = $this->profile->named(TerminalName::C)?->point() ?? At::screw(Place::Module, 'C')->id;
        $this->net->copper(
            Part::moduleLink(1)->id,
            ElementKind::Wire,
            $hot,
            At::screw($board, Assembly::LINK_SCREWS[1])->id,
            2.0 * Assembly::END_OHMS,
            Message::of('circuit.assembly.module-link-1'),
            'module',
        );
        $this->net->copper(
            Part::moduleLink(2)->id,
            ElementKind::Wire,
            $common,
            At::screw($board, Assembly::LINK_SCREWS[2])->id,
            2.0 * Assembly::END_OHMS,
            Message::of('circuit.assembly.module-link-2'),
            'module',
        );
        $this->electronics(
            Part::moduleSignal()->id,
            At::screw($board, Assembly::LINK_SCREWS[1])->id,
            At::screw($board, Assembly::LINK_SCREWS[3])->id,
            Message::of('circuit.assembly.module-signal'),
            self::SIGNAL_OHMS,
            self::SIGNAL_OHMS,
            'module',
        );
        $this->electronics(
            Part::wallUnit()->id,
            At::screw(Place::Wall, '1')->id,
            At::screw(Place::Wall, '2')->id,
            Message::of('circuit.assembly.wall-unit'),
            self::WALL_UNIT_OHMS,
            self::ELECTRONICS_DC_OHMS,
        );
        $this->electronics(
            Part::wallSignal()->id,
            At::screw(Place::Wall, '3')->id,
            At::screw(Place::Wall, '2')->id,
            Message::of('circuit.assembly.wall-unit-signal'),
            self::SIGNAL_OHMS,
            self::SIGNAL_OHMS,
        );
    }

    /** Electronics between two points; `ohms` what they draw, `dcOhms` what a meter reads with the power off. */
    private function electronics(
        string $id,
        string $a,
        string $b,
        Message $label,
        float $ohms,
        float $dcOhms,
        string $subject = 'thermostat',
    ): void {
        $this->net->add(
            new Element(
                id: $id,
                kind: ElementKind::Electronics,
                a: $a,
                b: $b,
                label: $label,
                subject: $subject,
                ohms: $ohms,
                reactance: 0.0,
                dcOhms: $dcOhms,
            ),
        );
    }

    private function screw(string $printed): string
    {
        return At::screw($this->profile->outputs, $printed)->id;
    }
}
