<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting\Key\Thermostat;

use Unionbit\Core\Equipment\Archetype;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Setting\Key\Menu;
use Unionbit\Core\Setting\Key\SaysConsequence;
use Unionbit\Core\Setting\Key\SettingKey;
use Unionbit\Core\Words\Message;

/** Starts an hour in heat. */
final readonly class CyclesSetting implements SaysConsequence
{
    /** Working figures for starts an hour, by what heats; the maker's sheet wins. */
    private const USUAL = ['gas' => '5', 'oil' => '3', 'electric' => '9', 'hydronic' => '3', 'heat-pump' => '3'];

    public function key(): SettingKey
    {
        return SettingKey::Cycles;
    }

    public function value(Plan $plan): ?string
    {
        $archetype = $plan->installation->archetype;
        if ($archetype->heatStages === 0 && ($archetype->heatPump->auxiliaryStages ?? 0) === 0) {
            return null;
        }
        $wanted = self::USUAL[self::heat($archetype)] ?? '5';
        $choices = Menu::choices($plan, $this->key());

        return $choices === [] || in_array($wanted, $choices, true) ? $wanted : $choices[0];
    }

    public function choice(string $choice): Message
    {
        return Message::raw($choice);
    }

    public function reason(Plan $plan, string $value): Message
    {
        return Message::of('setting.cycles.reason', heat: self::heat($plan->installation->archetype));
    }

    private static function heat(Archetype $archetype): string
    {
        return $archetype->system() === 'heat-pump' ? 'heat-pump' : $archetype->heatSource->value;
    }

    public function consequence(Plan $plan, string $choice): Message
    {
        return (int) $choice > (int) $this->value($plan)
            ? Message::of('setting.cycles.more')
            : Message::of('setting.cycles.fewer');
    }
}
