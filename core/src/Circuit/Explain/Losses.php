<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Explain;

use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Netlist\ElementKind;
use Unionbit\Core\Circuit\OperatingPoint;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;

/** What is lost on the way of a reading, so that no word stands beside a figure that contradicts it. */
final readonly class Losses
{
    /** Volts below which two points of one wire are the same to the person who reads them. */
    public const SAME_BELOW = 0.5;

    /** Parts of a transformer's unloaded voltage from which on it is there as a whole. */
    public const WHOLE_FROM = 0.85;

    private const WHOLE_TO = 1.1;

    public float $volts;

    public function __construct(private OperatingPoint $point, private Path $path, string $a, string $b)
    {
        $this->volts = $point->phasors->magnitude($a, $b);
    }

    /** @return list<Element> windings on the way that give something */
    public function sources(): array
    {
        return array_values(
            array_filter($this->path->ofKind(ElementKind::Winding), static fn (Element $e): bool => $e->emf !== 0.0),
        );
    }

    /** The one winding on the way stands there with all that it gives. */
    public function isWhole(): bool
    {
        $sources = $this->sources();
        $emf = count($sources) === 1 ? abs($sources[0]->emf) : 0.0;

        return $this->volts >= self::WHOLE_FROM * $emf && $this->volts <= self::WHOLE_TO * $emf;
    }

    /** Why less, or something else, than the whole of a transformer stands between two points on its wires. */
    public function ofSupply(): Message
    {
        $sources = $this->sources();
        if (count($sources) !== 1) {
            return Message::of(
                'circuit.why.between-supplies',
                volts: array_map(static fn (Element $e): Quantity => Quantity::volts(abs($e->emf)), $sources),
            );
        }
        $worst = $this->worst();
        $sags = abs($sources[0]->emf) - $this->point->phasors->magnitude($sources[0]->a, $sources[0]->b);

        return $worst === null || $sags >= $this->drop($worst)
            ? Message::of(
                'circuit.why.supply-sags',
                gives: Quantity::volts(abs($sources[0]->emf) - $sags),
                emf: Quantity::volts(abs($sources[0]->emf)),
            )
            : Message::of(
                'circuit.why.supply-less',
                name: self::name($worst),
                lost: Quantity::volts($this->drop($worst)),
            );
    }

    /** Where on one wire the volts are lost that stand between its points. */
    public function ofWire(): Message
    {
        $worst = $this->worst();

        return $worst === null
            ? Message::none()
            : Message::of(
                'circuit.why.wire-loses',
                name: self::name($worst),
                lost: Quantity::volts($this->drop($worst)),
            );
    }

    /** The copper on the way across which most is lost. */
    private function worst(): ?Element
    {
        $worst = null;
        foreach ($this->path->elements as $element) {
            $more = $worst === null || $this->drop($element) > $this->drop($worst);
            $worst = $element->kind->isCopper() && $more ? $element : $worst;
        }

        return $worst;
    }

    private function drop(Element $element): float
    {
        return $this->point->phasors->magnitude($element->a, $element->b);
    }

    private static function name(Element $element): Message
    {
        return $element->kind === ElementKind::Wire || $element->kind === ElementKind::Joint
            ? Message::of('circuit.step.conductor', name: $element->label)
            : Message::of('circuit.step.the', name: $element->label);
    }
}
