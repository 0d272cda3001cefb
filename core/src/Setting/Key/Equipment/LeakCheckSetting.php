<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting\Key\Equipment;

use Unionbit\Core\Equipment\Heat\HeatSource;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Setting\Key\OwnChoices;
use Unionbit\Core\Setting\Key\SaysConsequence;
use Unionbit\Core\Setting\Key\SettingKey;
use Unionbit\Core\Words\Message;

/** Whether a gas joint was opened, and what the leak check then found: a record with its name and its time. */
final readonly class LeakCheckSetting implements OwnChoices, SaysConsequence
{
    public function key(): SettingKey
    {
        return SettingKey::LeakCheck;
    }

    public function value(Plan $plan): ?string
    {
        return $plan->installation->archetype->heatSource === HeatSource::Gas ? 'not-opened' : null;
    }

    public function choices(Plan $plan): array
    {
        $choices = ['not-opened', 'none', 'found'];

        return array_combine($choices, array_map($this->choice(...), $choices));
    }

    public function accepts(string $choice): bool
    {
        return $choice === 'none';
    }

    public function isRequired(): bool
    {
        return false;
    }

    public function where(): Message
    {
        return Message::of('setting.leak-check.where');
    }

    public function choice(string $choice): Message
    {
        return Message::of('setting.leak-check.choice', choice: $choice);
    }

    public function reason(Plan $plan, string $value): Message
    {
        return Message::of('setting.leak-check.reason');
    }

    public function consequence(Plan $plan, string $choice): Message
    {
        return $choice === 'found'
            ? Message::of('setting.leak-check.found')
            : Message::of('setting.leak-check.none-found');
    }
}
