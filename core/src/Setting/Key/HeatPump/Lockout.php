<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting\Key\HeatPump;

use Unionbit\Core\Figures\Air\BalancePoint;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/** What the two lockouts share: how a temperature is called, and what the heat pump gives at it. */
final class Lockout
{
    public static function choice(string $choice): Message
    {
        return is_numeric($choice)
            ? Message::of('setting.lockout.degrees', degrees: Quantity::of((float) $choice, Unit::Fahrenheit))
            : Message::of('setting.lockout.none');
    }

    /**
     * @param  numeric-string|string  $choice  degrees Fahrenheit
     * @param  string  $what  what follows: alone, idle, cold or costs
     */
    public static function share(Plan $plan, string $choice, string $what): Message
    {
        $degrees = (float) $choice;

        return Message::of(
            'setting.lockout.share',
            degrees: Quantity::of($degrees, Unit::Fahrenheit),
            share: Quantity::of(BalancePoint::share(BalancePoint::valuesOf($plan), $degrees), Unit::Percent, 0),
            what: $what,
        );
    }
}
