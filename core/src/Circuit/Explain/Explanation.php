<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Explain;

use Unionbit\Core\Circuit\LoadState;
use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Netlist\ElementKind;
use Unionbit\Core\Circuit\Netlist\Netlist;
use Unionbit\Core\Circuit\OperatingPoint;

/** Puts the path of a reading into words. Everything it says is read from the circuit; it knows no special cases. */
final class Explanation
{
    /** More than any run of copper of a house, in ohms. */
    private const NO_WIRE = 100.0;

    /** Why two points show the voltage they show. */
    public static function volts(OperatingPoint $point, Path $path, string $a, string $b): string
    {
        $loads = self::loads($point, $path);
        $barriers = self::barriers($point->netlist, $a, $b);
        if ($path->isCopper()) {
            $via = self::list(self::links($path));

            return $via === ''
                ? 'Both points are the same wire now.'
                : "Both points are the same wire now, through {$via}.";
        }
        $through = $path->hasSource() ? [] : self::resistances($point->netlist, $a, $b);
        if ($through !== [] && $point->phasors->magnitude($a, $b) > 1.0) {
            return 'Part of the transformer\'s voltage: it comes through '.
                self::list($through).
                ($loads === [] ? '' : ' and returns by '.self::list($loads)).
                '.';
        }
        if (! $path->hasSource()) {
            $off = self::list(self::deadSources($point, $path));

            return 'No source between these points: joined only by '.
                ($loads === [] ? self::list(self::things($path)) : self::list($loads)).
                '.'.
                ($off === '' ? '' : " {$off}");
        }
        $way = self::overConductors($path);
        if ($loads === []) {
            $via = self::list(self::links($path));

            return 'The whole transformer, less the run'.($via === '' ? '' : ', through '.$via).$way.'.';
        }
        if ($barriers !== []) {
            $is =
                count($barriers) === 1
                    ? 'is open, with the full voltage across it'
                    : 'are open, with the full voltage across them';

            return ucfirst(self::list($barriers)).
                " {$is}: the way round is ".
                self::list($loads).
                ' and the transformer.';
        }

        return 'The transformer in series with '.self::list($loads).$way.'.';
    }

    /** Why the points have nothing to do with each other. */
    public static function floating(Netlist $netlist, string $a, string $b): string
    {
        $source = null;
        foreach ($netlist->elements as $element) {
            $source = $element->kind === ElementKind::Winding ? $element : $source;
        }
        $connected = $source === null ? [] : $netlist->region($source->b, static fn (Element $e): bool => ! $e->isOpen());
        $reasons = [];
        foreach (array_unique([$a, $b]) as $point) {
            if (! isset($connected[$point])) {
                $reasons[] = self::whyFloating($netlist, $point);
            }
        }

        return implode(' ', $reasons).
            ' The reading floats: a ghost of up to 20 V on a high-impedance meter, near 0 on a low-impedance range.';
    }

    /** Why two points show the resistance they show, power off. */
    public static function ohms(Netlist $netlist, Path $path): string
    {
        if ($path->isCopper()) {
            $via = self::list(self::links($path));

            return 'Wire all the way'.self::overConductors($path).($via === '' ? '' : ', through '.$via).'.';
        }
        $electronic = $path->ofKind(ElementKind::Electronics) !== [];
        foreach ($path->ofKind(ElementKind::Load) as $load) {
            $electronic = $electronic || $load->dcOhms > 1000.0;
        }

        return 'Through '.
            self::list(self::things($path)).
            self::overConductors($path).
            '.'.
            ($electronic ? ' Electronics in the way: the figure depends on the meter.' : '');
    }

    /** @return list<string> the path, element by element */
    public static function steps(OperatingPoint $point, Path $path): array
    {
        $steps = [];
        foreach ($path->elements as $element) {
            $step = match ($element->kind) {
                ElementKind::Wire, ElementKind::Joint => 'conductor '.$element->label,
                ElementKind::Load => self::loadName($point, $element),
                default => $element->label,
            };
            if (end($steps) !== $step) {
                $steps[] = $step;
            }
        }

        return $steps;
    }

    /** @return list<string> open switches, contacts and fuses that stand directly between the wires of two points */
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
                $names[] = 'the '.$element->label;
            }
        }

        return $names;
    }

    /** @return list<string> thermostat switches that pass something without being closed, at the wires of two points: a leak, or a signal through a resistance */
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
            array_map(static fn (Element $e): string => sprintf('the %g Ω in the %s', $e->ohms, $e->label), $found),
        );
    }

    /** @return list<string> */
    private static function loads(OperatingPoint $point, Path $path): array
    {
        return array_map(
            static fn (Element $e): string => self::loadName($point, $e),
            $path->ofKind(ElementKind::Load, ElementKind::Electronics),
        );
    }

    private static function loadName(OperatingPoint $point, Element $element): string
    {
        $state = match ($point->loads[$element->id] ?? null) {
            LoadState::PulledIn => 'pulled-in ',
            LoadState::Rest => $element->dcOhms < 1000.0 ? 'idle ' : '',
            LoadState::Buzzing => 'buzzing ',
            LoadState::Chattering => 'chattering ',
            null => '',
        };

        return 'the '.$state.$element->label;
    }

    /** @return list<string> */
    private static function links(Path $path): array
    {
        $names = [];
        foreach (
            $path->ofKind(
                ElementKind::ThermostatSwitch,
                ElementKind::Jumper,
                ElementKind::Touch,
                ElementKind::Contact,
                ElementKind::SafetySwitch,
            ) as $element
        ) {
            $names[] = match ($element->kind) {
                ElementKind::ThermostatSwitch => "the closed {$element->label}",
                default => "the {$element->label}",
            };
        }

        return array_values(array_unique($names));
    }

    /** @return list<string> */
    private static function things(Path $path): array
    {
        return array_map(
            static fn (Element $e): string => $e->kind === ElementKind::Winding
                ? "the transformer's winding"
                : "the {$e->label}",
            $path->ofKind(ElementKind::Load, ElementKind::Electronics, ElementKind::Winding),
        );
    }

    /** @return list<string> */
    private static function deadSources(OperatingPoint $point, Path $path): array
    {
        $dead = [];
        foreach ($point->netlist->elements as $element) {
            if ($element->kind === ElementKind::Fuse && $element->isOpen()) {
                $dead[] = "The {$element->label} is open.";
            } elseif ($element->kind === ElementKind::Winding && ($element->emf === 0.0 || $element->isOpen())) {
                $dead[] = 'The transformer gives nothing.';
            }
        }

        return $dead;
    }

    private static function overConductors(Path $path): string
    {
        $conductors = $path->conductors();

        return $conductors === [] ? '' : ' over '.self::list($conductors);
    }

    private static function whyFloating(Netlist $netlist, string $id): string
    {
        $point = $netlist->point($id);
        $copper = $netlist->region($id, static fn (Element $e): bool => ! $e->isOpen());
        if ($point->terminal !== null && count($copper) === 1) {
            return ucfirst($point->phrase()).' has no conductor: nothing connects it.';
        }
        $open = [];
        foreach ($netlist->elements as $element) {
            if ($element->isOpen() && isset($copper[$element->a]) !== isset($copper[$element->b])) {
                $open[] =
                    $element->kind === ElementKind::Wire
                        ? "conductor {$element->label} is open"
                        : "the {$element->label} is open";
            }
        }

        return ucfirst($point->phrase()).
            ' is connected to no source'.
            ($open === [] ? '' : ': '.self::list(array_values(array_unique($open)))).
            '.';
    }

    /** @param  list<string>  $names */
    private static function list(array $names): string
    {
        $last = array_pop($names);

        return $names === [] ? (string) $last : implode(', ', $names).' and '.$last;
    }
}
