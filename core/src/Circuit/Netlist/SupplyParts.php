<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Netlist;

use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Point\At;
use Unionbit\Core\Point\Lead;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/**
 * A supply from its line to its strip: what stands before the primary, the two own leads of the secondary, the fuse
 * with both its sides, and the strip, whose screws are one thing and what is soldered behind them another.
 */
final readonly class SupplyParts
{
    private const FUSE_OHMS = 0.02;

    private const BOND_OHMS = 0.01;

    /** Solder between a strip's screw and what is behind it. */
    private const STRIP_OHMS = 0.001;

    /** The line as a source, and what an idle primary takes of it, ohms. */
    private const LINE_OHMS = 0.5;

    private const IDLE_PRIMARY_OHMS = 2000.0;

    public function __construct(
        private NetBuilder $net,
        private Installation $installation,
        private Tolerance $tolerance,
    ) {
    }

    public function add(Transformer $supply): void
    {
        $this->secondary($supply);
        $this->strip($supply);
        $this->line($supply);
        $this->bond($supply);
    }

    private function secondary(Transformer $supply): void
    {
        $common = Message::of('circuit.assembly.own-common', id: $supply->id);
        $this->at(
            $supply,
            At::lead($supply->id, Lead::Winding)->id,
            $supply->fuseAmps === null
                ? Message::of('circuit.assembly.winding')
                : Message::of('circuit.assembly.secondary-before-fuse'),
        );
        $this->at($supply, At::lead($supply->id, Lead::Return)->id, $common);
        // Where no screw is, the lead itself is what a probe reaches.
        $this->at($supply, $supply->common, $common);
        $this->at($supply, $supply->hot, Message::of('circuit.assembly.own-hot', id: $supply->id));
        $this->net->add(
            new Element(
                id: $supply->id,
                kind: ElementKind::Winding,
                a: At::lead($supply->id, Lead::Winding)->id,
                b: At::lead($supply->id, Lead::Return)->id,
                label: Message::of('circuit.assembly.transformer'),
                subject: $supply->id,
                ohms: $supply->sourceOhms(),
                reactance: 0.0,
                dcOhms: $supply->windingOhms(),
                emf: $supply->idle() * $this->tolerance->source * ($supply->reversed ? -1.0 : 1.0),
            ),
        );
    }

    private function strip(Transformer $supply): void
    {
        $fused = $supply->fuseAmps !== null;
        $this->at(
            $supply,
            At::lead($supply->id, Lead::Fused)->id,
            $fused
                ? Message::of('circuit.assembly.behind-fuse', id: $supply->id)
                : Message::of('circuit.assembly.own-hot', id: $supply->id),
        );
        $this->net->copper(
            Part::fuse($supply->id)->id,
            $fused ? ElementKind::Fuse : ElementKind::Wire,
            At::lead($supply->id, Lead::Winding)->id,
            At::lead($supply->id, Lead::Fused)->id,
            self::FUSE_OHMS,
            $supply->fuseAmps === null
                ? Message::of('circuit.assembly.transformer-lead')
                : Message::of('circuit.assembly.fuse', fuseAmps: Quantity::of($supply->fuseAmps, Unit::Amps)),
            $supply->id,
        );
        $behind = [[Lead::Hot, Lead::Fused, $supply->hot], [Lead::Common, Lead::Return, $supply->common]];
        foreach ($behind as [$of, $lead, $screw]) {
            $this->net->copper(
                Part::strip($supply->id, $of)->id,
                ElementKind::Strip,
                At::lead($supply->id, $lead)->id,
                $screw,
                self::STRIP_OHMS,
                Message::of('circuit.assembly.behind-strip', screw: (string) At::read($screw)->name()),
                $supply->id,
            );
        }
    }

    /** The primary side, apart from everything else: breaker and service switch, door switch, the winding's leads. */
    private function line(Transformer $supply): void
    {
        [$from, $hot, $neutral] = array_map(static fn (Lead $lead): string => At::lead($supply->id, $lead)->id, [
            Lead::Supply,
            Lead::Line,
            Lead::Neutral,
        ]);
        $door = $this->installation->archetype->doorSwitch && $supply->id === 'T1';
        $line = PointKind::Line;
        $this->at($supply, $hot, Message::of('circuit.assembly.line-one', id: $supply->id), $line);
        $this->at($supply, $neutral, Message::of('circuit.assembly.line-two', id: $supply->id), $line);
        if ($door) {
            $this->at($supply, $from, Message::of('circuit.assembly.before-door'), $line);
            $this->net->copper(
                Part::door($supply->id)->id,
                ElementKind::LineSwitch,
                $from,
                $hot,
                Assembly::SWITCH_OHMS,
                Message::of('circuit.assembly.door-switch'),
                'door',
            );
        }
        $this->net->add(
            new Element(
                id: Part::mains($supply->id)->id,
                kind: ElementKind::Line,
                a: $door ? $from : $hot,
                b: $neutral,
                label: Message::of('circuit.assembly.line'),
                subject: Part::mains($supply->id)->id,
                ohms: self::LINE_OHMS,
                reactance: 0.0,
                dcOhms: Element::OPEN,
                emf: $supply->lineVolts,
            ),
        );
        $this->net->add(
            new Element(
                id: Part::primary($supply->id)->id,
                kind: ElementKind::Primary,
                a: $hot,
                b: $neutral,
                label: Message::of('circuit.assembly.primary'),
                subject: Part::primary($supply->id)->id,
                ohms: self::IDLE_PRIMARY_OHMS,
                reactance: 0.0,
                dcOhms: $supply->primaryOhms(),
            ),
        );
    }

    /** The common's bond to the sheet metal, where it is bonded. */
    private function bond(Transformer $supply): void
    {
        if ($supply->bonded ?? $this->installation->commonBonded()) {
            $this->net->copper(
                Part::bond($supply->id)->id,
                ElementKind::Bond,
                At::lead($supply->id, Lead::Return)->id,
                At::metal()->id,
                self::BOND_OHMS,
                Message::of('circuit.assembly.bond-cabinet'),
                At::metal()->id,
            );
        }
    }

    private function at(Transformer $supply, string $id, Message $label, PointKind $kind = PointKind::Supply): void
    {
        $this->net->at($id, $kind, $supply->place(), $label);
    }
}
