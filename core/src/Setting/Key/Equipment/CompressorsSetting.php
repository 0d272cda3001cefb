<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting\Key\Equipment;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Setting\Key\SaysConsequence;
use Unionbit\Core\Setting\Key\SettingKey;
use Unionbit\Core\Words\Message;

/** One compressor with two stages, or two compressors. */
final readonly class CompressorsSetting implements SaysConsequence
{
    public function key(): SettingKey
    {
        return SettingKey::Compressors;
    }

    public function value(Plan $plan): ?string
    {
        return $plan->installation->archetype->coolStages > 1
            ? $plan->installation->answers->choice('compressors') ?? 'one'
            : null;
    }

    public function choice(string $choice): Message
    {
        return Message::of('setting.compressors.choice', choice: $choice);
    }

    public function reason(Plan $plan, string $value): Message
    {
        return $plan->installation->answers->choice('compressors') === null
            ? Message::of('setting.compressors.assumed')
            : Message::of('setting.compressors.found');
    }

    public function consequence(Plan $plan, string $choice): Message
    {
        return Message::of('setting.compressors.wrong', choice: $choice);
    }
}
