<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Explain;

use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Netlist\ElementKind;
use Unionbit\Core\Circuit\Netlist\Netlist;
use Unionbit\Core\Circuit\Solve\Phasors;
use Unionbit\Core\Words\Message;

/** The series of elements that carries most of the current between two points: how a reading comes about. */
final readonly class Path
{
    /** @param  list<Element>  $elements from the first point to the second */
    private function __construct(public array $elements)
    {
    }

    /** Follows the largest current of a probe from `a` to `b`. */
    public static function find(Netlist $netlist, Phasors $probe, string $a, string $b): self
    {
        $at = [];
        foreach ($netlist->elements as $element) {
            if (! $element->isOpen()) {
                $at[$element->a][] = $element;
                $at[$element->b][] = $element;
            }
        }
        $path = [];
        $seen = [$a => true];
        $point = $a;
        while ($point !== $b) {
            $best = null;
            $most = 0.0;
            foreach ($at[$point] ?? [] as $element) {
                $current = hypot(...$probe->current($element, false));
                if ($current > $most && ! isset($seen[$element->other($point)])) {
                    $most = $current;
                    $best = $element;
                }
            }
            if ($best === null) {
                return new self([]);
            }
            $path[] = $best;
            $point = $best->other($point);
            $seen[$point] = true;
        }

        return new self($path);
    }

    public function isCopper(): bool
    {
        foreach ($this->elements as $element) {
            if (! $element->kind->isCopper()) {
                return false;
            }
        }

        return true;
    }

    /** @return list<Element> */
    public function ofKind(ElementKind ...$kinds): array
    {
        return array_values(
            array_filter($this->elements, static fn (Element $e): bool => in_array($e->kind, $kinds, true)),
        );
    }

    public function hasSource(): bool
    {
        foreach ($this->ofKind(ElementKind::Winding) as $winding) {
            if ($winding->emf !== 0.0) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Message> names of the conductors on the way, in order, each once */
    public function conductors(): array
    {
        $names = [];
        foreach ($this->ofKind(ElementKind::Wire, ElementKind::Joint) as $element) {
            $names[$element->subject] = $element->label;
        }

        return array_values($names);
    }
}
