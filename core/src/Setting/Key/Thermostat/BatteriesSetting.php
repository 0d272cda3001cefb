<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting\Key\Thermostat;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\RunsOn;
use Unionbit\Core\Setting\Key\OwnChoices;
use Unionbit\Core\Setting\Key\SaysConsequence;
use Unionbit\Core\Setting\Key\SettingKey;
use Unionbit\Core\Words\Message;

/** Batteries put in, where the thermostat or its radio wall unit runs on them: the time of the entry is their date. */
final readonly class BatteriesSetting implements OwnChoices, SaysConsequence
{
    public function key(): SettingKey
    {
        return SettingKey::Batteries;
    }

    public function value(Plan $plan): ?string
    {
        return RunsOn::needsBatteries($plan) ? 'new' : null;
    }

    public function choices(Plan $plan): array
    {
        return ['new' => $this->choice('new'), 'left' => $this->choice('left')];
    }

    public function accepts(string $choice): bool
    {
        return false;
    }

    public function isRequired(): bool
    {
        return true;
    }

    public function where(): Message
    {
        return Message::of('setting.batteries.where');
    }

    public function choice(string $choice): Message
    {
        return Message::of('setting.batteries.choice', choice: $choice);
    }

    public function reason(Plan $plan, string $value): Message
    {
        return Message::of('setting.batteries.reason', on: RunsOn::in($plan)->value);
    }

    public function consequence(Plan $plan, string $choice): Message
    {
        return Message::of('setting.batteries.wrong');
    }
}
