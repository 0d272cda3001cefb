<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting\Key\HeatPump;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Setting\Key\DecidesCalls;
use Unionbit\Core\Setting\Key\SettingKey;
use Unionbit\Core\Setting\Key\Stages;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Words\Message;

/** Strip stages of a heat pump. */
final readonly class AuxiliaryStagesSetting implements DecidesCalls
{
    public function key(): SettingKey
    {
        return SettingKey::AuxiliaryStages;
    }

    public function value(Plan $plan): ?string
    {
        $archetype = $plan->installation->archetype;

        return $archetype->heatPump !== null && $archetype->system() === 'heat-pump'
            ? Stages::set($plan, $archetype->heatPump->auxiliaryStages, TerminalName::W2)
            : null;
    }

    public function choice(string $choice): Message
    {
        return Message::raw($choice);
    }

    public function reason(Plan $plan, string $value): Message
    {
        $has = $plan->installation->archetype->heatPump->auxiliaryStages ?? 0;

        return $value === '0'
            ? Message::of('setting.aux-stages.none')
            : Stages::reason($plan, $has, (int) $value, TerminalName::W2, 'strip');
    }
}
