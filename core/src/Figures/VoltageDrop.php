<?php

declare(strict_types=1);

namespace Unionbit\Core\Figures;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Equipment\LoadKind;
use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Wiring\Cable;

/** Volts at the contactor before and after it pulls in, and the longest run on which it still does: solved with its rest impedance and phase. */
final class VoltageDrop implements Figure
{
    public function key(): string
    {
        return 'voltage-drop';
    }

    public function title(): string
    {
        return 'Voltage drop and longest run';
    }

    public function about(): string
    {
        return 'A contactor at rest asks for three to four times what it holds with: pull-in decides, not the held current.';
    }

    public function inputs(?Plan $plan): array
    {
        $house = $plan?->installation;
        $feet = $house === null ? null : array_sum(array_map(static fn (Cable $c): float => $c->feet, $house->cables));

        return [
            new Input(
                'feet',
                'Run one way, wall cable and outdoor cable',
                'ft',
                $feet ?? 70.0,
                $house === null ? 'measure the path' : 'the survey',
                1,
                2000,
            ),
            new Input(
                'gauge',
                'Gauge',
                'AWG',
                (float) ($house?->wallCable()->gauge ?? 18),
                $house === null ? 'printed on the jacket' : 'the survey',
                18,
                24,
            ),
            new Input(
                'rating',
                'Transformer rating',
                'VA',
                $house?->transformers()[0]->ratingVa ?? 40.0,
                'its plate',
                10,
                200,
            ),
            new Input(
                'line',
                'Line volts',
                'V',
                $house?->facts->line() ?? 120.0,
                $house?->facts->lineVolts === null ? 'nominal' : 'measured',
                90,
                300,
            ),
            new Input(
                'tap',
                'Primary tap',
                'V',
                $house?->facts->tap() ?? 120.0,
                $house?->facts->tapVolts === null ? 'nominal' : 'the survey',
                90,
                300,
            ),
        ];
    }

    public function compute(array $v, ?Plan $plan): Result
    {
        $perFoot = Cable::OHMS_PER_FOOT[(int) $v['gauge']] ?? Cable::OHMS_PER_FOOT[18];
        $source = 69.12 / $v['rating'];
        $idle = Transformer::idleVolts($v['line'], $v['tap']);
        $rest = self::coilVolts($idle, $source, $perFoot, $v['feet'], false);
        $held = self::coilVolts($idle, $source, $perFoot, $v['feet'], true);
        $longest = self::longest($idle, $source, $perFoot);
        $low = self::longest(0.95 * $idle, $source, $perFoot);
        $good = $v['feet'] <= $low;

        return new Result(
            [
                Result::line(
                    'Copper out and back',
                    2.0 * $perFoot * $v['feet'],
                    'Ω',
                    sprintf('2 × %g ft × %g Ω/ft', $v['feet'], $perFoot),
                ),
                Result::line(
                    'Volts at the coil before it pulls in',
                    $rest,
                    'V',
                    sprintf('%.1f V idle, over %.2f Ω source, the copper and the coil at rest', $idle, $source),
                ),
                Result::line('Volts at the coil once it is in', $held, 'V', 'the same with the coil in'),
                Result::line(
                    'Longest run at this line',
                    $longest,
                    'ft',
                    sprintf('where the coil still gets %g V', Circuit::PULL_IN_VOLTS),
                ),
                Result::line('Longest run at 95 % line', $low, 'ft', 'the same, 5 % less'),
            ],
            $good ? 'verd' : ($v['feet'] <= $longest ? 'caution' : 'fault'),
            $good
                ? 'It pulls in also at 95 % line. A longer run, thinner wire or a smaller transformer would change that.'
                : ($v['feet'] <= $longest
                    ? 'It pulls in now, and not at 95 % line: thicker wire, or a relay near the unit.'
                    : 'It does not pull in: it buzzes and heats up. Thicker wire, or a relay near the unit.'),
        );
    }

    private static function coilVolts(float $idle, float $source, float $perFoot, float $feet, bool $in): float
    {
        [$ohms, $reactance] = LoadKind::Contactor->impedance($in);

        return ($idle * hypot($ohms, $reactance)) / hypot($ohms + $source + 2.0 * $perFoot * $feet, $reactance);
    }

    private static function longest(float $idle, float $source, float $perFoot): float
    {
        if (self::coilVolts($idle, $source, $perFoot, 0.0, false) < Circuit::PULL_IN_VOLTS) {
            return 0.0;
        }
        [$short, $long] = [0.0, 5000.0];
        for ($step = 0; $step < 60; $step++) {
            $middle = ($short + $long) / 2.0;
            [$short, $long] =
                self::coilVolts($idle, $source, $perFoot, $middle, false) >= Circuit::PULL_IN_VOLTS
                    ? [$middle, $long]
                    : [$short, $middle];
        }

        return $short;
    }
}
