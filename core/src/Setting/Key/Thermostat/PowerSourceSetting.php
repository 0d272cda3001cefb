<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting\Key\Thermostat;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\RunsOn;
use Unionbit\Core\Setting\Key\SaysConsequence;
use Unionbit\Core\Setting\Key\SettingKey;
use Unionbit\Core\Words\Message;

/** What the thermostat runs on. */
final readonly class PowerSourceSetting implements SaysConsequence
{
    public function key(): SettingKey
    {
        return SettingKey::PowerSource;
    }

    public function value(Plan $plan): string
    {
        return match (RunsOn::in($plan)) {
            RunsOn::Batteries, RunsOn::BatteriesWithoutC => 'battery',
            RunsOn::Charging => 'shared',
            RunsOn::Equipment, RunsOn::PlugIn => 'common',
        };
    }

    public function choice(string $choice): Message
    {
        return Message::of('setting.power-source.choice', choice: $choice);
    }

    public function reason(Plan $plan, string $value): Message
    {
        $from = $value === 'common' && RunsOn::in($plan) === RunsOn::PlugIn ? 'plug-in' : $value;

        return Message::of('setting.power-source.reason', from: $from);
    }

    public function consequence(Plan $plan, string $choice): Message
    {
        return Message::of('setting.power-source.wrong');
    }
}
