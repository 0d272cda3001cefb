<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting\Key\HeatPump;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Setting\Key\Reaches;
use Unionbit\Core\Setting\Key\SaysConsequence;
use Unionbit\Core\Setting\Key\SettingKey;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Words\Message;

/** What heats in emergency heat. */
final readonly class EmergencySetting implements SaysConsequence
{
    public function key(): SettingKey
    {
        return SettingKey::Emergency;
    }

    public function value(Plan $plan): ?string
    {
        $archetype = $plan->installation->archetype;

        return match (true) {
            $archetype->heatPump === null => null,
            $archetype->system() === 'dual-fuel' => 'furnace',
            default => $archetype->heatPump->auxiliaryStages > 0 ? 'electric' : 'none',
        };
    }

    public function choice(string $choice): Message
    {
        return Message::of('setting.emergency.choice', choice: $choice);
    }

    public function reason(Plan $plan, string $value): Message
    {
        $over = Reaches::equipment($plan, TerminalName::E) ? TerminalName::E : TerminalName::Aux;

        return Message::of('setting.emergency.reason', choice: $value, screw: $over->value);
    }

    public function consequence(Plan $plan, string $choice): Message
    {
        return Message::of('setting.emergency.wrong');
    }
}
