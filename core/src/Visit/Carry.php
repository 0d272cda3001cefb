<?php

declare(strict_types=1);

namespace Unionbit\Core\Visit;

use Unionbit\Core\Equipment\LoadKind;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Thermostat\PowerKind;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\EndState;

/** What to load before leaving: tools and parts that this house and this plan ask for, each with its reason. */
final class Carry
{
    /** @return list<array{count: int, item: string, why: string}> */
    public static function of(Installation $house, ?Plan $plan): array
    {
        $wall = $house->wallCable()->conductors ?? [];
        $items = [
            self::item(1, 'Meter with lead clips', 'every stage'),
            self::item(2, 'Jumpers, bare wire', 'the calls at wall and board'),
        ];
        $fuse = $house->transformers()[0]->fuseAmps ?? null;
        if ($fuse !== null) {
            $items[] = self::item(3, sprintf('Blade fuse, %g A', $fuse), 'the size the board calls for, never larger');
            $items[] = self::item(
                1,
                sprintf('Test breaker, %g A', $fuse),
                'in the fuse\'s place while a short is hunted',
            );
        }
        $caps = count(
            array_filter(
                $wall,
                static fn (Conductor $c): bool => ($plan === null
                    ? $c->near
                    : $plan->landing->wall[$c->number] ?? $c->near
                )->state === EndState::Capped || $c->isSpare(),
            ),
        );
        if ($caps > 0) {
            $items[] = self::item(
                $plan?->profile->outputs === Place::Module ? 2 * $caps : $caps,
                'Wire caps, small',
                'each conductor capped by itself (MR14)',
            );
        }
        if ($plan !== null) {
            $items[] = self::item(1, "Thermostat: {$plan->profile->title}", 'the plan');
            if (in_array($plan->profile->power, [PowerKind::Battery, PowerKind::CommonOrBattery], true)) {
                $items[] = self::item(1, 'Set of batteries', 'the thermostat runs on them');
            }
            if ($plan->profile->outputs === Place::Module) {
                $items[] = self::item(
                    1,
                    $plan->profile->linkConductors > 0
                        ? 'Module for the equipment, short leads'
                        : 'Receiver for the equipment, short leads',
                    'its outputs stand at the board (MR20)',
                );
            }
            if ($plan->changes->sharedKit) {
                $items[] = self::item(
                    1,
                    'Adapter of the thermostat\'s kit, short leads',
                    'compressor and fan share a conductor (WO04)',
                );
            }
            if ($plan->landing->jumpers !== []) {
                $items[] = self::item(count($plan->landing->jumpers), 'Jumper with pigtail', 'ties of the plan');
            }
        }
        if (in_array($house->wallCable()?->kind, ['stranded', 'telephone'], true)) {
            $items[] = self::item(count($wall), 'Ferrules', 'the wall cable is not solid (SC08)');
        }
        if (array_filter($house->loads(), static fn ($load): bool => $load->kind === LoadKind::Contactor) !== []) {
            $items[] = self::item(1, 'Low-current clamp', 'amperes of each call');
        }

        return $items;
    }

    /** @return array{count: int, item: string, why: string} */
    private static function item(int $count, string $item, string $why): array
    {
        return ['count' => $count, 'item' => $item, 'why' => $why];
    }
}
