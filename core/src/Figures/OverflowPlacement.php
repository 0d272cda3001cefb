<?php

declare(strict_types=1);

namespace Unionbit\Core\Figures;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Edit\Opened;
use Unionbit\Core\Circuit\OperatingPoint;
use Unionbit\Core\Equipment\Observable;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\SafetyDevice;
use Unionbit\Core\Planning\Plan\HouseChanges;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Proof\Simulation;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Thermostat\PowerKind;
use Unionbit\Core\Words\Message;

/**
 * Where an overflow switch goes: each way wired into the circuit of this house, opened, and asked what stops and what
 * goes on.
 */
final class OverflowPlacement
{
    /**
     * @return list<array{key: string, title: Message, breaks: list<string>, relay: bool, parts: list<Message>,
     *     stops: list<Message>, goesOn: list<Message>, powered: bool, emergency: ?bool, coolingStops: bool,
     *     blowsOn: bool, heatingGoesOn: bool, fits: bool, best: bool, why: Message}>
     */
    public static function ways(Plan $plan): array
    {
        $rows = array_map(
            static fn (SafetyDevice $device): array => self::row($plan, $device),
            self::devices($plan->installation),
        );
        $best = self::best($plan, $rows);

        return array_map(
            static fn (array $row): array => [
                ...$row,
                'best' => $row['key'] === $best['key'],
                'why' => $row['key'] === $best['key'] ? $best['why'] : self::against($row),
            ],
            $rows,
        );
    }

    /** @return list<SafetyDevice> one float switch, in every way that this board allows */
    private static function devices(Installation $house): array
    {
        $at = $house->archetype->boardTerminal(TerminalName::Y1)->place ?? $house->archetype->boards[0];
        $screw = static fn (TerminalName ...$names): ?string => array_values(
            array_filter(
                array_map(
                    static fn (TerminalName $n): ?string => $house->archetype->terminalNamed($at, $n)?->printed,
                    $names,
                ),
            ),
        )[0] ?? null;
        [$r, $y, $y2, $w] = [
            $screw(TerminalName::R, TerminalName::Rc),
            $screw(TerminalName::Y1),
            $screw(TerminalName::Y2),
            $screw(TerminalName::W1, TerminalName::Aux),
        ];
        $ways = [];
        foreach ([[$r], [$y], [$w]] as $breaks) {
            if ($breaks[0] !== null) {
                $ways[] = [$breaks, false];
            }
        }
        if ($y !== null && $y2 !== null) {
            $ways[] = [[$y, $y2], true];
        }
        if ($y !== null && $w !== null) {
            $ways[] = [[$y, $w], true];
        }

        return array_map(
            static fn (array $way): SafetyDevice => new SafetyDevice('float', '', $way[0], $way[1], $at),
            $ways,
        );
    }

    /**
     * @return array{key: string, title: Message, breaks: list<string>, relay: bool, parts: list<Message>,
     *     stops: list<Message>, goesOn: list<Message>, powered: bool, emergency: ?bool, coolingStops: bool,
     *     blowsOn: bool, heatingGoesOn: bool, fits: bool}
     */
    private static function row(Plan $plan, SafetyDevice $device): array
    {
        $changed = new Plan(
            (new HouseChanges(null, [$device]))->applied($plan->installation),
            $plan->profile,
            $plan->landing,
        );
        $circuit = $changed->circuit();
        $opened = array_map(
            static fn (string $id): Opened => new Opened($id),
            $device->relay || count($device->breaks) === 1
                ? [$device->id]
                : array_map(static fn (string $b): string => "{$device->id}.{$b}", $device->breaks),
        );
        $fits = isset($circuit->netlist(Simulation::setups($changed)['idle'])->elements[$device->id]);
        $stops = $goesOn = [];
        $blows = false;
        $powered = true;
        $cooling = $heating = false;
        $emergency = null;
        foreach ($fits ? Simulation::setups($changed) : [] as $call => $setup) {
            $dry = $circuit->operate($setup);
            $wet = $circuit->operate($setup->with(...$opened));
            $powered = $powered && ($wet->thermostatUp && ! self::starves($changed, $circuit, $wet));
            $was = self::running($changed, $dry);
            $is = self::running($changed, $wet);
            if ($call === 'idle') {
                continue;
            }
            $name = CallName::from($call);
            foreach (array_diff_key($was, $is) as $load) {
                $stops[] = Message::of(
                    'figures.overflow-placement.load-in-call',
                    call: $name->label(),
                    load: $load,
                );
            }
            foreach (array_intersect_key($was, $is) as $load) {
                $goesOn[] = Message::of(
                    'figures.overflow-placement.load-in-call',
                    call: $name->label(),
                    load: $load,
                );
            }
            $compressor = self::observed($changed, $wet, Observable::OutdoorUnit);
            $blows = $blows || ($name->isCooling() && self::observed($changed, $wet, Observable::Blower));
            $cooling = $cooling || ($name->isCooling() && $compressor);
            $heating = $heating || ($name->isHeating() && $is !== [] && count($is) === count($was));
            $emergency = $name === CallName::Emergency ? array_diff_key($was, $is) === [] : $emergency;
        }

        return [
            'key' => implode('+', $device->breaks).($device->relay ? ' relay' : ''),
            'title' => Message::of(
                $device->relay ? 'figures.overflow-placement.in-by-relay' : 'figures.overflow-placement.in',
                breaks: $device->breaks,
            ),
            'breaks' => $device->breaks,
            'relay' => $device->relay,
            'parts' => $device->relay
                ? [
                    Message::of(
                        'figures.overflow-placement.relay-24-v-coil-contacts',
                        count: count($device->breaks),
                    ),
                ]
                : [],
            'stops' => $stops,
            'goesOn' => $goesOn,
            'powered' => $powered,
            'emergency' => $emergency,
            'coolingStops' => ! $cooling,
            'blowsOn' => $blows,
            'heatingGoesOn' => $heating,
            'fits' => $fits,
        ];
    }

    /** A thermostat that charges through a load loses that charge where the switch breaks its way. */
    private static function starves(Plan $plan, Circuit $circuit, OperatingPoint $wet): bool
    {
        $own = $wet->netlist->elements['thermostat.electronics'] ?? null;

        return $plan->profile->power === PowerKind::Shared &&
            $own !== null &&
            $wet->pulledIn() === [] &&
            $wet->phasors->magnitude($own->a, $own->b) < Circuit::BLANK_VOLTS;
    }

    /** @return array<string, Message> what is seen or heard running, by load */
    private static function running(Plan $plan, OperatingPoint $point): array
    {
        $labels = [];
        foreach ($plan->installation->archetype->loads as $load) {
            if ($load->observable !== null && in_array($load->id, $point->pulledIn(), true)) {
                $labels[$load->id] = $load->label;
            }
        }

        return $labels;
    }

    private static function observed(Plan $plan, OperatingPoint $point, Observable $observable): bool
    {
        return array_filter(
            $plan->installation->archetype->loads,
            static fn ($l): bool => $l->observable === $observable && in_array($l->id, $point->pulledIn(), true),
        ) !== [];
    }

    /**
     * The default of the trade, among the ways that do their work here.
     *
     * @param  list<array<string, mixed>>  $rows
     * @return array{key: string, why: Message}
     */
    private static function best(Plan $plan, array $rows): array
    {
        $archetype = $plan->installation->archetype;
        $good = array_values(
            array_filter(
                $rows,
                static fn (array $r): bool => $r['fits'] === true &&
                    $r['coolingStops'] === true &&
                    ($r['powered'] === true || $plan->profile->power === PowerKind::Shared),
            ),
        );
        $has = static fn (string $part, bool $relay): array => array_values(
            array_filter(
                $good,
                static fn (array $r): bool => $r['relay'] === $relay && in_array($part, (array) $r['breaks'], true),
            ),
        );
        $y = $archetype->boardTerminal(TerminalName::Y1)->printed ?? 'Y';
        $w = $archetype->boardTerminal(TerminalName::W1)->printed ?? 'W';
        $several = array_values(
            array_filter($has($y, true), static fn (array $r): bool => ! in_array($w, (array) $r['breaks'], true)),
        );
        $both = array_values(
            array_filter($has($y, true), static fn (array $r): bool => in_array($w, (array) $r['breaks'], true)),
        );
        [$row, $why] = match (true) {
            // A condensing furnace makes water with its heat as well.
            $plan->installation->answers->is('condensing', 'yes') && $both !== [] => [
                $both[0],
                Message::of('figures.overflow-placement.condensing-makes-water-in-heat'),
            ],
            $archetype->coolStages > 1 && $several !== [] => [
                $several[0],
                Message::of('figures.overflow-placement.two-stages-outdoors-with-y1'),
            ],
            $has($y, false) !== [] => [
                $has($y, false)[0],
                $archetype->reverses
                    ? Message::of('figures.overflow-placement.heat-pump-r-would-take')
                    : ($plan->profile->power === PowerKind::Battery
                        ? Message::of('figures.overflow-placement.heat-goes-on-same-day')
                        : Message::of('figures.overflow-placement.thermostat-keeps-power-heat-goes')),
            ],
            default => [$good[0] ?? null, Message::of('figures.overflow-placement.only-way-here-stops-water')],
        };

        $charge =
            $plan->profile->power === PowerKind::Shared && is_array($row) && $row['powered'] !== true
                ? Message::of('figures.overflow-placement.loses-charge-while-pan-wet')
                : Message::none();

        return [
            'key' => is_array($row) && is_string($row['key']) ? $row['key'] : '',
            'why' => Message::series(
                array_values(array_filter([$why, $charge], static fn (Message $m): bool => ! $m->isNone())),
            ),
        ];
    }

    /** @param  array<string, mixed>  $row */
    private static function against(array $row): Message
    {
        return match (true) {
            $row['fits'] !== true => Message::of('figures.overflow-placement.no-conductor-goes-through-here'),
            $row['coolingStops'] !== true => Message::of('figures.overflow-placement.cooling-goes-on-making-water'),
            $row['powered'] !== true => Message::of('figures.overflow-placement.thermostat-goes-blank-or-loses'),
            $row['emergency'] === false => Message::of('figures.overflow-placement.takes-emergency-heat-away'),
            $row['heatingGoesOn'] !== true => Message::of('figures.overflow-placement.heat-stops-as-well'),
            default => $row['relay'] === true
                ? Message::of('figures.overflow-placement.works-needs-relay')
                : Message::of('figures.overflow-placement.works-as-well'),
        };
    }
}
