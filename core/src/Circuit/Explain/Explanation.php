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
    public const NO_WIRE = 100.0;

    /** More volts than this across loads without a source between them come from somewhere else. */
    private const FED_ABOVE = 1.0;

    /** More broken conductors than this beside a reading are lifted for a test, and said there. */
    private const MOST_BROKEN = 2;

    /** Why two points show the voltage they show. */
    public static function volts(OperatingPoint $point, Path $path, string $a, string $b): Message
    {
        $losses = new Losses($point, $path, $a, $b);
        if ($path->isCopper()) {
            $leaks = self::leaks($path);

            return match (true) {
                $leaks !== [] => Message::of('circuit.why.only-a-leak', through: $leaks),
                $losses->volts > Losses::SAME_BELOW => $losses->ofWire(),
                default => Message::of('circuit.why.same-wire', through: self::links($path)),
            };
        }
        $loads = self::loads($point, $path);
        $through = $path->hasSource() ? [] : self::resistances($point->netlist, $a, $b);
        if ($through !== [] && $point->phasors->magnitude($a, $b) > 1.0) {
            return Message::of('circuit.why.part-of-the-supply', through: $through, loads: $loads);
        }
        if (! $path->hasSource()) {
            $by = $loads === [] ? self::things($path) : $loads;

            return Message::sentences([
                $losses->volts > self::FED_ABOVE
                    ? Message::of('circuit.why.fed-beside', by: $by)
                    : Message::of('circuit.why.no-source', by: $by),
                ...self::deadSources($point),
                ...self::broken($point->netlist, $a, $b),
            ]);
        }
        if ($loads === []) {
            return ! $losses->isWhole()
                ? $losses->ofSupply()
                : Message::of(
                    'circuit.why.whole-supply',
                    through: self::links($path),
                    conductors: $path->conductors(),
                );
        }
        $barriers = self::barriers($point->netlist, $a, $b);

        return match (true) {
            $barriers === [] => Message::of(
                'circuit.why.in-series',
                loads: $loads,
                conductors: $path->conductors(),
            ),
            $losses->isWhole() => Message::of('circuit.why.across-the-open', barriers: $barriers, loads: $loads),
            default => Message::of('circuit.why.part-across-the-open', barriers: $barriers, loads: $loads),
        };
    }

    /** Why the points have nothing to do with each other. */
    public static function floating(Netlist $netlist, string $a, string $b): Message
    {
        $reasons = [];
        foreach (array_unique([$a, $b]) as $point) {
            if (! self::isFed($netlist, $point)) {
                $reasons[] = self::whyFloating($netlist, $point);
            }
        }
        if ($reasons === [] && $a !== $b) {
            $reasons[] = Message::of('circuit.why.two-supplies');
        }

        return Message::sentences([...$reasons, Message::of('circuit.why.ghost')]);
    }

    /** Whether any way leads from a point to a winding that gives something. */
    private static function isFed(Netlist $netlist, string $point): bool
    {
        $reached = $netlist->region($point, static fn (Element $e): bool => ! $e->isOpen());

        return array_any(
            $netlist->elements,
            static fn (Element $e): bool => $e->kind === ElementKind::Winding &&
                $e->emf !== 0.0 &&
                ! $e->isOpen() &&
                isset($reached[$e->b]),
        );
    }

    /** Why two points show the resistance they show, power off. */
    public static function ohms(Netlist $netlist, Path $path): Message
    {
        if ($path->isCopper()) {
            $leaks = self::leaks($path);

            return $leaks === []
                ? Message::of('circuit.why.wire', conductors: $path->conductors(), through: self::links($path))
                : Message::of('circuit.why.only-a-leak', through: $leaks);
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

    /** @return list<Message> switches on the way that are not closed and still pass something */
    private static function leaks(Path $path): array
    {
        $leaks = array_filter(
            $path->elements,
            static fn (Element $e): bool => $e->kind->isCopper() && $e->magnitude() >= self::NO_WIRE,
        );

        return array_values(array_map(self::ohmsIn(...), $leaks));
    }

    private static function ohmsIn(Element $element): Message
    {
        return Message::of(
            'circuit.step.ohms-in',
            ohms: Quantity::of($element->ohms, Unit::Ohms),
            name: $element->label,
        );
    }

    /** @return list<Message> conductors and cracks that part these points from what they belong to, each a sentence */
    private static function broken(Netlist $netlist, string $a, string $b): array
    {
        $copper = static fn (Element $e): bool => $e->kind->isCopper() && ! $e->isOpen();
        $near = $netlist->region($a, $copper) + $netlist->region($b, $copper);
        $open = array_filter(
            $netlist->elements,
            static fn (Element $e): bool => in_array(
                $e->kind,
                [ElementKind::Wire, ElementKind::Joint, ElementKind::Strip],
                true,
            ) &&
                $e->isOpen() &&
                (isset($near[$e->a]) xor isset($near[$e->b])),
        );
        $names = Message::unique(
            array_map(
                static fn (Element $e): Message => Message::of('circuit.why.is-open', name: $e->label),
                array_values($open),
            ),
        );

        return count($names) > self::MOST_BROKEN ? [] : $names;
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

        return array_values(array_map(self::ohmsIn(...), $found));
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
