<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Netlist;

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

    public function netlist(): Netlist
    {
        return new Netlist($this->elements, $this->points, [], $this->lineSide);
    }

    public function point(Point $point): void
    {
        $this->points[$point->id] ??= $point;
    }

    /** A point inside a unit that a probe reaches, with its own words. */
    public function inside(string $id, Place $place, Message $label, bool $line = false): void
    {
        $this->point(new Point($id, $place, $label, null, null, true, $line));
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
            $this->point(new Point($point, Place::ofPoint($point), $element->label, null, null, false));
        }
    }
}
