<?php

declare(strict_types=1);

namespace Unionbit\Core\Asked;

use Unionbit\Core\Asked\Thing\Bare;
use Unionbit\Core\Asked\Thing\DoorHeld;
use Unionbit\Core\Asked\Thing\Jumper;
use Unionbit\Core\Asked\Thing\LeadLifted;
use Unionbit\Core\Asked\Thing\LiftedEnd;
use Unionbit\Core\Asked\Thing\PulledPlug;
use Unionbit\Core\Asked\Thing\Thing;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Netlist\ElementKind;
use Unionbit\Core\Circuit\Netlist\Netlist;
use Unionbit\Core\Point\At;
use Unionbit\Core\Point\Lead;
use Unionbit\Core\Terminal\Place;

/**
 * Every point of a house that a person may name, and what of the circuit he then touches: its screws and tips, and the
 * leads of its parts, "contactor.hot", "blower-relay.contact-a", "pressure.in", "T1.common".
 */
final class Contacts
{
    /** Switches of one string that go by one name, first to last. */
    private const STRINGS = ['pressure' => ['high-pressure', 'low-pressure']];

    /** @var array<string, string> the circuit's point by every name */
    private readonly array $nodes;

    /** @var array<string, At> leads of loads, by their names */
    private readonly array $leads;

    /** @var array<string, At> the tip that is landed on a screw, by the screw */
    private readonly array $tips;

    /** @var array<string, string> by hands and probe */
    private array $keys = [];

    public readonly Netlist $netlist;

    public function __construct(private readonly Circuit $circuit)
    {
        $this->netlist = $circuit->atRest();
        $nodes = $leads = [];
        foreach ($this->netlist->points as $point) {
            if ($point->probeable) {
                $nodes[$point->id] = $point->id;
            }
        }
        foreach ([...$this->netlist->elements, ...$this->netlist->lineSide] as $element) {
            [$a, $b] = self::endsOf($element) ?? [null, null];
            if ($a === null || $b === null) {
                continue;
            }
            $nodes += [$a->id => $element->a, $b->id => $element->b];
            if ($element->kind === ElementKind::Load) {
                $leads += [$a->id => $a, $b->id => $b];
            }
        }
        foreach (self::STRINGS as $name => $switches) {
            $of = array_values(array_intersect_key($this->netlist->elements, array_flip($switches)));
            if ($of !== []) {
                $nodes += [
                    At::lead($name, Lead::In)->id => $of[0]->a,
                    At::lead($name, Lead::Out)->id => $of[count($of) - 1]->b,
                ];
            }
        }
        $this->nodes = $nodes;
        $this->leads = $leads;
        $tips = [];
        foreach ($this->netlist->elements as $element) {
            if ($element->kind === ElementKind::Joint && ! isset($tips[$element->b])) {
                $tips[$element->b] = At::read($element->a);
            }
        }
        $this->tips = $tips;
    }

    /** @return ?array{At, At} how the two ends of a part are named; null for what has no such names */
    public static function endsOf(Element $element): ?array
    {
        [$of, $a, $b] = match ($element->kind) {
            ElementKind::Winding, ElementKind::Load => [$element->id, Lead::Hot, Lead::Common],
            ElementKind::LineContact => [$element->subject, Lead::ContactA, Lead::ContactB],
            ElementKind::SafetySwitch, ElementKind::Contact => [$element->id, Lead::In, Lead::Out],
            default => ['', null, null],
        };

        return $a === null || $b === null ? null : [At::lead($of, $a), At::lead($of, $b)];
    }

    /** @return list<string> every name */
    public function all(): array
    {
        return array_map(strval(...), array_keys($this->nodes));
    }

    /** The circuit's own point; null where the house has no such point. */
    public function node(At $at): ?string
    {
        return $this->nodes[$at->id] ?? null;
    }

    /** The same, or what is no name of this house as it was said: the netlist may have it there. */
    private function own(At $at): string
    {
        return $this->nodes[$at->id] ?? $at->id;
    }

    public function has(At $at): bool
    {
        return isset($this->nodes[$at->id]);
    }

    /** What a probe or a jumper there touches as the house then is: a lifted lead's own end, the copper at the wall. */
    public function touched(At $at, Hands $hands): string
    {
        $lead = $this->leads[$at->id] ?? null;
        if ($lead?->lead !== null && $hands->things->has(new LeadLifted((string) $lead->part, $lead->lead))) {
            return At::off((string) $lead->part, $lead->lead)->id;
        }

        return $hands->face() === Face::Bare ? $this->copper($at) : $this->own($at);
    }

    /** A jumper between what its ends touch. */
    public function placed(Jumper $jumper, Hands $hands): Jumper
    {
        return new Jumper(
            At::read($this->touched($jumper->a, $hands)),
            At::read($this->touched($jumper->b, $hands)),
        );
    }

    /** The lead of a load that a name is; null for any other point. */
    public function leadOf(At $at): ?At
    {
        return $this->leads[$at->id] ?? null;
    }

    /** @return array<string, string> screw by each lead of a load; none for what is no load */
    public function leadsOf(string $load): array
    {
        $leads = array_filter($this->leads, static fn (At $lead): bool => $lead->part === $load);

        return array_intersect_key($this->nodes, $leads);
    }

    /** The name by which a test says a point: the own end of a load is its lead's. */
    public function said(At $at): At
    {
        $lead =
            $at->part === null || $at->lead === null
                ? null
                : $this->leads[At::lead($at->part, $at->lead)->id] ?? null;

        return $lead ?? $at;
    }

    /** @return list<string> what can be lifted: landed conductor ends and leads of loads */
    public function liftable(): array
    {
        $ends = array_filter(
            array_map(At::read(...), $this->all()),
            fn (At $at): bool => $at->conductor !== null && $this->circuit->isLanded($at),
        );

        return [...At::ids(...$ends), ...array_map(strval(...), array_keys($this->leads))];
    }

    /** @return array<string, string> screw by the tip that is landed on it, at one place */
    public function landedAt(Place $place): array
    {
        $landed = [];
        foreach ($this->netlist->elements as $element) {
            if ($element->kind === ElementKind::Joint && $this->placeOf(At::read($element->b)) === $place) {
                $landed[$element->a] = $element->b;
            }
        }

        return $landed;
    }

    /** The tip of a conductor that is landed on a screw; null where none is. */
    public function endOn(string $screw): ?At
    {
        return $this->tips[$screw] ?? null;
    }

    /** @return list<Place> places where conductors end */
    public function places(): array
    {
        $places = [];
        foreach ($this->netlist->points as $point) {
            if ($point->place !== null && $this->circuit->endsAt($point->place) !== []) {
                $places[$point->place->value] = $point->place;
            }
        }

        return array_values($places);
    }

    /** Where a person stands to touch a point; the indoor unit for what has no place of its own. */
    public function placeOf(At $at): Place
    {
        $node = $this->own($at);

        return ($this->netlist->points[$node] ?? null)->place ?? ($at->place ?? Place::Indoor);
    }

    /** The thermostat off its wires said end by end: every end lifted, jumpers from copper to copper. */
    public function plain(Hands $hands): Hands
    {
        $bare = $hands->face() === Face::Bare;
        $point = fn (At $at): At => At::read($bare ? $this->copper($at) : $this->own($at));
        $plain = $hands->holding($hands->things->butNot(Jumper::class));
        foreach ($hands->things->each(Jumper::class) as $jumper) {
            $plain = $plain->jumping($point($jumper->a), $point($jumper->b));
        }

        return $bare ? $plain->faced(Face::Off)->lifting(...$this->circuit->endsAt(Place::Wall)) : $plain;
    }

    /** The same with a pulled cable said end by end. */
    public function spread(Things $things): Things
    {
        $spread = $things->butNot(PulledPlug::class);
        foreach ($things->each(PulledPlug::class) as $plug) {
            $ends = $plug->ends($this->circuit);
            $spread = $spread->with(...array_map(static fn (At $end): Thing => new LiftedEnd($end), $ends));
        }

        return $spread;
    }

    /** What has to stand for a test, as it is put on the strip: a thermostat off its wires is said apart. */
    public function standing(Hands $hands): Things
    {
        $things = $hands->things->butNot(Jumper::class)->butNot(Bare::class);
        foreach ($hands->things->each(Jumper::class) as $jumper) {
            $things = $things->with(new Jumper(At::read($this->own($jumper->a)), At::read($this->own($jumper->b))));
        }

        return $things;
    }

    /** The copper that was on a screw of the wall; any other point by the circuit's own name. */
    private function copper(At $at): string
    {
        $node = $this->own($at);

        return $at->place === Place::Wall ? $this->endOn($node)->id ?? $node : $node;
    }

    /** The same for one test said in two ways. */
    public function key(Hands $hands, Probe $probe): string
    {
        if ($probe->inspect !== '') {
            // A part looks the same whatever is jumpered.
            return $probe->key();
        }

        return $this->keys[$hands->key().' '.$probe->key()] ??= $this->keyOf($hands, $probe);
    }

    private function keyOf(Hands $hands, Probe $probe): string
    {
        $bare = $hands->face() === Face::Bare;
        $ends = array_map(
            fn (At $at): string => $bare ? $this->copper($at) : $this->node($this->clamped($at)) ?? $at->id,
            $probe->points(),
        );
        sort($ends);

        return $this->plain($hands)->key().
            '/'.
            ($probe->mode === null ? $probe->key() : $probe->mode->value.':'.implode('~', $ends));
    }

    /** Where a clamp is put that is said of a fuse: the supply's own hot lead carries the same. */
    public function clamped(At $at): At
    {
        return $at->lead === Lead::Fuse && $at->part !== null ? At::lead($at->part, Lead::Hot) : $at;
    }

    /** @return list<string> switches of the line that can be held closed */
    public function holdable(): array
    {
        return $this->circuit->installation->archetype->doorSwitch ? [DoorHeld::DOOR] : [];
    }
}
