<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting\Key\Thermostat;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Setting\Reaches;
use Unionbit\Core\Setting\Setting;
use Unionbit\Core\Setting\SettingKey;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Thermostat\PowerKind;
use Unionbit\Core\Words\Message;

/** What the thermostat runs on. */
final readonly class PowerSourceSetting implements Setting
{
    public function key(): SettingKey
    {
        return SettingKey::PowerSource;
    }

    public function value(Plan $plan): string
    {
        return match ($plan->profile->power) {
            PowerKind::Battery => 'battery',
            PowerKind::Shared => 'shared',
            PowerKind::Common => 'common',
            PowerKind::CommonOrBattery => Reaches::equipment($plan, TerminalName::C) ? 'common' : 'battery',
        };
    }

    public function choice(string $choice): Message
    {
        return Message::of('setting.power-source.choice', choice: $choice);
    }

    public function reason(Plan $plan, string $value): Message
    {
        $from = $value === 'common' && $plan->landing->plugIn ? 'plug-in' : $value;

        return Message::of('setting.power-source.reason', from: $from);
    }

    public function consequence(Plan $plan, string $choice): Message
    {
        return Message::of('setting.power-source.wrong');
    }
}
