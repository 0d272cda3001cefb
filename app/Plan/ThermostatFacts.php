<?php

declare(strict_types=1);

namespace App\Plan;

use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Thermostat\LinkKind;
use Unionbit\Core\Thermostat\Profile;
use Unionbit\Core\Thermostat\RemoteControl;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/** What a thermostat is, line by line, so that two of them can stand side by side. */
final class ThermostatFacts
{
    /** @return list<array{label: Message, value: Message}> */
    public static function of(Profile $profile): array
    {
        $screws = array_map(static fn ($t): string => $t->printed, $profile->terminals);

        return [
            self::line(Message::of('plan.facts.screws'), Message::raw(implode(' ', $screws))),
            self::line(
                Message::of('plan.facts.stages'),
                Message::of('plan.facts.heat-cool', heat: $profile->heatStages, cool: $profile->coolStages),
            ),
            self::line(
                Message::of('plan.facts.heat-pump'),
                Message::of($profile->heatPump ? 'plan.facts.yes' : 'plan.facts.no'),
            ),
            self::line(Message::of('plan.facts.runs-on'), $profile->power->label()),
            self::line(
                Message::of('plan.facts.takes'),
                $profile->powerVa > 0
                    ? Message::of('plan.facts.va', va: Quantity::of($profile->powerVa, Unit::VoltAmps))
                    : Message::of('plan.facts.nothing'),
            ),
            self::line(Message::of('plan.facts.switches'), self::switches($profile)),
            self::line(
                Message::of('plan.facts.link'),
                Message::of(
                    match ($profile->linkKind) {
                        LinkKind::Removable => 'plan.facts.link-removable',
                        LinkKind::Slide => 'plan.facts.link-slide',
                        LinkKind::Automatic => 'plan.facts.link-automatic',
                        LinkKind::None => 'plan.facts.none',
                    },
                ),
            ),
            self::line(
                Message::of('plan.facts.remote'),
                Message::of(
                    match ($profile->remoteControl) {
                        RemoteControl::OwnRadio => 'plan.facts.remote-radio',
                        RemoteControl::Bridge => 'plan.facts.remote-bridge',
                        RemoteControl::None => 'plan.facts.none',
                    },
                ),
            ),
        ];
    }

    private static function switches(Profile $profile): Message
    {
        return Message::of(
            match (true) {
                $profile->outputs === Place::Module => 'plan.facts.at-the-equipment',
                $profile->switchesInFace => 'plan.facts.in-the-face',
                default => 'plan.facts.in-the-base',
            },
        );
    }

    /** @return array{label: Message, value: Message} */
    private static function line(Message $label, Message $value): array
    {
        return ['label' => $label, 'value' => $value];
    }
}
