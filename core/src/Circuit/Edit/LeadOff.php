<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Edit;

use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Netlist\ElementKind;
use Unionbit\Core\Circuit\Netlist\Netlist;
use Unionbit\Core\Circuit\Netlist\Point;
use Unionbit\Core\Circuit\Netlist\PointKind;
use Unionbit\Core\Words\Message;

/** A lead of a part off its screw: the part stands by itself on that side, its own end in reach. */
final readonly class LeadOff implements CircuitEdit
{
    public const HOT = 'hot';

    public const COMMON = 'common';

    /** @param  string  $end  HOT or COMMON */
    public function __construct(private string $part, private string $end = self::HOT)
    {
    }

    /** The point where the part's own end then is. */
    public static function point(string $part, string $end): string
    {
        return "{$part}.{$end}.off";
    }

    /** The part's own end, of every part of a circuit, by the point's id; null for any other. */
    public static function named(Netlist $netlist, string $id): ?Point
    {
        foreach ($netlist->elements as $element) {
            foreach ($element->kind === ElementKind::Load ? [self::HOT, self::COMMON] : [] as $end) {
                if (self::point($element->id, $end) === $id) {
                    return self::ownEnd($netlist, $element, $end);
                }
            }
        }

        return null;
    }

    private static function ownEnd(Netlist $netlist, Element $part, string $end): Point
    {
        $screw = $netlist->points[$end === self::HOT ? $part->a : $part->b] ?? null;

        return new Point(
            self::point($part->id, $end),
            PointKind::Inside,
            $screw?->place,
            $screw?->where,
            Message::of('circuit.lead-off.own-end', part: $part->label),
            true,
        );
    }

    public function apply(Netlist $netlist): Netlist
    {
        $part = $netlist->elements[$this->part] ?? null;
        if ($part === null) {
            return $netlist;
        }
        $id = self::point($this->part, $this->end);
        $hot = $this->end === self::HOT;
        $off = self::ownEnd($netlist, $part, $this->end);
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
        return Message::of('circuit.standing.coil', load: $netlist->part($this->part)->label);
    }

    public function holdsOut(): array
    {
        return [];
    }
}
