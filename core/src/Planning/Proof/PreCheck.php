<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning\Proof;

use Unionbit\Core\Circuit\Meter\Meter;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Words\Message;

/**
 * The resistive check of a new landing before it sees power: face off, each call screw to the common, against the
 * ohms that this very branch must have. What it cannot see, a short behind a board input, is said with it.
 */
final class PreCheck
{
    /** Less than this share of the computed ohms is suspect. */
    private const SUSPECT = 0.8;

    /**
     * @return list<array{screw: string, a: string, b: string, label: Message, nominal: ?float, least: ?float,
     *     reason: Message, blind: ?Message}> ohms; null is over the meter's limit
     */
    public static function of(Plan $plan): array
    {
        $circuit = $plan->circuit();
        $meter = new Meter($circuit);
        $setup = Setup::isolated()->faceOff();
        $rows = [];
        foreach ($plan->profile->terminals as $terminal) {
            if ($terminal->hot === null || ! self::isLanded($plan, $terminal->printed)) {
                continue;
            }
            $common = self::common($plan);
            $expected = $meter->read(MeterMode::Ohms, $setup, $terminal->point(), $common);
            $electronic = $expected->nominal !== null && $expected->nominal > 500.0;
            $rows[] = [
                'screw' => $terminal->printed,
                'a' => $terminal->point(),
                'b' => $common,
                'label' => Message::of(
                    self::hasCommon($plan) ? 'planning.pre-check.to-c' : 'planning.pre-check.to-c-at-board',
                    terminal: $terminal->printed,
                ),
                'nominal' => $expected->nominal === null ? null : round($expected->nominal, 1),
                'least' => $expected->nominal === null ? null : round(self::SUSPECT * $expected->nominal, 1),
                'reason' => $expected->reason,
                'blind' => $electronic ? Message::of('planning.pre-check.board-input-reads-kilohms-short') : null,
            ];
        }

        return $rows;
    }

    private static function isLanded(Plan $plan, string $printed): bool
    {
        return $plan->profile->outputs === Place::Module || $plan->landing->on($printed) !== [];
    }

    private static function hasCommon(Plan $plan): bool
    {
        $common = $plan->profile->named(TerminalName::C);

        return $common !== null && self::isLanded($plan, $common->printed);
    }

    /** The nearest common: the plate's C where a conductor lands there, else the board's. */
    private static function common(Plan $plan): string
    {
        $plate = self::hasCommon($plan) ? $plan->profile->named(TerminalName::C) : null;

        return $plate?->point() ?? $plan->installation->transformers()[0]->common;
    }
}
