<?php

declare(strict_types=1);

namespace Unionbit\Core\Setting\Key\HeatPump;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Setting\Key\HasSteps;
use Unionbit\Core\Setting\Key\Menu;
use Unionbit\Core\Setting\Key\SaysConsequence;
use Unionbit\Core\Setting\Key\SettingKey;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/** How far below the target, or after how many minutes, auxiliary heat joins the compressor. */
final readonly class AuxiliaryGapSetting implements HasSteps, SaysConsequence
{
    /** Our working figures, where the maker says nothing: degrees Fahrenheit, or minutes of compressor alone. */
    private const DEGREES = 2.0;

    private const MINUTES = 30.0;

    public function key(): SettingKey
    {
        return SettingKey::AuxiliaryGap;
    }

    public function value(Plan $plan): ?string
    {
        $archetype = $plan->installation->archetype;
        if ($archetype->system() !== 'heat-pump' || ($archetype->heatPump->auxiliaryStages ?? 0) === 0) {
            return null;
        }
        $best = null;
        foreach (Menu::choices($plan, $this->key()) as $choice) {
            $away = static fn (string $of): float => abs(
                self::amount($of) - (self::isTime($of) ? self::MINUTES : self::DEGREES),
            );
            $best = $best === null || $away($choice) < $away($best) ? $choice : $best;
        }

        return $best ?? '2F';
    }

    public function choice(string $choice): Message
    {
        return Message::of(
            'setting.aux-gap.choice',
            of: Quantity::of(self::amount($choice), self::isTime($choice) ? Unit::Minutes : Unit::FahrenheitSteps),
            kind: self::isTime($choice) ? 'time' : 'gap',
        );
    }

    public function reason(Plan $plan, string $value): Message
    {
        return Message::of('setting.aux-gap.reason', kind: self::isTime($value) ? 'time' : 'gap');
    }

    public function consequence(Plan $plan, string $choice): Message
    {
        return self::amount($choice) < self::amount($this->value($plan) ?? '2F')
            ? Message::of('setting.aux-gap.less')
            : Message::of('setting.aux-gap.more');
    }

    public function steps(Plan $plan): array
    {
        $value = $this->value($plan) ?? '2F';
        $amount = self::amount($value);

        return self::isTime($value)
            ? [
                Message::of('setting.aux-gap.provoke-target', gap: Quantity::of(5.0, Unit::FahrenheitSteps)),
                Message::of('setting.aux-gap.provoke-wait', minutes: Quantity::of($amount, Unit::Minutes)),
            ]
            : [
                Message::of(
                    'setting.aux-gap.provoke-target',
                    gap: Quantity::of($amount + 2.0, Unit::FahrenheitSteps),
                ),
                Message::of('setting.aux-gap.provoke-watch'),
            ];
    }

    /** "30m" is a time, "2F" a gap in degrees Fahrenheit. */
    private static function isTime(string $choice): bool
    {
        return str_ends_with($choice, 'm');
    }

    private static function amount(string $choice): float
    {
        return (float) $choice;
    }
}
