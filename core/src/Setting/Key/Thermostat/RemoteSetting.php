<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting\Key\Thermostat;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Setting\Setting;
use Unionbit\Core\Setting\SettingKey;
use Unionbit\Core\Words\Message;

/** How the thermostat joins the network. */
final readonly class RemoteSetting implements Setting
{
    public function key(): SettingKey
    {
        return SettingKey::Remote;
    }

    public function value(Plan $plan): ?string
    {
        return $plan->profile->remoteControl === 'none' ? null : 'join';
    }

    public function choice(string $choice): Message
    {
        return Message::of('setting.remote.choice', choice: $choice);
    }

    public function reason(Plan $plan, string $value): Message
    {
        return Message::of('setting.remote.reason', by: $plan->profile->remoteControl);
    }

    public function consequence(Plan $plan, string $choice): Message
    {
        return Message::of('setting.remote.wrong');
    }
}
