<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Netlist;

/** The elements and named points of one circuit. Immutable; an edit gives a new one. */
final readonly class Netlist
{
    /**
     * @param  array<string, Element>  $elements  by id
     * @param  array<string, Point>  $points  by id
     * @param  array<string, Element>  $out  what the set-up has taken out: lifted ends, the switches of a face that
     *     is off
     * @param  array<string, Element>  $lineSide  by id; no element of the control circuit meets one of these
     */
    public function __construct(
        public array $elements,
        public array $points,
        public array $out = [],
        public array $lineSide = [],
    ) {
    }

    /** Adds an element, or replaces the one of the same id. */
    public function with(Element $element): self
    {
        return $this->withAll([$element->id => $element]);
    }

    /** @param  array<string, Element>  $changed by id */
    public function withAll(array $changed): self
    {
        $line = [];
        foreach ($changed as $id => $element) {
            if ($element->kind->isLineSide()) {
                $line[$id] = $element;
                unset($changed[$id]);
            }
        }

        return $changed === [] && $line === []
            ? $this
            : new self($changed + $this->elements, $this->points, $this->out, $line + $this->lineSide);
    }

    public function element(string $id): Element
    {
        return $this->elements[$id] ??
            ($this->lineSide[$id] ?? throw new \OutOfBoundsException("No element {$id} in this circuit."));
    }

    /** An element of the circuit, or one that the set-up has taken out: a fault of it is there and does nothing now. */
    public function part(string $id): Element
    {
        return $this->out[$id] ?? $this->element($id);
    }

    /** @param  callable(Element): Element  $change  not asked for what is taken out */
    public function changing(string $id, callable $change): self
    {
        return isset($this->out[$id]) ? $this : $this->with($change($this->element($id)));
    }

    /**
     * Its elements of one kind that the test accepts, in their order.
     *
     * @param  callable(Element): bool  $which
     * @return list<string> ids
     */
    public function ids(ElementKind $kind, callable $which): array
    {
        return array_keys(
            array_filter($this->elements, static fn (Element $e): bool => $e->kind === $kind && $which($e)),
        );
    }

    /** @return list<string> ids of the contacts that a safety device opens */
    public function contactsOf(string $device): array
    {
        return $this->ids(ElementKind::SafetySwitch, static fn (Element $e): bool => $e->subject === $device);
    }

    public function point(string $id): Point
    {
        return $this->points[$id] ?? throw new \OutOfBoundsException("No point {$id} in this circuit.");
    }

    /**
     * All points reachable from one through elements that the test accepts.
     *
     * @param  callable(Element): bool  $through
     * @return array<string, true>
     */
    public function region(string $start, callable $through): array
    {
        $neighbours = [];
        foreach ([...$this->elements, ...$this->lineSide] as $element) {
            if ($through($element)) {
                $neighbours[$element->a][] = $element->b;
                $neighbours[$element->b][] = $element->a;
            }
        }
        $seen = [$start => true];
        $queue = [$start];
        while (($point = array_pop($queue)) !== null) {
            foreach ($neighbours[$point] ?? [] as $next) {
                if (! isset($seen[$next])) {
                    $seen[$next] = true;
                    $queue[] = $next;
                }
            }
        }

        return $seen;
    }

    /** Whether the two points are joined by anything below 1 MΩ; otherwise a reading between them floats. */
    public function joins(string $a, string $b): bool
    {
        return isset($this->region($a, static fn (Element $e): bool => ! $e->isOpen())[$b]);
    }
}
