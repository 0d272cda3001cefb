<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Paper;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Circuit\LoadState;
use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Netlist\ElementKind;
use Unionbit\Core\Circuit\Netlist\PointKind;
use Unionbit\Core\Circuit\OperatingPoint;
use Unionbit\Core\Equipment\Load;
use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Proof\Simulation;

/**
 * The way of the current in a call, for each load that it pulls in: out from the transformer through everything that
 * carries, and back to it. Both by the circuit: what carries no current is not drawn.
 */
final class CallPaths
{
    /** A branch counts as the load's way while it carries this share of the load's own current. */
    private const SHARE = 0.4;

    /** @return list<CallPath> */
    public static function of(Plan $plan, CallName $call): array
    {
        $setup = Simulation::setups($plan)[$call->value] ?? null;
        if ($setup === null) {
            return [];
        }
        $circuit = $plan->circuit();
        $point = $circuit->operate($setup);
        $added = array_column($plan->installation->facts->safety, 'id');
        $paths = [];
        foreach ($plan->installation->loads() as $load) {
            $supply = $point->loads[$load->id] === LoadState::PulledIn ? $circuit->supplyBehind($load->to) : null;
            if ($supply !== null && $load->kind->hasState()) {
                $paths[] = self::path($point, $load, $supply, $added);
            }
        }

        return array_values(array_filter($paths));
    }

    /** @param  list<string>  $added */
    private static function path(OperatingPoint $point, Load $load, Transformer $supply, array $added): ?CallPath
    {
        $winding = $point->netlist->element($supply->id);
        $coil = $point->netlist->elements[$load->id] ?? null;
        if ($coil === null) {
            return null;
        }
        $amps = $point->phasors->amps($coil);
        $out = self::route($point, $winding->a, $coil->a, $amps);
        $back = self::route($point, $coil->b, $winding->b, $amps);

        return $out === null || $back === null
            ? null
            : new CallPath(
                $load,
                $supply->id,
                $amps,
                self::steps($point, $winding->a, $out, $added),
                self::steps($point, $coil->b, $back, $added),
            );
    }

    /** @return ?list<Element> the shortest way through copper that carries at least its share */
    private static function route(OperatingPoint $point, string $from, string $to, float $amps): ?array
    {
        $neighbours = [];
        foreach ($point->netlist->elements as $element) {
            if (
                $element->kind->isCopper() &&
                ! $element->isOpen() &&
                $point->phasors->amps($element) >= self::SHARE * $amps
            ) {
                $neighbours[$element->a][] = $element;
                $neighbours[$element->b][] = $element;
            }
        }
        $came = [$from => null];
        $queue = [$from];
        while ($queue !== [] && ! array_key_exists($to, $came)) {
            $at = array_shift($queue);
            foreach ($neighbours[$at] ?? [] as $element) {
                $next = $element->other($at);
                if (! array_key_exists($next, $came)) {
                    $came[$next] = [$at, $element];
                    $queue[] = $next;
                }
            }
        }
        if (! array_key_exists($to, $came)) {
            return null;
        }
        $way = [];
        for ($at = $to; $came[$at] !== null; $at = $came[$at][0]) {
            array_unshift($way, $came[$at][1]);
        }

        return $way;
    }

    /**
     * What is drawn of a way: each part once, and the screws between.
     *
     * @param  list<Element>  $way
     * @param  list<string>  $added
     * @return list<PathStep>
     */
    private static function steps(OperatingPoint $point, string $from, array $way, array $added): array
    {
        $first = $point->netlist->points[$from] ?? null;
        $steps = $first?->kind === PointKind::Screw ? [PathStep::screw($first)] : [];
        $at = $from;
        foreach ($way as $element) {
            $at = $element->other($at);
            $kind = self::kind($point, $element, $added);
            $last = end($steps) ?: null;
            if ($kind !== null && ! ($kind === 'conductor' && $last?->subject === $element->subject)) {
                $steps[] = new PathStep($kind, $element->label, $element->subject);
            }
            $where = $point->netlist->points[$at] ?? null;
            $last = end($steps) ?: null;
            if ($where?->kind === PointKind::Screw && $last?->subject !== $at) {
                $steps[] = PathStep::screw($where);
            }
        }

        return $steps;
    }

    /** @param  list<string>  $added  switches that somebody put into the wiring */
    private static function kind(OperatingPoint $point, Element $element, array $added): ?string
    {
        return match ($element->kind) {
            ElementKind::Fuse => 'fuse',
            ElementKind::Wire => 'conductor',
            ElementKind::Jumper => 'tie',
            ElementKind::ThermostatSwitch => 'switch',
            // What somebody added in the line, not a switch of the unit's own.
            ElementKind::SafetySwitch => in_array($element->subject, $added, true) ? 'float' : 'contact',
            ElementKind::Contact => 'contact',
            ElementKind::Joint => self::isSplice($point, $element) ? 'splice' : null,
            default => null,
        };
    }

    /** A joint between two conductors, or within one that changes its color. */
    private static function isSplice(OperatingPoint $point, Element $element): bool
    {
        $kinds = array_map(static fn (string $id): ?PointKind => $point->netlist->points[$id]->kind ?? null, [
            $element->a,
            $element->b,
        ]);

        // Where the color changes the far side of the joint is no point for a probe.
        return $kinds[0] === PointKind::Conductor && in_array($kinds[1], [PointKind::Conductor, null], true);
    }
}
