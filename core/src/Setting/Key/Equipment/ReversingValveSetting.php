<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting\Key\Equipment;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Setting\Key\DecidesCalls;
use Unionbit\Core\Setting\Key\SettingKey;
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
}
