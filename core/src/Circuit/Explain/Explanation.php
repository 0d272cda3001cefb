<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Explain;

use Unionbit\Core\Circuit\LoadState;
use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Netlist\ElementKind;
use Unionbit\Core\Circuit\Netlist\Netlist;
use Unionbit\Core\Circuit\OperatingPoint;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/** Puts the path of a reading into words. Everything it says is read from the circuit; it knows no special cases. */
final class Explanation
{
    /** More than any run of copper of a house, in ohms. */
    private const NO_WIRE = 100.0;

    /** Why two points show the voltage they show. */
    public static function volts(OperatingPoint $point, Path $path, string $a, string $b): Message
    {
        if ($path->isCopper()) {
            return Message::of('circuit.why.same-wire', through: self::links($path));
        }
        $loads = self::loads($point, $path);
        $through = $path->hasSource() ? [] : self::resistances($point->netlist, $a, $b);
        if ($through !== [] && $point->phasors->magnitude($a, $b) > 1.0) {
            return Message::of('circuit.why.part-of-the-supply', through: $through, loads: $loads);
        }
        if (! $path->hasSource()) {
            return Message::sentences([
                Message::of('circuit.why.no-source', by: $loads === [] ? self::things($path) : $loads),
                ...self::deadSources($point),
            ]);
        }
        if ($loads === []) {
            return Message::of(
                'circuit.why.whole-supply',
                through: self::links($path),
                conductors: $path->conductors(),
            );
        }
        $barriers = self::barriers($point->netlist, $a, $b);

        return $barriers === []
            ? Message::of('circuit.why.in-series', loads: $loads, conductors: $path->conductors())
            : Message::of('circuit.why.across-the-open', barriers: $barriers, loads: $loads);
    }

    /** Why the points have nothing to do with each other. */
    public static function floating(Netlist $netlist, string $a, string $b): Message
    {
        $source = null;
        foreach ($netlist->elements as $element) {
            $source = $element->kind === ElementKind::Winding ? $element : $source;
        }
        $connected =
            $source === null ? [] : $netlist->region($source->b, static fn (Element $e): bool => ! $e->isOpen());
        $reasons = [];
        foreach (array_unique([$a, $b]) as $point) {
            if (! isset($connected[$point])) {
                $reasons[] = self::whyFloating($netlist, $point);
            }
        }

        return Message::sentences([...$reasons, Message::of('circuit.why.ghost')]);
    }

    /** Why two points show the resistance they show, power off. */
    public static function ohms(Netlist $netlist, Path $path): Message
    {
        if ($path->isCopper()) {
            return Message::of('circuit.why.wire', conductors: $path->conductors(), through: self::links($path));
        }
        $electronic = $path->ofKind(ElementKind::Electronics) !== [];
        foreach ($path->ofKind(ElementKind::Load) as $load) {
            $electronic = $electronic || $load->dcOhms > 1000.0;
        }

        return Message::sentences([
            Message::of('circuit.why.ohms-through', things: self::things($path), conductors: $path->conductors()),
            $electronic ? Message::of('circuit.why.electronics') : Message::none(),
        ]);
    }

    /** @return list<Message> the path, element by element */
    public static function steps(OperatingPoint $point, Path $path): array
    {
        $steps = [];
        foreach ($path->elements as $element) {
            $step = match ($element->kind) {
                ElementKind::Wire, ElementKind::Joint => Message::of(
                    'circuit.step.conductor',
                    name: $element->label,
                ),
                ElementKind::Load => self::loadName($point, $element),
                default => $element->label,
            };
            if ($steps === [] || end($steps) != $step) {
                $steps[] = $step;
            }
        }

        return $steps;
    }

    /** @return list<Message> open switches, contacts and fuses that stand directly between the wires of two points */
    private static function barriers(Netlist $netlist, string $a, string $b): array
    {
        $copper = static fn (Element $e): bool => $e->kind->isCopper() && ! $e->isOpen();
        $near = $netlist->region($a, $copper);
        $far = $netlist->region($b, $copper);
        $names = [];
        foreach ($netlist->elements as $element) {
            $parts =
                (isset($near[$element->a]) && isset($far[$element->b])) ||
                (isset($near[$element->b]) && isset($far[$element->a]));
            if ($parts && $element->isOpen()) {
                $names[] = Message::of('circuit.step.the', name: $element->label);
            }
        }

        return $names;
    }

    /**
     * @return list<Message> thermostat switches that pass something without being closed, at the wires of two points:
     *     a leak, or a signal through a resistance
     */
    private static function resistances(Netlist $netlist, string $a, string $b): array
    {
        $wire = static fn (Element $e): bool => $e->kind->isCopper() && $e->ohms < self::NO_WIRE;
        $near = $netlist->region($a, $wire) + $netlist->region($b, $wire);
        $found = array_filter(
            $netlist->elements,
            static fn (Element $e): bool => $e->kind === ElementKind::ThermostatSwitch &&
                ! $e->isOpen() &&
                $e->ohms >= self::NO_WIRE &&
                (isset($near[$e->a]) xor isset($near[$e->b])),
        );

        return array_values(
            array_map(
                static fn (Element $e): Message => Message::of(
                    'circuit.step.ohms-in',
                    ohms: Quantity::of($e->ohms, Unit::Ohms),
                    name: $e->label,
                ),
                $found,
            ),
        );
    }

    /** @return list<Message> */
    private static function loads(OperatingPoint $point, Path $path): array
    {
        return array_map(
            static fn (Element $e): Message => self::loadName($point, $e),
            $path->ofKind(ElementKind::Load, ElementKind::Electronics),
        );
    }

    private static function loadName(OperatingPoint $point, Element $element): Message
    {
        $state = $point->loads[$element->id] ?? null;

        return match (true) {
            $state === null, $state === LoadState::Rest && $element->dcOhms >= 1000.0 => Message::of(
                'circuit.step.the',
                name: $element->label,
            ),
            default => Message::of('circuit.step.load', state: $state->value, name: $element->label),
        };
    }

    /** @return list<Message> what joins the points without being wire */
    private static function links(Path $path): array
    {
        $kinds = [
            ElementKind::ThermostatSwitch,
            ElementKind::Jumper,
            ElementKind::Touch,
            ElementKind::Contact,
            ElementKind::SafetySwitch,
        ];
        $names = array_map(
            static fn (Element $e): Message => $e->kind === ElementKind::ThermostatSwitch
                ? Message::of('circuit.step.closed', name: $e->label)
                : Message::of('circuit.step.the', name: $e->label),
            $path->ofKind(...$kinds),
        );

        return Message::unique($names);
    }

    /** @return list<Message> */
    private static function things(Path $path): array
    {
        return array_map(
            static fn (Element $e): Message => $e->kind === ElementKind::Winding
                ? Message::of('circuit.step.winding')
                : Message::of('circuit.step.the', name: $e->label),
            $path->ofKind(ElementKind::Load, ElementKind::Electronics, ElementKind::Winding),
        );
    }

    /** @return list<Message> sentences */
    private static function deadSources(OperatingPoint $point): array
    {
        $dead = [];
        foreach ($point->netlist->elements as $element) {
            if ($element->kind === ElementKind::Fuse && $element->isOpen()) {
                $dead[] = Message::of('circuit.why.is-open', name: $element->label);
            } elseif ($element->kind === ElementKind::Winding && ($element->emf === 0.0 || $element->isOpen())) {
                $dead[] = Message::of('circuit.why.transformer-dead');
            }
        }

        return $dead;
    }

    private static function whyFloating(Netlist $netlist, string $id): Message
    {
        $point = $netlist->point($id);
        $copper = $netlist->region($id, static fn (Element $e): bool => ! $e->isOpen());
        if ($point->terminal !== null && count($copper) === 1) {
            return Message::of('circuit.why.no-conductor', point: $point->phrase());
        }
        $open = [];
        foreach ($netlist->elements as $element) {
            if ($element->isOpen() && isset($copper[$element->a]) !== isset($copper[$element->b])) {
                $open[] =
                    $element->kind === ElementKind::Wire
                        ? Message::of('circuit.step.conductor', name: $element->label)
                        : Message::of('circuit.step.the', name: $element->label);
            }
        }

        return Message::of('circuit.why.no-supply', point: $point->phrase(), open: Message::unique($open));
    }
}
