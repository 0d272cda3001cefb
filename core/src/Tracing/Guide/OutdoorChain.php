<?php

declare(strict_types=1);

namespace Unionbit\Core\Tracing\Guide;

use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Asked\Thing\LeadLifted;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Netlist\ElementKind;
use Unionbit\Core\Circuit\Netlist\PointKind;
use Unionbit\Core\Equipment\Load;
use Unionbit\Core\Equipment\Observable;
use Unionbit\Core\Point\At;
use Unionbit\Core\Point\Lead;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Tracing\Next\Candidate;

/**
 * The outdoor chain under its call, point by point from the thermostat's screw to the contactor: where the volts stop,
 * what lies between is it. At its end the coil itself, by ohms.
 */
final class OutdoorChain
{
    /** @return list<Step> */
    public static function steps(Ground $ground): array
    {
        $load = array_find(
            $ground->circuit->installation->loads(),
            static fn (Load $l): bool => $l->observable === Observable::OutdoorUnit,
        );
        $call = array_find(
            $ground->wanted->calls(),
            static fn (CallName $c): bool => ($ground->wanted->of($c)[Observable::OutdoorUnit->value] ?? '') ===
                'yes',
        );
        if ($load === null || $call === null) {
            return [];
        }
        $setup = Hands::calling($call);
        $coil = [At::lead($load->id, Lead::Hot), At::lead($load->id, Lead::Common)];
        $points = self::copper($ground, $call);
        foreach ($ground->house->contacts->netlist->elements as $element) {
            $inChain = in_array($element->kind, [ElementKind::SafetySwitch, ElementKind::Contact], true);
            if ($inChain && $ground->house->contacts->placeOf(At::read($element->a)) === Place::Outdoor) {
                array_push($points, $element->a, $element->b);
            }
        }
        $steps = [];
        foreach (array_unique([...$points, $coil[0]->id]) as $point) {
            $probes = $ground->probes(MeterMode::Volts, [[At::read($point), $coil[1]]]);
            if ($probes !== []) {
                $steps[] = Step::test(new Candidate($setup, $probes));
            }
        }

        return [
            ...$steps,
            Step::test(
                new Candidate(
                    Hands::dead()->with(new LeadLifted($load->id)),
                    $ground->probes(MeterMode::Ohms, [$coil]),
                ),
            ),
        ];
    }

    /** @return list<string> points of the copper from the wall's screw of the call to the outdoor unit's, in order */
    private static function copper(Ground $ground, CallName $call): array
    {
        $profile = $ground->circuit->profile;
        $table = CallTable::needed($ground->circuit->installation->archetype);
        foreach ($table->printed($call, $profile) as $printed) {
            $path = self::path($ground, $profile->terminal($printed)?->point() ?? '');
            if ($path !== []) {
                return $path;
            }
        }

        return [];
    }

    /** @return list<string> none where its copper never comes outdoors */
    private static function path(Ground $ground, string $start): array
    {
        $from = [$start => ''];
        $queue = [$start];
        while ($queue !== []) {
            $at = array_shift($queue);
            $point = $ground->house->contacts->netlist->points[$at] ?? null;
            if ($point?->kind === PointKind::Screw && $point->place === Place::Outdoor) {
                return self::back($from, $at);
            }
            foreach ($ground->house->contacts->netlist->elements as $element) {
                $next = self::across($element, $at);
                if ($next !== null && ! isset($from[$next])) {
                    $from[$next] = $at;
                    $queue[] = $next;
                }
            }
        }

        return [];
    }

    private static function across(Element $element, string $at): ?string
    {
        $copper = in_array($element->kind, [ElementKind::Wire, ElementKind::Joint, ElementKind::Strip], true);

        return $copper && ($element->a === $at || $element->b === $at) ? $element->other($at) : null;
    }

    /**
     * @param  array<string, string>  $from
     * @return list<string> first to last
     */
    private static function back(array $from, string $at): array
    {
        $path = [];
        while ($at !== '') {
            array_unshift($path, $at);
            $at = $from[$at];
        }

        return $path;
    }
}
