<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting\Key\Equipment;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Setting\Key\DecidesCalls;
use Unionbit\Core\Setting\Key\SettingKey;
use Unionbit\Core\Setting\Key\Stages;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Words\Message;

/** Compressor stages that the thermostat drives. */
final readonly class OutdoorStagesSetting implements DecidesCalls
{
    public function key(): SettingKey
    {
        return SettingKey::OutdoorStages;
    }

    public function value(Plan $plan): ?string
    {
        $has = $plan->installation->archetype->coolStages;

        return $has > 0 ? Stages::set($plan, $has, TerminalName::Y2) : null;
    }

    public function choice(string $choice): Message
    {
        return Message::raw($choice);
    }

    public function reason(Plan $plan, string $value): Message
    {
        return Stages::reason(
            $plan,
            $plan->installation->archetype->coolStages,
            (int) $value,
            TerminalName::Y2,
            'compressor',
        );
    }
}
