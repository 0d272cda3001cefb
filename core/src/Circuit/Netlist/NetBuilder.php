<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Netlist;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Point\At;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Words\Message;

/** Elements and points of a netlist while it is put together. A point keeps the first name that it gets. */
final class NetBuilder
{
    /** @var array<string, Element> */
    private array $elements = [];

    /** @var array<string, Element> */
    private array $lineSide = [];

    /** @var array<string, Point> */
    private array $points = [];

    /** @var array<string, Message> what places are called in this house */
    private array $names = [];

    public function __construct(private readonly Installation $house)
    {
    }

    public function netlist(): Netlist
    {
        return new Netlist($this->elements, $this->points, [], $this->lineSide);
    }

    public function screw(string $id, Place $place, string $printed): void
    {
        $this->point($id, PointKind::Screw, $place, Message::raw($printed), true, terminal: $printed);
    }

    /** A part of a conductor; a probe reaches it where it comes out, at a place. */
    public function conductor(string $id, ?Place $place, Message $label, string $conductor): void
    {
        $this->point($id, PointKind::Conductor, $place, $label, $place !== null, conductor: $conductor);
    }

    /** A point at a unit that a probe reaches, with its own words. */
    public function at(string $id, PointKind $kind, Place $place, Message $label): void
    {
        $this->point($id, $kind, $place, $label, true);
    }

    public function copper(
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

    public function add(Element $element): void
    {
        if ($element->kind->isLineSide()) {
            $this->lineSide[$element->id] = $element;
        } else {
            $this->elements[$element->id] = $element;
        }
        foreach ([$element->a, $element->b] as $point) {
            if (isset($this->points[$point])) {
                continue;
            }
            $this->point($point, PointKind::Inside, At::read($point)->place, $element->label, false);
        }
    }

    private function point(
        string $id,
        PointKind $kind,
        ?Place $place,
        Message $label,
        bool $probeable,
        ?string $terminal = null,
        ?string $conductor = null,
    ): void {
        if (isset($this->points[$id])) {
            return;
        }
        $where = $place === null ? null : ($this->names[$place->value] ??= $this->house->placeName($place));
        $this->points[$id] = new Point($id, $kind, $place, $where, $label, $probeable, $terminal, $conductor);
    }
}
