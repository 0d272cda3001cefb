<?php

declare(strict_types=1);

namespace App\Plan\Paper;

use App\Words\Words;
use Unionbit\Core\Planning\Paper\ConversionTable;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\PlannedConductor;
use Unionbit\Core\Setting\Derivation;
use Unionbit\Core\Setting\DerivedSetting;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Words\Message;

/**
 * The sheet that stays inside the equipment door: what lands on each screw, what is tied or switched, what was entered
 * in the thermostat, and, after a conversion, the letters one by one.
 */
final class DoorPaper
{
    private const ROW = 26;

    /**
     * @param  array<string, string>  $entered  settings as they were entered, by key
     * @param  array<string, string>  $days  when, as the reader writes it
     */
    public static function svg(Plan $plan, string $site, array $entered, array $days, string $signed): string
    {
        $sheet = new Sheet();
        $y = $sheet->take(84);
        $what = Words::say($plan->installation->equipment()).' · '.Words::say($plan->profile->title);
        $sheet->text(0, $y, Sheet::WIDTH, 24, $site, 19, true);
        $sheet->text(0, $y + 28, Sheet::WIDTH, 32, $what, 13);
        $sheet->text(0, $y + 62, Sheet::WIDTH, 18, $signed, 12);
        foreach ($plan->installation->archetype->boards as $place) {
            self::board($sheet, $plan, $place);
        }
        self::table(
            $sheet,
            Words::of('plan.drawing.entered'),
            array_map(
                static fn (DerivedSetting $s): array => [
                    Words::say($s->key->label()),
                    Words::say($s->choiceLabel($entered[$s->key->value] ?? $s->value)),
                    $days[$s->key->value] ?? Words::of('plan.drawing.not-entered-yet'),
                ],
                array_values(
                    array_filter(
                        Derivation::all($plan),
                        static fn (DerivedSetting $s): bool => $s->lacking === null,
                    ),
                ),
            ),
        );
        $rows = ConversionTable::rows($plan);
        if ($rows !== []) {
            self::conversion($sheet, $rows);
        }
        $caution = $sheet->take(52);
        $sheet->text(0, $caution + 12, Sheet::WIDTH, 40, Words::of('plan.drawing.door-caution'), 12, true);

        return $sheet->svg();
    }

    private static function board(Sheet $sheet, Plan $plan, Place $place): void
    {
        $rows = [...self::landed($plan, $place), ...self::beside($plan, $place)];
        self::table($sheet, Words::say($plan->installation->placeName($place)), $rows);
    }

    /** @return list<array{string, string, string}> what lands on the board: where, which conductor, where it goes */
    private static function landed(Plan $plan, Place $place): array
    {
        $rows = [];
        foreach (PlannedConductor::all($plan) as $planned) {
            if ($plan->installation->boardOf($planned->conductor) === $place) {
                $rows[] = [
                    Words::say($planned->board->label()),
                    self::named($plan, $planned->conductor),
                    Words::say(Message::of('plan.drawing.to-wall', screw: Words::say($planned->wall->label()))),
                ];
            }
        }
        foreach ($plan->installation->cables as $cable) {
            foreach ($cable->from === $place ? $cable->conductors : [] as $conductor) {
                $rows[] = [
                    Words::say($conductor->near->label()),
                    self::named($plan, $conductor),
                    Words::say(
                        Message::of(
                            'plan.drawing.to-place',
                            screw: Words::say($conductor->far->label()),
                            place: $plan->installation->placeName($cable->to),
                        ),
                    ),
                ];
            }
        }

        return $rows;
    }

    /** @return list<array{string, string, string}> what stands beside: jumpers, devices that break */
    private static function beside(Plan $plan, Place $place): array
    {
        $rows = [];
        foreach ($plan->landing->jumpers as $jumper) {
            if ($jumper->place === $place) {
                $rows[] = ["{$jumper->a}–{$jumper->b}", Words::of('plan.drawing.tie-short'), ''];
            }
        }
        foreach ($plan->installation->facts->safety as $device) {
            if ($device->place === $place) {
                $rows[] = [
                    implode(', ', $device->breaks),
                    Words::say($device->name()),
                    $device->relay ? Words::of('plan.drawing.by-relay') : '',
                ];
            }
        }

        return $rows;
    }

    /** Its cable and color, and what was found on it. */
    private static function named(Plan $plan, Conductor $conductor): string
    {
        return implode(', ', [
            $conductor->id().' '.Words::say($conductor->color()),
            ...Words::each($plan->installation->marksOf($conductor)),
        ]);
    }

    /** @param  list<array{string, string, string}>  $rows */
    private static function table(Sheet $sheet, string $title, array $rows): void
    {
        $y = $sheet->take(34 + ($rows === [] ? 0 : self::ROW));
        $sheet->text(0, $y + 8, Sheet::WIDTH, 22, $title, 15, true);
        foreach ($rows as $n => [$first, $second, $third]) {
            $at = $n === 0 ? $y + 34 : $sheet->take(self::ROW);
            $sheet->line(sprintf('M0 %dH%d', $at, Sheet::WIDTH), Sheet::INK, 0.75);
            $sheet->text(0, $at + 4, 250, 20, $first, 13, true);
            $sheet->text(260, $at + 4, 240, 20, $second, 13);
            $sheet->text(510, $at + 4, 250, 20, $third, 12);
        }
    }

    /** @param  list<array{letter: string, wall: string, indoor: string, outdoor: string, note: Message}>  $rows */
    private static function conversion(Sheet $sheet, array $rows): void
    {
        $y = $sheet->take(62);
        $sheet->text(0, $y + 8, Sheet::WIDTH, 22, Words::of('plan.drawing.conversion'), 15, true);
        foreach (['wall', 'indoor', 'outdoor'] as $n => $column) {
            $sheet->text(110 + 110 * $n, $y + 36, 100, 20, Words::say(self::column($column)), 12, true);
        }
        foreach ($rows as $row) {
            $at = $sheet->take(self::ROW);
            $sheet->line(sprintf('M0 %dH%d', $at, Sheet::WIDTH), Sheet::INK, 0.75);
            $sheet->text(0, $at + 4, 100, 20, $row['letter'], 13, true);
            foreach ([$row['wall'], $row['indoor'], $row['outdoor']] as $n => $screw) {
                $sheet->text(110 + 110 * $n, $at + 4, 100, 20, $screw === '' ? '—' : $screw, 13);
            }
            $sheet->text(440, $at + 4, 320, 20, Words::say($row['note']), 12);
        }
    }

    private static function column(string $column): Message
    {
        return Message::of('plan.drawing.column', of: $column);
    }
}
