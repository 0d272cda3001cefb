<?php

declare(strict_types=1);

namespace App\Plan\Paper;

use App\Words\Words;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\PlannedConductor;
use Unionbit\Core\Words\Message;

/** Two flags for each conductor of every wall cable, one for each end, four across, to be cut and wrapped. */
final class LabelsPaper
{
    private const ACROSS = 4;

    private const CELL = ['width' => 186, 'height' => 62];

    public static function svg(Plan $plan, string $site): string
    {
        $flags = [];
        foreach (PlannedConductor::all($plan) as $planned) {
            $c = $planned->conductor;
            $name = implode(', ', [
                $c->id().' '.Words::say($c->color()),
                ...Words::each($plan->installation->marksOf($c)),
            ]);
            $place = Words::say($plan->installation->placeName($plan->installation->boardOf($c)));
            $flags[] = [Words::say($planned->wall->label()), $name, Words::of('plan.drawing.wall-end')];
            $flags[] = [
                Words::say($planned->board->label()),
                $name,
                Words::say(Message::of('plan.drawing.end-at', place: $place)),
            ];
        }
        $sheet = new Sheet();
        $top = $sheet->take(40);
        $sheet->text(0, $top, Sheet::WIDTH, 30, Words::say(Message::of('plan.drawing.cut', site: $site)), 13);
        foreach (array_chunk($flags, self::ACROSS) as $row) {
            $y = $sheet->take(self::CELL['height'] + 6);
            foreach ($row as $n => [$letter, $name, $end]) {
                $x = $n * (self::CELL['width'] + 5);
                $sheet->box($x, $y, self::CELL['width'], self::CELL['height'], true);
                $sheet->text($x + 6, $y + 12, 70, 42, $letter, 26, true);
                $sheet->text($x + 82, $y + 6, self::CELL['width'] - 88, 24, $name, 12);
                $sheet->text($x + 82, $y + 33, self::CELL['width'] - 88, 24, $end, 12);
            }
        }

        return $sheet->svg();
    }
}
