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
            $best = $best === null || self::away($choice) < self::away($best) ? $choice : $best;
        }

        return $best ?? '2F';
    }

    public function choice(string $choice): Message
    {
        $gap = AuxiliaryGap::read($choice);

        return Message::of('setting.aux-gap.choice', of: $gap->quantity(), kind: $gap->kind());
    }

    public function reason(Plan $plan, string $value): Message
    {
        return Message::of('setting.aux-gap.reason', kind: AuxiliaryGap::read($value)->kind());
    }

    public function consequence(Plan $plan, string $choice): Message
    {
        return AuxiliaryGap::read($choice)->amount < AuxiliaryGap::read($this->value($plan) ?? '2F')->amount
            ? Message::of('setting.aux-gap.less')
            : Message::of('setting.aux-gap.more');
    }

    public function steps(Plan $plan): array
    {
        $gap = AuxiliaryGap::read($this->value($plan) ?? '2F');

        return $gap->isTime
            ? [
                Message::of('setting.aux-gap.provoke-target', gap: Quantity::of(5.0, Unit::FahrenheitSteps)),
                Message::of('setting.aux-gap.provoke-wait', minutes: $gap->quantity()),
            ]
            : [
                Message::of(
                    'setting.aux-gap.provoke-target',
                    gap: Quantity::of($gap->amount + 2.0, Unit::FahrenheitSteps),
                ),
                Message::of('setting.aux-gap.provoke-watch'),
            ];
    }

    /** How far a choice is from our working figure. */
    private static function away(string $choice): float
    {
        $gap = AuxiliaryGap::read($choice);

        return abs($gap->amount - ($gap->isTime ? self::MINUTES : self::DEGREES));
    }
}
