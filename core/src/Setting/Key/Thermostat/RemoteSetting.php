<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting\Key\Thermostat;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\RunsOn;
use Unionbit\Core\Setting\Key\HasSteps;
use Unionbit\Core\Setting\Key\OwnChoices;
use Unionbit\Core\Setting\Key\SaysConsequence;
use Unionbit\Core\Setting\Key\SettingKey;
use Unionbit\Core\Thermostat\RemoteControl;
use Unionbit\Core\Words\Message;

/** How the thermostat joins the network, what to go through with the customer, and what "offline" then means. */
final readonly class RemoteSetting implements HasSteps, OwnChoices, SaysConsequence
{
    public function key(): SettingKey
    {
        return SettingKey::Remote;
    }

    public function value(Plan $plan): ?string
    {
        return match (true) {
            $plan->profile->remoteControl === RemoteControl::None => null,
            $plan->installation->answers->is('remote', 'no') => 'none',
            default => 'join',
        };
    }

    public function choices(Plan $plan): array
    {
        return ['join' => $this->choice('join'), 'none' => $this->choice('none')];
    }

    public function accepts(string $choice): bool
    {
        return false;
    }

    public function isRequired(): bool
    {
        return false;
    }

    public function where(): Message
    {
        return Message::of('setting.remote.where');
    }

    public function choice(string $choice): Message
    {
        return Message::of('setting.remote.choice', choice: $choice);
    }

    public function reason(Plan $plan, string $value): Message
    {
        return $value === 'none'
            ? Message::of('setting.remote.not-wished')
            : Message::of('setting.remote.reason', by: $plan->profile->remoteControl->value);
    }

    public function consequence(Plan $plan, string $choice): Message
    {
        return $choice === 'none' ? Message::of('setting.remote.wrong') : Message::of('setting.remote.needless');
    }

    public function steps(Plan $plan): array
    {
        if ($this->value($plan) !== 'join') {
            return [];
        }

        $bridge = $plan->profile->remoteControl === RemoteControl::Bridge;

        return [
            Message::of('setting.remote.step-proved'),
            ...$bridge ? [Message::of('setting.remote.step-bridge')] : [],
            Message::of('setting.remote.step-signal'),
            Message::of('setting.remote.step-account'),
            Message::of('setting.remote.step-place'),
            Message::of('setting.remote.step-outside'),
            Message::of('setting.remote.offline', on: RunsOn::in($plan)->value),
        ];
    }
}
