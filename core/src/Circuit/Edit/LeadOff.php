<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Edit;

use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Netlist\ElementKind;
use Unionbit\Core\Circuit\Netlist\Netlist;
use Unionbit\Core\Circuit\Netlist\Point;
use Unionbit\Core\Circuit\Netlist\PointKind;
use Unionbit\Core\Point\At;
use Unionbit\Core\Point\Lead;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Words\Message;

/** A lead of a part off its screw: the part stands by itself on that side, its own end in reach. */
final readonly class LeadOff implements CircuitEdit
{
    public function __construct(private Part $part, private Lead $lead = Lead::Hot)
    {
    }

    /** The part's own end, of every part of a circuit, by the point's id; null for any other. */
    public static function named(Netlist $netlist, string $id): ?Point
    {
        foreach ($netlist->elements as $element) {
            foreach ($element->kind === ElementKind::Load ? [Lead::Hot, Lead::Common] : [] as $lead) {
                if (At::off($element->id, $lead)->id === $id) {
                    return self::ownEnd($netlist, $element, $lead);
                }
            }
        }

        return null;
    }

    private static function ownEnd(Netlist $netlist, Element $part, Lead $lead): Point
    {
        $screw = $netlist->points[$lead === Lead::Hot ? $part->a : $part->b] ?? null;

        return new Point(
            At::off($part->id, $lead)->id,
            PointKind::Inside,
            $screw?->place,
            $screw?->where,
            Message::of('circuit.lead-off.own-end', part: $part->label),
            true,
        );
    }

    public function apply(Netlist $netlist): Netlist
    {
        $part = $netlist->elements[$this->part->id] ?? null;
        if ($part === null) {
            return $netlist;
        }
        $id = At::off($this->part->id, $this->lead)->id;
        $hot = $this->lead === Lead::Hot;
        $off = self::ownEnd($netlist, $part, $this->lead);
        $moved = new Element(
            $part->id,
            $part->kind,
            $hot ? $id : $part->a,
            $hot ? $part->b : $id,
            $part->label,
            $part->subject,
            $part->ohms,
            $part->reactance,
            $part->dcOhms,
            $part->emf,
        );

        return new Netlist(
            [$part->id => $moved] + $netlist->elements,
            [$id => $off] + $netlist->points,
            $netlist->out,
            $netlist->lineSide,
        );
    }

    public function describe(Netlist $netlist): Message
    {
        return Message::of('circuit.standing.coil', load: $netlist->part($this->part->id)->label);
    }

    public function holdsOut(): array
    {
        return [];
    }
}
