<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting\Key\HeatPump;

use Unionbit\Core\Figures\Air\BalancePoint;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Setting\Key\Menu;
use Unionbit\Core\Setting\Key\SaysConsequence;
use Unionbit\Core\Setting\Key\SettingKey;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/** The outdoor temperature above which the strips stay off. */
final readonly class AuxiliaryLockoutSetting implements SaysConsequence
{
    public function key(): SettingKey
    {
        return SettingKey::AuxiliaryLockout;
    }

    public function value(Plan $plan): ?string
    {
        $archetype = $plan->installation->archetype;
        $strips = $archetype->heatStages > 0 || ($archetype->heatPump->auxiliaryStages ?? 0) > 0;

        return $archetype->heatPump === null || $archetype->system() === 'dual-fuel' || ! $strips
            ? null
            : Menu::nearest($plan, $this->key(), BalancePoint::auxiliaryLockout(BalancePoint::valuesOf($plan)));
    }

    public function choice(string $choice): Message
    {
        return Lockout::choice($choice);
    }

    public function reason(Plan $plan, string $value): Message
    {
        $thermal = BalancePoint::thermal(BalancePoint::valuesOf($plan)) ?? -40.0;

        return Message::of('setting.aux-lockout.reason', thermal: Quantity::of($thermal, Unit::Fahrenheit, 0));
    }

    public function consequence(Plan $plan, string $choice): Message
    {
        return $choice === 'off'
            ? Message::of('setting.aux-lockout.never')
            : Lockout::share($plan, $choice, (float) $choice < (float) $this->value($plan) ? 'cold' : 'costs');
    }
}
