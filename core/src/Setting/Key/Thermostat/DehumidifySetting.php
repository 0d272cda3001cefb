<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting\Key\Thermostat;

use Unionbit\Core\Equipment\Dehumidify;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Setting\Key\DecidesCalls;
use Unionbit\Core\Setting\Key\SettingKey;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Words\Message;

/** Whether the signal to dehumidify opens or closes: as the board has it, where the plate drives it at all. */
final readonly class DehumidifySetting implements DecidesCalls
{
    public function key(): SettingKey
    {
        return SettingKey::Dehumidify;
    }

    public function value(Plan $plan): ?string
    {
        $dehumidify = $plan->installation->archetype->dehumidify;

        return $dehumidify === Dehumidify::None || $plan->profile->serving(TerminalName::Deh) === null
            ? null
            : $dehumidify->value;
    }

    public function choice(string $choice): Message
    {
        return Message::of('setting.dehumidify.choice', choice: $choice);
    }

    public function reason(Plan $plan, string $value): Message
    {
        return Message::of('setting.dehumidify.reason', choice: $value);
    }
}
