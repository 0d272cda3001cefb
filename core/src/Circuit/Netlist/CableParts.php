<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Netlist;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Wiring\Cable;
use Unionbit\Core\Wiring\Condition;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\End;
use Unionbit\Core\Wiring\Landing;
use Unionbit\Core\Wiring\Splices;
use Unionbit\Core\Words\Message;

/** Conductors of the cables: two halves each, what is between them, and both ends on a screw, a splice or free. */
final readonly class CableParts
{
    /** A bare spot against metal or copper. */
    private const TOUCH_OHMS = 0.1;

    public function __construct(
        private NetBuilder $net,
        private Installation $installation,
        private Landing $landing,
        private SafetyParts $safety,
    ) {
    }

    public function add(Cable $cable): void
    {
        foreach ($cable->conductors as $conductor) {
            $half = self::ohms($cable, $conductor) / 2.0;
            $id = $conductor->id();
            $name = self::name($cable, $conductor);
            foreach (['near' => $cable->from, 'mid' => null, 'far' => $cable->to] as $part => $place) {
                $this->net->conductor("{$id}.{$part}", $place, $name, $id);
            }
            $this->net->copper("{$id}.h1", ElementKind::Wire, "{$id}.near", "{$id}.mid", $half, $name, $id);
            $onward = "{$id}.mid";
            if ($conductor->colourAfterSplice !== null) {
                $onward = "{$id}.splice";
                $this->net->copper(
                    "{$id}.splice.joint",
                    ElementKind::Joint,
                    "{$id}.mid",
                    $onward,
                    2.0 * Assembly::END_OHMS,
                    Message::of('circuit.assembly.splice', name: $name),
                    $id,
                );
            }
            $this->net->copper("{$id}.h2", ElementKind::Wire, $onward, "{$id}.far", $half, $name, $id);
            $this->land($cable, 'near', $this->nearEnd($cable, $conductor), "{$id}.near", $name, $id);
            $this->land($cable, 'far', $this->farEnd($cable, $conductor), "{$id}.far", $name, $id);
        }
    }

    /** End to end; with what a measured loop has over its length, and open where it was found open. */
    private static function ohms(Cable $cable, Conductor $conductor): float
    {
        $over = ($conductor->loopOhms ?? 0.0) - 2.0 * $cable->conductorOhms();

        return match (true) {
            in_array(Condition::Open, $conductor->condition, true) => 2.0 * Element::OPEN,
            $conductor->loopOhms !== null && $conductor->loopOhms > $cable->loopLimit() => $cable->conductorOhms() +
                $over,
            default => $cable->conductorOhms(),
        };
    }

    private static function name(Cable $cable, Conductor $conductor): Message
    {
        return match (true) {
            $cable->from === Place::Wall => $conductor->name(),
            $cable->to->isOutdoors() => Message::of('circuit.assembly.outdoor', conductor: $conductor->name()),
            default => Message::of('circuit.assembly.of-cable', conductor: $conductor->name(), cable: $cable->id),
        };
    }

    /** What its conductors were found to touch, somewhere along their way: sheet metal, another conductor. */
    public function damage(Cable $cable): void
    {
        foreach ($cable->conductors as $conductor) {
            [$id, $name] = [$conductor->id(), self::name($cable, $conductor)];
            if (in_array(Condition::Cabinet, $conductor->condition, true)) {
                $this->touch("{$id}.metal", "{$id}.mid", EquipmentParts::METAL, $name, $id);
            }
            foreach ($conductor->touches as $number) {
                if ($cable->conductor($number) !== null) {
                    $this->touch("{$id}.touch{$number}", "{$id}.mid", "{$cable->id}{$number}.mid", $name, $id);
                }
            }
        }
    }

    private function touch(string $id, string $a, string $b, Message $name, string $subject): void
    {
        $this->net->copper(
            $id,
            ElementKind::Joint,
            $a,
            $b,
            self::TOUCH_OHMS,
            Message::of('circuit.assembly.found-touching', name: $name),
            $subject,
        );
    }

    private function nearEnd(Cable $cable, Conductor $conductor): End
    {
        return $cable->from === Place::Wall
            ? $this->landing->wall[$conductor->id()] ?? $conductor->near
            : $conductor->near;
    }

    private function farEnd(Cable $cable, Conductor $conductor): End
    {
        return $cable->from === Place::Wall
            ? $this->landing->board[$conductor->id()] ?? $conductor->far
            : $conductor->far;
    }

    private function land(Cable $cable, string $side, End $end, string $tip, Message $name, string $subject): void
    {
        $place = $side === 'far' ? $cable->to : $cable->from;
        $onto =
            $end->onto === null
                ? null
                : (new Splices($this->installation->cables))->target($cable, $side, $end->onto);
        if ($onto !== null) {
            $this->net->copper(
                "{$tip}.joint",
                ElementKind::Joint,
                $tip,
                "{$onto[1]->id()}.{$onto[2]}",
                2.0 * Assembly::END_OHMS,
                Message::of('circuit.assembly.splice', name: $name),
                $subject,
            );
        }
        if ($end->terminal === null) {
            return;
        }
        $screw =
            $place === Place::Wall || $place === Place::Module
                ? "{$place->value}.{$end->terminal}"
                : $this->installation->pointOf($place, $end->terminal);
        $this->net->screw($screw, $place, $end->terminal);
        $this->net->copper(
            "{$tip}.joint",
            ElementKind::Joint,
            $tip,
            $cable->from === Place::Wall || ($side === 'far' && $cable->to->isOutdoors())
                ? $this->safety->before($screw)
                : $screw,
            Assembly::END_OHMS,
            $name,
            $subject,
        );
    }
}
