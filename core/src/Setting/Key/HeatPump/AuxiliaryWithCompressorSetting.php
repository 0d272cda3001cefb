<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting\Key\HeatPump;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Setting\Key\DecidesCalls;
use Unionbit\Core\Setting\Key\SettingKey;
use Unionbit\Core\Words\Message;

/** Whether auxiliary heat may run beside the compressor. */
final readonly class AuxiliaryWithCompressorSetting implements DecidesCalls
{
    public function key(): SettingKey
    {
        return SettingKey::AuxiliaryWithCompressor;
    }

    public function value(Plan $plan): ?string
    {
        $archetype = $plan->installation->archetype;
        if (
            $archetype->heatPump === null ||
            ($archetype->heatStages === 0 && $archetype->heatPump->auxiliaryStages === 0)
        ) {
            return null;
        }

        return $archetype->system() === 'dual-fuel' ? 'no' : 'yes';
    }

    public function choice(string $choice): Message
    {
        return Message::of('setting.aux-with-compressor.choice', choice: $choice);
    }

    public function reason(Plan $plan, string $value): Message
    {
        return Message::of('setting.aux-with-compressor.reason', choice: $value);
    }
}
