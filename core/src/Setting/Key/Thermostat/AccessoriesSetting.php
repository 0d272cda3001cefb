<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting\Key\Thermostat;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\PlannedConductor;
use Unionbit\Core\Setting\Key\SaysConsequence;
use Unionbit\Core\Setting\Key\SettingKey;
use Unionbit\Core\Words\Message;

/** Whether accessory conductors land. */
final readonly class AccessoriesSetting implements SaysConsequence
{
    public function key(): SettingKey
    {
        return SettingKey::Accessories;
    }

    public function value(Plan $plan): string
    {
        return self::landed($plan) === [] ? 'no' : 'yes';
    }

    public function choice(string $choice): Message
    {
        return Message::of('setting.accessories.choice', choice: $choice);
    }

    public function reason(Plan $plan, string $value): Message
    {
        $landed = self::landed($plan);

        return $landed === []
            ? Message::of('setting.accessories.none')
            : Message::of('setting.accessories.landed', conductors: $landed);
    }

    public function consequence(Plan $plan, string $choice): Message
    {
        return Message::of('setting.accessories.wrong');
    }

    /** @return list<Message> names of the conductors that land on accessory screws */
    private static function landed(Plan $plan): array
    {
        $on = array_filter(
            PlannedConductor::all($plan),
            static fn (PlannedConductor $p): bool => $p->wallName?->isAccessory() === true,
        );

        return array_values(array_map(static fn (PlannedConductor $p): Message => $p->conductor->name(), $on));
    }
}
