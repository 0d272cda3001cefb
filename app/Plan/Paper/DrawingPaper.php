<?php

declare(strict_types=1);

namespace App\Plan\Paper;

use App\Words\Words;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Job\SafetyDevice;
use Unionbit\Core\Planning\Paper\CallPath;
use Unionbit\Core\Planning\Paper\CallPaths;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Plan\PlannedConductor;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Wiring\Cable;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/** The wiring of a plan on paper: every conductor with both ends, then each call with its current, out and back. */
final class DrawingPaper
{
    private const ROW = 34;

    public static function svg(Plan $plan, string $site): string
    {
        $sheet = new Sheet();
        self::head($sheet, $plan, $site);
        self::conductors($sheet, $plan);
        self::notes($sheet, $plan);
        $loops = new LoopDrawing($sheet, $plan);
        foreach (CallTable::needed($plan->installation->archetype)->calls() as $call) {
            $paths = $call === CallName::Idle ? [] : CallPaths::of($plan, $call);
            if ($paths !== []) {
                self::call($sheet, $loops, $call, $paths);
            }
        }

        return $sheet->svg();
    }

    private static function head(Sheet $sheet, Plan $plan, string $site): void
    {
        $y = $sheet->take(70);
        $what = Words::say($plan->installation->equipment()).' · '.Words::say($plan->profile->title);
        $sheet->text(0, $y, Sheet::WIDTH, 24, $site, 19, true);
        $sheet->text(0, $y + 28, Sheet::WIDTH, 34, $what, 13);
    }

    private static function conductors(Sheet $sheet, Plan $plan): void
    {
        $planned = [];
        foreach (PlannedConductor::all($plan) as $one) {
            $planned[$one->id()] = $one;
        }
        foreach ($plan->installation->cables as $cable) {
            if ($cable->conductors === []) {
                continue;
            }
            $y = $sheet->take(26 + self::ROW);
            $from = Words::say($plan->installation->placeName($cable->from));
            $to = Words::say($plan->installation->placeName($cable->to));
            $sheet->text(0, $y, 240, 22, $to, 13, true);
            $sheet->text(250, $y, 260, 22, "{$cable->id} · ".Words::say($cable->label()), 12);
            $sheet->text(520, $y, 240, 22, $from, 13, true, 'end');
            $y += 26;
            foreach ($cable->conductors as $n => $conductor) {
                self::conductor($sheet, $plan, $n === 0 ? $y : $sheet->take(self::ROW), $conductor, [
                    ...self::ends($conductor, $planned[$conductor->id()] ?? null),
                    'float' => self::float($plan, $cable, $conductor, $planned[$conductor->id()] ?? null),
                ]);
            }
        }
    }

    /** @return array{near: string, far: string, was: string, means: string} */
    private static function ends(Conductor $conductor, ?PlannedConductor $planned): array
    {
        $near = Words::say($planned === null ? $conductor->near->label() : $planned->wall->label());
        $was = Words::say($conductor->near->label());

        return [
            'near' => $near,
            'far' => Words::say($planned === null ? $conductor->far->label() : $planned->board->label()),
            'was' => $planned === null || $was === $near ? '' : $was,
            'means' => $planned?->boardName === null ? '' : Words::say($planned->boardName->role()),
        ];
    }

    private static function float(
        Plan $plan,
        Cable $cable,
        Conductor $conductor,
        ?PlannedConductor $planned,
    ): ?SafetyDevice {
        $screw = $planned === null ? $conductor->far->terminal : $planned->board->terminal;
        foreach ($plan->installation->facts->safety as $device) {
            if ($device->place === $cable->to && in_array($screw, $device->breaks, true)) {
                return $device;
            }
        }

        return null;
    }

    /** @param  array{near: string, far: string, was: string, means: string, float: ?SafetyDevice}  $ends */
    private static function conductor(Sheet $sheet, Plan $plan, int $y, Conductor $conductor, array $ends): void
    {
        $sheet->text(0, $y + 4, 96, 24, $ends['far'], 15, true);
        $after = $conductor->colourAfterSplice ?? $conductor->colour;
        Inks::wire($sheet, 150, 330, $y + 14, $after->value);
        Inks::wire($sheet, 330, 560, $y + 14, $conductor->colour->value);
        if ($conductor->colourAfterSplice !== null || in_array($conductor->id(), $plan->changes->mended, true)) {
            Symbols::splice($sheet, 175, $y + 14);
        }
        if ($ends['float'] !== null) {
            Symbols::float($sheet, 124, $y + 14);
        } else {
            $sheet->line(sprintf('M100 %dH150', $y + 14));
        }
        $sheet->box(232, $y + 3, 220, 22);
        $says = [
            Words::say($conductor->color()),
            $ends['means'],
            ...Words::each($plan->installation->marksOf($conductor)),
        ];
        $name =
            "{$conductor->id()} ".implode(' · ', array_filter($says, static fn (string $s): bool => $s !== ''));
        $sheet->text(237, $y + 6, 210, 18, $name, 12);
        $sheet->text(572, $y + 4, 90, 24, $ends['near'], 15, true);
        if ($ends['was'] !== '') {
            $sheet->text(666, $y + 6, 94, 24, Words::say(Message::of('plan.drawing.was', screw: $ends['was'])), 11);
        }
    }

    /** Ties, the link and switches by relay: what stands beside the conductors. */
    private static function notes(Sheet $sheet, Plan $plan): void
    {
        $lines = [];
        foreach ($plan->landing->jumpers as $jumper) {
            $lines[] = Message::of(
                'plan.drawing.tie',
                a: $jumper->a,
                b: $jumper->b,
                place: $plan->installation->placeName($jumper->place),
            );
        }
        if ($plan->profile->link !== null && $plan->profile->outputs === Place::Wall) {
            $lines[] = Message::of(
                $plan->landing->linkIn ? 'plan.drawing.link-in' : 'plan.drawing.link-out',
                a: $plan->profile->link[0],
                b: $plan->profile->link[1],
            );
        }
        foreach ($plan->installation->facts->safety as $device) {
            $lines[] = Message::of(
                $device->relay ? 'plan.drawing.switch-by-relay' : 'plan.drawing.switch',
                device: $device->name(),
                breaks: $device->breaks,
                place: $plan->installation->placeName($device->place),
            );
        }
        foreach ($lines as $line) {
            $y = $sheet->take(26);
            Symbols::tie($sheet, 10, $y + 10);
            $sheet->text(28, $y + 2, Sheet::WIDTH - 28, 24, Words::say($line), 13, true);
        }
    }

    /** @param  list<CallPath>  $paths */
    private static function call(Sheet $sheet, LoopDrawing $loops, CallName $call, array $paths): void
    {
        foreach ($paths as $n => $path) {
            $y = $sheet->take(LoopDrawing::HEIGHT + ($n === 0 ? 34 : 0));
            if ($n === 0) {
                $sheet->line(sprintf('M0 %dH%d', $y + 4, Sheet::WIDTH), Sheet::INK, 1.5);
                $sheet->text(0, $y + 10, 400, 22, Words::say($call->label()), 17, true);
                $y += 34;
            }
            $loops->draw(
                $y,
                $path,
                Words::say(
                    Message::of(
                        'plan.drawing.load',
                        load: $path->load->label,
                        amps: Quantity::of($path->amps, Unit::Amps, 2),
                    ),
                ),
            );
        }
    }
}
