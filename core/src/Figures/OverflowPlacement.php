<?php

declare(strict_types=1);

namespace Unionbit\Core\Figures;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Water\FullPan;
use Unionbit\Core\Circuit\Water\SwitchPlaces;
use Unionbit\Core\Circuit\Water\WaterMakers;
use Unionbit\Core\Equipment\Archetype;
use Unionbit\Core\Equipment\Heat\HeatSource;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\SafetyDevice;
use Unionbit\Core\Planning\Plan\HouseChanges;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Thermostat\PowerKind;
use Unionbit\Core\Words\Message;

/**
 * Where an overflow switch goes, for each pan that gets wet: each way wired into the circuit of this house, opened in
 * every call, and asked what stops, what goes on making water, and what was to survive.
 *
 * @phpstan-type Way array{key: string, title: Message, breaks: list<string>, relay: bool,
 *     contacts: list<array{screw: string, pins: string}>, coil: string, parts: list<Message>, stops: list<Message>,
 *     goesOn: list<Message>, powered: bool, emergency: ?bool, dry: bool, blowsOn: bool, fits: bool, best: bool,
 *     why: Message}
 */
final class OverflowPlacement
{
    /**
     * @return list<array{place: string, name: Message, makes: list<Message>, assumes: list<Message>,
     *     ways: list<Way>}>
     */
    public static function pans(Plan $plan): array
    {
        $house = $plan->installation;
        $pans = [];
        foreach ($house->archetype->boards as $place) {
            $calls = array_values(
                array_filter(
                    CallTable::needed($house->archetype)->calls(),
                    static fn (CallName $c): bool => WaterMakers::in($house, $c, $place) !== [],
                ),
            );
            if ($calls !== []) {
                $pans[] = [
                    'place' => $place->value,
                    'name' => $house->placeName($place),
                    'makes' => array_map(static fn (CallName $c): Message => $c->label(), $calls),
                    'assumes' => self::assumes($house),
                    'ways' => self::ways($plan, $place),
                ];
            }
        }

        return $pans;
    }

    /** @return list<Message> what nobody has answered, and how it is taken here */
    private static function assumes(Installation $house): array
    {
        $answers = $house->answers;
        $checks = [
            [
                $house->archetype->heatSource === HeatSource::Gas && $answers->choice('condensing') === null,
                Message::of('figures.overflow-placement.condensing-not-asked'),
            ],
            [
                $house->archetype->coolStages > 1 && $answers->choice('compressors') === null,
                Message::of('figures.overflow-placement.compressors-not-asked'),
            ],
            [! isset($answers->given['panFull']), Message::of('figures.overflow-placement.survival-not-asked')],
        ];

        return array_values(
            array_map(
                static fn (array $c): Message => $c[1],
                array_filter($checks, static fn (array $c): bool => $c[0]),
            ),
        );
    }

    /** @return list<Way> */
    private static function ways(Plan $plan, Place $at): array
    {
        $switch = new SafetyDevice('float', '', [], false, $at);
        $pans = [];
        foreach (SwitchPlaces::of($plan->installation, $switch, $at) as $device) {
            $changed = (new HouseChanges(null, [$device]))->applied($plan->installation);
            $circuit = new Circuit($changed, $plan->profile, $plan->landing);
            $pans[] = [FullPan::of($circuit, $device), $circuit];
        }
        $best = self::best($plan, array_column($pans, 0));
        $wishes = $plan->installation->answers->ticks('panFull');

        return array_map(
            static fn (array $pair): array => [
                ...self::row($plan->installation, ...$pair),
                'best' => $pair[0] === $best,
                'why' => $pair[0] === $best
                        ? self::reason($pair[1], $best, array_column($pans, 0), $wishes)
                        : self::against($pair[1], $pair[0], $wishes),
            ],
            $pans,
        );
    }

    /**
     * @return array{key: string, title: Message, breaks: list<string>, relay: bool,
     *     contacts: list<array{screw: string, pins: string}>, coil: string, parts: list<Message>,
     *     stops: list<Message>, goesOn: list<Message>, powered: bool, emergency: ?bool, dry: bool, blowsOn: bool,
     *     fits: bool}
     */
    private static function row(Installation $house, FullPan $pan, Circuit $circuit): array
    {
        $device = $pan->device;
        $stops = $goesOn = [];
        foreach ($pan->dry as $call => $loads) {
            $stops[$call] = array_values(array_diff($loads, $pan->wet[$call]));
            $goesOn[$call] = array_values(array_intersect($loads, $pan->wet[$call]));
        }
        $pins = RelayPins::of($house->answers->choice('relayPins') ?? '');

        return [
            'key' => implode('+', $device->breaks).($device->relay ? ' relay' : ''),
            'title' => Message::of(
                $device->relay ? 'figures.overflow-placement.in-by-relay' : 'figures.overflow-placement.in',
                breaks: $device->breaks,
            ),
            'breaks' => $device->breaks,
            'relay' => $device->relay,
            'coil' => $pins->coil,
            'contacts' => array_map(
                static fn (string $screw, int $n): array => ['screw' => $screw, 'pins' => $pins->contacts[$n] ?? ''],
                $device->breaks,
                array_keys($device->breaks),
            ),
            'parts' => $device->relay
                ? [
                    Message::of(
                        'figures.overflow-placement.relay-24-v-coil-contacts',
                        count: count($device->breaks),
                    ),
                ]
                : [],
            'stops' => $pan->words($circuit, $stops),
            'goesOn' => $pan->words($circuit, $goesOn),
            'powered' => $pan->display && $pan->charges,
            'emergency' => isset($pan->dry['emergency']) ? $pan->survives(CallName::Emergency) : null,
            'dry' => $pan->water() === [],
            'blowsOn' => self::blowsOn($house->archetype, $pan),
            'fits' => $pan->stands,
        ];
    }

    /** The blower goes on in a cooling call whose compressor has stopped. */
    private static function blowsOn(Archetype $archetype, FullPan $pan): bool
    {
        foreach ($pan->wet as $call => $loads) {
            $seen = array_map(static fn (string $id): ?string => $archetype->load($id)?->observable?->value, $loads);
            if (CallName::from($call)->isCooling() && in_array('blower', $seen, true)) {
                return true;
            }
        }

        return false;
    }

    /**
     * Of the ways that stop every drop and leave a thermostat without batteries its power, the one that keeps most of
     * what was to survive, then most of the rest, then the one without a relay. On batteries, in a house without heat
     * that could go on, R: it stops the fan over the full pan too.
     *
     * @param  list<FullPan>  $pans
     */
    private static function best(Plan $plan, array $pans): ?FullPan
    {
        $wishes = $plan->installation->answers->ticks('panFull');
        $battery = in_array($plan->profile->power, [PowerKind::Battery, PowerKind::CommonOrBattery], true);
        $good = array_values(
            array_filter(
                $pans,
                static fn (FullPan $p): bool => $p->stands && $p->water() === [] && ($p->display || $battery),
            ),
        );
        $rank = static fn (FullPan $p): array => [
            count($p->unmet($wishes)),
            $battery && ! self::hasHeatToKeep($p) && self::isInHot($plan->installation, $p->device) ? 0 : 1,
            count(self::lost($p)),
            $p->device->relay ? 1 : 0,
            $p->charges ? 0 : 1,
        ];
        usort($good, static fn (FullPan $a, FullPan $b): int => $rank($a) <=> $rank($b));

        return $good[0] ?? null;
    }

    private static function isInHot(Installation $house, SafetyDevice $device): bool
    {
        $hot = array_map(
            static fn (TerminalName $n): ?string => $house->archetype->terminalNamed($device->place, $n)?->printed,
            [TerminalName::R, TerminalName::Rc, TerminalName::Rh],
        );

        return array_intersect($device->breaks, array_filter($hot)) !== [];
    }

    private static function hasHeatToKeep(FullPan $pan): bool
    {
        $wet = $pan->seasons();

        return array_filter(
            array_map(CallName::from(...), array_keys($pan->dry)),
            static fn (CallName $c): bool => $c->isHeating() && ! in_array($c, $wet, true),
        ) !== [];
    }

    /** @return list<CallName> calls that make no water here and stop all the same */
    private static function lost(FullPan $pan): array
    {
        $wet = $pan->seasons();

        return array_values(
            array_filter(
                array_map(CallName::from(...), array_keys($pan->dry)),
                static fn (CallName $c): bool => ! in_array($c, [...$wet, CallName::Idle, CallName::Defrost], true) &&
                    $pan->dry[$c->value] !== [] &&
                    ! $pan->survives($c),
            ),
        );
    }

    /**
     * @param  list<FullPan>  $pans
     * @param  list<string>  $wishes
     */
    private static function reason(Circuit $circuit, FullPan $best, array $pans, array $wishes): Message
    {
        $kept = array_values(
            array_filter(
                array_map(CallName::from(...), array_keys($best->dry)),
                static fn (CallName $c): bool => ! in_array($c, [CallName::Idle, CallName::Defrost], true) &&
                    $best->survives($c),
            ),
        );
        $simpler =
            array_values(
                array_filter(
                    $pans,
                    static fn (FullPan $p): bool => $best->device->relay &&
                        ! $p->device->relay &&
                        $p->stands &&
                        $p->water() !== [] &&
                        array_intersect($p->device->breaks, $best->device->breaks) !== [],
                ),
            )[0] ?? null;
        $said = [
            $kept === []
                ? Message::of('figures.overflow-placement.stops-everything')
                : Message::of(
                    'figures.overflow-placement.stops-water-keeps',
                    kept: array_map(static fn (CallName $c): Message => $c->label(), $kept),
                ),
            $best->display ? Message::of('figures.overflow-placement.thermostat-up') : null,
            $best->charges ? null : Message::of('figures.overflow-placement.loses-charge-while-pan-wet'),
            $simpler === null
                ? null
                : Message::of(
                    'figures.overflow-placement.relay-because',
                    breaks: $simpler->device->breaks,
                    water: $simpler->words($circuit, $simpler->water()),
                ),
            self::unmet($best, $wishes),
        ];

        return Message::series(array_values(array_filter($said)));
    }

    /** @param  list<string>  $wishes */
    private static function unmet(FullPan $pan, array $wishes): ?Message
    {
        $unmet = $pan->unmet($wishes);

        return $unmet === []
            ? null
            : Message::of(
                'figures.overflow-placement.does-not-keep',
                what: array_map(
                    static fn (string $wish): Message => Message::of('circuit.water.wish', wish: $wish),
                    $unmet,
                ),
            );
    }

    /** @param  list<string>  $wishes */
    private static function against(Circuit $circuit, FullPan $pan, array $wishes): Message
    {
        $lost = self::lost($pan);

        return match (true) {
            ! $pan->stands => Message::of('figures.overflow-placement.no-conductor-goes-through-here'),
            $pan->water() !== [] => Message::of(
                'figures.overflow-placement.goes-on-making-water',
                water: $pan->words($circuit, $pan->water()),
            ),
            ! $pan->display || ! $pan->charges => Message::of(
                'figures.overflow-placement.thermostat-goes-blank-or-loses',
            ),
            $pan->unmet($wishes) !== [] => self::unmet($pan, $wishes) ?? Message::none(),
            $lost !== [] => Message::of(
                'figures.overflow-placement.stops-as-well',
                calls: array_map(static fn (CallName $c): Message => $c->label(), $lost),
            ),
            $pan->device->relay => Message::of('figures.overflow-placement.works-needs-relay'),
            default => Message::of('figures.overflow-placement.works-as-well'),
        };
    }
}
