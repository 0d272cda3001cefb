<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting\Key\Equipment;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Setting\CallConsequence;
use Unionbit\Core\Setting\DecidesCalls;
use Unionbit\Core\Setting\SettingKey;
use Unionbit\Core\Words\Message;

/** In which mode the reversing valve is energized. */
final readonly class ReversingValveSetting implements DecidesCalls
{
    public function key(): SettingKey
    {
        return SettingKey::ReversingValve;
    }

    public function value(Plan $plan): ?string
    {
        return $plan->installation->archetype->heatPump?->valve;
    }

    public function choice(string $choice): Message
    {
        return Message::of('setting.reversing-valve.choice', choice: $choice);
    }

    public function reason(Plan $plan, string $value): Message
    {
        return Message::of('setting.reversing-valve.from-equipment', valve: $value);
    }

    public function consequence(Plan $plan, string $choice): Message
    {
        return CallConsequence::of($plan, $this->key(), $choice);
    }
}
