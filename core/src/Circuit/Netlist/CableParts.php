<?php

declare(strict_types=1);

namespace Unionbit\Core\Circuit\Netlist;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Point\At;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Point\Side;
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
            [$near, $middle, $far] = [At::near($id), At::middle($id), At::far($id)];
            $this->net->conductor($near->id, $cable->from, $name, $id);
            $this->net->conductor($middle->id, null, $name, $id);
            $this->net->conductor($far->id, $cable->to, $name, $id);
            $this->half($near->id, $middle->id, $half, $name, $conductor, Side::Near);
            $onward = $middle;
            if ($conductor->colourAfterSplice !== null) {
                $onward = At::spliced($id);
                $this->net->copper(
                    Part::joint($onward)->id,
                    ElementKind::Joint,
                    $middle->id,
                    $onward->id,
                    2.0 * Assembly::END_OHMS,
                    Message::of('circuit.assembly.splice', name: $name),
                    $id,
                );
            }
            $this->half($onward->id, $far->id, $half, $name, $conductor, Side::Far);
            $this->land($cable, Side::Near, $this->nearEnd($cable, $conductor), $near, $name);
            $this->land($cable, Side::Far, $this->farEnd($cable, $conductor), $far, $name);
        }
    }

    private function half(string $a, string $b, float $ohms, Message $name, Conductor $conductor, Side $side): void
    {
        $id = $conductor->id();
        $this->net->copper(Part::half($id, $side)->id, ElementKind::Wire, $a, $b, $ohms, $name, $id);
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
                $this->touch(Part::onMetal($id), $id, At::metal(), $name);
            }
            foreach ($conductor->touches as $number) {
                if ($cable->conductor($number) !== null) {
                    $other = At::middle($cable->conductor($number)->id());
                    $this->touch(Part::onOther($id, $number), $id, $other, $name);
                }
            }
        }
    }

    private function touch(Part $part, string $conductor, At $what, Message $name): void
    {
        $this->net->copper(
            $part->id,
            ElementKind::Joint,
            At::middle($conductor)->id,
            $what->id,
            self::TOUCH_OHMS,
            Message::of('circuit.assembly.found-touching', name: $name),
            $conductor,
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

    private function land(Cable $cable, Side $side, End $end, At $tip, Message $name): void
    {
        $place = $cable->placeAt($side);
        $subject = (string) $tip->conductor;
        $onto = $end->onto === null ? null : (new Splices($this->installation->cables))->named($place, $end->onto);
        if ($onto !== null) {
            $this->net->copper(
                Part::joint($tip)->id,
                ElementKind::Joint,
                $tip->id,
                $onto->at()->id,
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
                ? At::screw($place, $end->terminal)->id
                : $this->installation->pointOf($place, $end->terminal);
        $this->net->screw($screw, $place, $end->terminal);
        $this->net->copper(
            Part::joint($tip)->id,
            ElementKind::Joint,
            $tip->id,
            $cable->from === Place::Wall || ($side === Side::Far && $cable->to->isOutdoors())
                ? $this->safety->before($screw)
                : $screw,
            Assembly::END_OHMS,
            $name,
            $subject,
        );
    }
}
