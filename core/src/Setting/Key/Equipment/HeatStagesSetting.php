<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting\Key\Equipment;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Setting\Key\DecidesCalls;
use Unionbit\Core\Setting\Key\SettingKey;
use Unionbit\Core\Setting\Key\Stages;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Words\Message;

/** Heat stages of a furnace or another conventional heat. */
final readonly class HeatStagesSetting implements DecidesCalls
{
    public function key(): SettingKey
    {
        return SettingKey::HeatStages;
    }

    public function value(Plan $plan): ?string
    {
        $archetype = $plan->installation->archetype;

        return $archetype->heatStages > 0 && $archetype->system() !== 'heat-pump'
            ? Stages::set($plan, $archetype->heatStages, TerminalName::W2)
            : null;
    }

    public function choice(string $choice): Message
    {
        return Message::raw($choice);
    }

    public function reason(Plan $plan, string $value): Message
    {
        return Stages::reason(
            $plan,
            $plan->installation->archetype->heatStages,
            (int) $value,
            TerminalName::W2,
            'heat',
        );
    }
}
