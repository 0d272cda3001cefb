<?php

declare(strict_types=1);

namespace Unionbit\Core\Visit;

use Unionbit\Core\Equipment\LoadKind;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Work\MoveList;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Thermostat\PowerKind;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\EndState;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/** What to load before leaving: tools and parts that this house and this plan ask for, each with its reason. */
final class Carry
{
    /**
     * @return list<array{count: int, item: Message, why: Message, shared: bool}> shared: a tool that serves every house
     *                                                                           of the day
     */
    public static function of(Installation $house, ?Plan $plan): array
    {
        $items = [
            self::item(
                1,
                Message::of('visit.carry.meter-with-lead-clips'),
                Message::of('visit.carry.every-stage'),
                shared: true,
            ),
            self::item(
                2,
                Message::of('visit.carry.jumpers-bare-wire'),
                Message::of('visit.carry.calls-at-wall-board'),
                shared: true,
            ),
            ...self::fuses($house),
            ...self::caps($house, $plan),
            ...$plan === null ? [] : [...self::thermostat($plan), ...self::parts($plan)],
        ];
        if (in_array($house->wallCable()?->kind, ['stranded', 'telephone'], true)) {
            $items[] = self::item(
                count($house->wallConductors()),
                Message::of('visit.carry.ferrules'),
                Message::of('visit.carry.wall-cable-not-solid-sc08'),
            );
        }
        if (array_filter($house->loads(), static fn ($load): bool => $load->kind === LoadKind::Contactor) !== []) {
            $items[] = self::item(
                1,
                Message::of('visit.carry.low-current-clamp'),
                Message::of('visit.carry.amperes-each-call'),
                shared: true,
            );
        }

        return $items;
    }

    /**
     * @return list<array{count: int, item: Message, why: Message, shared: bool}>
     *     of the size that the board asks for
     */
    private static function fuses(Installation $house): array
    {
        $fuse = $house->transformers()[0]->fuseAmps ?? null;
        if ($fuse === null) {
            return [];
        }

        return [
            self::item(
                3,
                Message::of('visit.carry.blade-fuse', fuse: Quantity::of($fuse, Unit::Amps)),
                Message::of('visit.carry.size-board-calls-for-never'),
            ),
            self::item(
                1,
                Message::of('visit.carry.test-breaker', fuse: Quantity::of($fuse, Unit::Amps)),
                Message::of('visit.carry.in-fuses-place-while-short'),
                shared: true,
            ),
        ];
    }

    /**
     * @return list<array{count: int, item: Message, why: Message, shared: bool}>
     *     one for each conductor that ends free
     */
    private static function caps(Installation $house, ?Plan $plan): array
    {
        $caps = count(
            array_filter(
                $house->wallConductors(),
                static fn (Conductor $c): bool => ($plan === null
                    ? $c->near
                    : $plan->landing->wall[$c->id()] ?? $c->near
                )->state === EndState::Capped || $c->isSpare(),
            ),
        );
        if ($caps === 0) {
            return [];
        }

        return [
            self::item(
                $plan?->profile->outputs === Place::Module ? 2 * $caps : $caps,
                Message::of('visit.carry.wire-caps-small'),
                Message::of('visit.carry.each-conductor-capped-by-itself'),
            ),
        ];
    }

    /**
     * @return list<array{count: int, item: Message, why: Message, shared: bool}>
     *     the thermostat and what feeds it
     */
    private static function thermostat(Plan $plan): array
    {
        $items = [];
        $items[] = self::item(
            1,
            Message::of('visit.carry.thermostat', profile: $plan->profile->title),
            Message::of('visit.carry.plan'),
        );
        $radio = $plan->profile->outputs === Place::Module && $plan->profile->linkConductors === 0;
        if ($radio || in_array($plan->profile->power, [PowerKind::Battery, PowerKind::CommonOrBattery], true)) {
            $items[] = self::item(
                1,
                Message::of('visit.carry.set-batteries'),
                Message::of('visit.carry.thermostat-runs-on-them'),
            );
        }

        return $items;
    }

    /**
     * @return list<array{count: int, item: Message, why: Message, shared: bool}>
     *     what is mounted at the equipment
     */
    private static function parts(Plan $plan): array
    {
        $items = [];
        if ($plan->profile->outputs === Place::Module) {
            $items[] = self::item(
                1,
                $plan->profile->linkConductors > 0
                    ? Message::of('visit.carry.module-for-equipment-short-leads')
                    : Message::of('visit.carry.receiver-for-equipment-short-leads'),
                Message::of('visit.carry.outputs-stand-at-board-mr20'),
            );
        }
        if ($plan->changes->sharedKit) {
            $items[] = self::item(
                1,
                Message::of('visit.carry.adapter-thermostats-kit-short-leads'),
                Message::of('visit.carry.compressor-fan-share-conductor-wo04'),
            );
        }
        $ties = count(MoveList::tiesToMake($plan));
        if ($ties > 0) {
            $items[] = self::item(
                $ties,
                Message::of('visit.carry.jumper-with-pigtail'),
                Message::of('visit.carry.ties-plan'),
            );
        }

        return $items;
    }

    /** @return array{count: int, item: Message, why: Message, shared: bool} */
    private static function item(int $count, Message $item, Message $why, bool $shared = false): array
    {
        return ['count' => $count, 'item' => $item, 'why' => $why, 'shared' => $shared];
    }
}
