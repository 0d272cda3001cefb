<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\World;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Netlist\ElementKind;
use Unionbit\Core\Circuit\Netlist\Netlist;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Point\At;
use Unionbit\Core\Point\Lead;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Tracing\Test\Face;
use Unionbit\Core\Tracing\Test\Probe;
use Unionbit\Core\Tracing\Test\TestSetup;

/**
 * Every name by which a point of a house may be told: the circuit's own, and those of the parts, "contactor.hot",
 * "blower-relay.contact-a", "pressure.in", "T1.common".
 */
final readonly class Points
{
    /** Switches of one string that go by one name, first to last. */
    private const STRINGS = ['pressure' => ['high-pressure', 'low-pressure']];

    /** @var array<string, string> the circuit's point by every name */
    public array $byName;

    /** @var array<string, array{string, Lead}> part and which lead of it, by its name */
    private array $leads;

    private Netlist $netlist;

    public function __construct(private Circuit $circuit)
    {
        $this->netlist = $circuit->netlist(Setup::calling());
        $names = $leads = [];
        foreach ($this->netlist->points as $point) {
            if ($point->probeable) {
                $names[$point->id] = $point->id;
            }
        }
        foreach ([...$this->netlist->elements, ...$this->netlist->lineSide] as $element) {
            [$a, $b] = self::endsOf($element);
            if ($a !== '') {
                $names += [$a => $element->a, $b => $element->b];
            }
            if ($element->kind === ElementKind::Load) {
                $leads += [$a => [$element->id, Lead::Hot], $b => [$element->id, Lead::Common]];
            }
        }
        foreach (self::STRINGS as $name => $switches) {
            $of = array_values(
                array_filter(
                    $this->netlist->elements,
                    static fn (Element $e): bool => in_array($e->id, $switches, true),
                ),
            );
            if ($of !== []) {
                $names += ["{$name}.in" => $of[0]->a, "{$name}.out" => $of[count($of) - 1]->b];
            }
        }
        $this->byName = $names;
        $this->leads = $leads;
    }

    /** @return array{string, string} names of the two ends of a part */
    private static function endsOf(Element $element): array
    {
        return match ($element->kind) {
            ElementKind::Winding, ElementKind::Load => ["{$element->id}.hot", "{$element->id}.common"],
            ElementKind::LineContact => ["{$element->subject}.contact-a", "{$element->subject}.contact-b"],
            ElementKind::SafetySwitch, ElementKind::Contact => ["{$element->id}.in", "{$element->id}.out"],
            default => ['', ''],
        };
    }

    /** @return list<string> every name */
    public function all(): array
    {
        return array_map(strval(...), array_keys($this->byName));
    }

    /** The circuit's own name; null where the house has no such point. */
    public function of(string $name): ?string
    {
        return $this->byName[$name] ?? null;
    }

    /** The load whose lead a name is, "contactor.hot"; null for any other point. */
    public function leadOf(string $name): ?string
    {
        return $this->leads[$name][0] ?? null;
    }

    /** @return array<string, string> screw by each lead of a part; none for what is no part */
    public function leadsOf(string $part): array
    {
        $leads = array_filter($this->leads, static fn (array $of): bool => $of[0] === $part);

        return array_intersect_key($this->byName, $leads);
    }

    /** Which lead of its part. */
    public function sideOf(string $lead): Lead
    {
        return $this->leads[$lead][1] ?? Lead::Hot;
    }

    /** Where a part's own end is while its lead is off; null for what is no lead. */
    public function off(string $lead): ?string
    {
        $of = $this->leads[$lead] ?? null;

        return $of === null ? null : At::off(...$of)->id;
    }

    /** The name of a point by which a test says it: a part's own end is its lead's. */
    public function said(string $id): string
    {
        return array_find(array_keys($this->leads), fn (string $lead): bool => $this->off($lead) === $id) ?? $id;
    }

    /** @return list<string> what can be lifted: landed conductor ends and leads of parts */
    public function liftable(): array
    {
        $ends = array_filter(
            $this->all(),
            fn (string $name): bool => isset($this->netlist->elements["{$name}.joint"]),
        );

        return [...array_values($ends), ...array_map(strval(...), array_keys($this->leads))];
    }

    /** @return list<string> landed ends of every conductor at a place */
    public function endsAt(Place $place): array
    {
        return array_values(
            array_filter(
                array_map(strval(...), array_keys($this->netlist->points)),
                fn (string $id): bool => isset($this->netlist->elements["{$id}.joint"]) &&
                    $this->netlist->points[$id]->place === $place,
            ),
        );
    }

    /** @return array<string, string> screw by the tip that is landed on it, at one place */
    public function landedAt(Place $place): array
    {
        $landed = [];
        foreach ($this->netlist->elements as $element) {
            if ($element->kind === ElementKind::Joint && $this->placeOf($element->b) === $place) {
                $landed[$element->a] = $element->b;
            }
        }

        return $landed;
    }

    /** The tip of a conductor that is landed on a screw; null where none is. */
    public function endOn(string $screw): ?string
    {
        foreach ($this->netlist->elements as $element) {
            if ($element->kind === ElementKind::Joint && $element->b === $screw) {
                return $element->a;
            }
        }

        return null;
    }

    /** @return list<Place> places where conductors end */
    public function places(): array
    {
        $places = [];
        foreach ($this->netlist->points as $point) {
            if ($point->place !== null && $this->endsAt($point->place) !== []) {
                $places[$point->place->value] = $point->place;
            }
        }

        return array_values($places);
    }

    /** Where a person stands to touch a point; the indoor unit for what has no place of its own. */
    public function placeOf(string $name): Place
    {
        $id = $this->byName[$name] ?? $name;

        return ($this->netlist->points[$id] ?? null)->place ?? (At::read($id)->place ?? Place::Indoor);
    }

    /** The thermostat off its wires said end by end: every end lifted, jumpers from copper to copper. */
    public function plain(TestSetup $setup): TestSetup
    {
        $bare = $setup->face === Face::Bare;
        $point = fn (string $name): string => $bare ? $this->copper($name) : $this->of($name) ?? $name;
        $jumpers = array_map(static fn (array $pair): array => array_map($point, $pair), $setup->jumpers);

        return $setup->on($jumpers, $bare ? $this->endsAt(Place::Wall) : [], $bare ? Face::Off : $setup->face);
    }

    /** The copper that was on a screw of the wall; any other point by the circuit's own name. */
    public function copper(string $name): string
    {
        $id = $this->of($name) ?? $name;

        return str_starts_with($id, 'wall.') ? $this->endOn($id) ?? $id : $id;
    }

    /** The same for one test said in two ways. */
    public function key(TestSetup $setup, Probe $probe): string
    {
        if ($probe->inspect !== '') {
            // A part looks the same whatever is jumpered.
            return $probe->key();
        }
        $bare = $setup->face === Face::Bare;
        $point = fn (string $name): string => $bare ? $this->copper($name) : $this->clamped($name);
        $ends = [$point($probe->from), $point($probe->to)];
        sort($ends);

        return $this->plain($setup)->key().
            '/'.
            ($probe->mode === null ? $probe->key() : "{$probe->mode->value}:".implode('~', $ends));
    }

    public function netlist(): Netlist
    {
        return $this->netlist;
    }

    /** Where a clamp is put that is said of a fuse: the supply's own hot lead carries the same. */
    public function clamped(string $name): string
    {
        $fuse = $this->netlist->elements[$name] ?? null;
        $lead = $fuse?->kind === ElementKind::Fuse ? "{$fuse->subject}.hot" : $name;

        return $this->of($lead) ?? $name;
    }

    /** @return list<string> switches of the line that can be held closed */
    public function holdable(): array
    {
        return $this->circuit->installation->archetype->doorSwitch ? ['door'] : [];
    }
}
