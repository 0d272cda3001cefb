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

/** The outdoor temperature under which the compressor stays off: the changeover of a dual-fuel house. */
final readonly class CompressorLockoutSetting implements SaysConsequence
{
    public function key(): SettingKey
    {
        return SettingKey::CompressorLockout;
    }

    public function value(Plan $plan): ?string
    {
        $archetype = $plan->installation->archetype;

        return match (true) {
            $archetype->heatPump === null => null,
            $archetype->system() === 'dual-fuel' => Menu::nearest(
                $plan,
                $this->key(),
                BalancePoint::changeover(BalancePoint::valuesOf($plan)),
            ),
            default => 'off',
        };
    }

    public function choice(string $choice): Message
    {
        return Lockout::choice($choice);
    }

    public function reason(Plan $plan, string $value): Message
    {
        if ($value === 'off') {
            return Message::of('setting.compressor-lockout.off');
        }
        $values = BalancePoint::valuesOf($plan);

        return Message::of(
            'setting.compressor-lockout.changeover',
            thermal: Quantity::of(BalancePoint::thermal($values) ?? -40.0, Unit::Fahrenheit, 0),
            economic: Quantity::of(BalancePoint::economic($values) ?? -40.0, Unit::Fahrenheit, 0),
        );
    }

    public function consequence(Plan $plan, string $choice): Message
    {
        return $choice === 'off'
            ? Message::of('setting.compressor-lockout.never')
            : Lockout::share(
                $plan,
                $choice,
                match (true) {
                    // With strips nothing is to lock the compressor out: any temperature idles it below.
                    $this->value($plan) === 'off' => 'strips',
                    (float) $choice < (float) $this->value($plan) => 'alone',
                    default => 'idle',
                },
            );
    }
}
