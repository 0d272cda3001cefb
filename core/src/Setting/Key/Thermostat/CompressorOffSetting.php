<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting\Key\Thermostat;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Setting\Key\Menu;
use Unionbit\Core\Setting\Key\SaysConsequence;
use Unionbit\Core\Setting\Key\SettingKey;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/** How long the compressor rests after each stop. */
final readonly class CompressorOffSetting implements SaysConsequence
{
    /** Seconds off at least, where nothing says otherwise. */
    public const SECONDS = 300;

    public function key(): SettingKey
    {
        return SettingKey::CompressorOff;
    }

    public function value(Plan $plan): ?string
    {
        if ($plan->installation->archetype->coolStages === 0) {
            return null;
        }
        $choices = array_map(intval(...), Menu::choices($plan, $this->key()));
        sort($choices);
        foreach ($choices as $seconds) {
            if ($seconds >= self::SECONDS) {
                return (string) $seconds;
            }
        }

        return (string) (end($choices) ?: self::SECONDS);
    }

    public function choice(string $choice): Message
    {
        return is_numeric($choice) && (int) $choice > 0
            ? Message::of(
                'setting.compressor-off.minutes',
                minutes: Quantity::of((int) $choice / 60, Unit::Minutes),
            )
            : Message::of('setting.compressor-off.off');
    }

    public function reason(Plan $plan, string $value): Message
    {
        return isset($plan->installation->archetype->delays['outdoor-board'])
            ? Message::of('setting.compressor-off.board-too')
            : Message::of('setting.compressor-off.only-thermostat');
    }

    public function consequence(Plan $plan, string $choice): Message
    {
        $minutes = Quantity::of((int) $choice / 60, Unit::Minutes);

        return (int) $choice < self::SECONDS
            ? Message::of('setting.compressor-off.too-short', minutes: $minutes)
            : Message::of('setting.compressor-off.long', minutes: $minutes);
    }
}
