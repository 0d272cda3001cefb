<?php

declare(strict_types=1);

namespace Unionbit\Core\Figures\Supply;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Equipment\LoadKind;
use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Figures\Figure\Figure;
use Unionbit\Core\Figures\Figure\Input;
use Unionbit\Core\Figures\Figure\Result;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Wiring\Cable;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/**
 * Volts at the contactor before and after it pulls in, and the longest run on which it still does: solved with its
 * rest impedance and phase.
 */
final class VoltageDrop implements Figure
{
    use OfSupply;

    private const KEY = 'voltage-drop';

    public function title(): Message
    {
        return $this->titled(Message::of('figures.voltage-drop.voltage-drop-longest-run'));
    }

    public function about(): Message
    {
        return Message::of('figures.voltage-drop.contactor-at-rest-asks-for');
    }

    public function inputs(?Plan $plan): array
    {
        $house = $plan?->installation;
        $feet = $house === null ? null : $this->run($house);

        return [
            new Input(
                'feet',
                Message::of('figures.voltage-drop.run-one-way-wall-cable'),
                Unit::Feet,
                $feet ?? 70.0,
                $house === null
                    ? Message::of('figures.voltage-drop.measure-path')
                    : Message::of('figures.voltage-drop.survey'),
                1,
                2000,
            ),
            new Input(
                'gauge',
                Message::of('figures.voltage-drop.gauge'),
                Unit::Gauge,
                (float) ($this->cable($house)->gauge ?? 18),
                $house === null
                    ? Message::of('figures.voltage-drop.printed-on-jacket')
                    : Message::of('figures.voltage-drop.survey'),
                18,
                24,
            ),
            new Input(
                'rating',
                Message::of('figures.voltage-drop.transformer-rating'),
                Unit::VoltAmps,
                $this->transformer($plan)->ratingVa ?? 40.0,
                Message::of('figures.voltage-drop.plate'),
                10,
                200,
            ),
            new Input(
                'line',
                Message::of('figures.voltage-drop.line-volts'),
                Unit::Volts,
                $this->transformer($plan)->lineVolts ?? 120.0,
                $this->facts($plan)->lineVolts === null
                    ? Message::of('figures.voltage-drop.nominal')
                    : Message::of('figures.voltage-drop.measured'),
                90,
                300,
            ),
            new Input(
                'tap',
                Message::of('figures.voltage-drop.primary-tap'),
                Unit::Volts,
                $this->transformer($plan)->tapVolts ?? 120.0,
                $this->facts($plan)->tapVolts === null
                    ? Message::of('figures.voltage-drop.nominal')
                    : Message::of('figures.voltage-drop.survey'),
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

        $lines = [
            Result::line(
                Message::of('figures.voltage-drop.copper-out-back'),
                2.0 * $perFoot * $v['feet'],
                Unit::Ohms,
                Message::of(
                    'figures.voltage-drop.2',
                    feet: Quantity::of($v['feet'], Unit::Feet),
                    perFoot: Quantity::of($perFoot, Unit::OhmsPerFoot),
                ),
            ),
            Result::line(
                Message::of('figures.voltage-drop.volts-at-coil-before-pulls'),
                $rest,
                Unit::Volts,
                Message::of(
                    'figures.voltage-drop.idle-over-source-copper-coil',
                    idle: Quantity::of($idle, Unit::Volts, 1),
                    source: Quantity::of($source, Unit::Ohms, 2),
                ),
            ),
            Result::line(
                Message::of('figures.voltage-drop.volts-at-coil-once-in'),
                $held,
                Unit::Volts,
                Message::of('figures.voltage-drop.same-with-coil-in'),
            ),
            Result::line(
                Message::of('figures.voltage-drop.longest-run-at-line'),
                $longest,
                Unit::Feet,
                Message::of(
                    'figures.voltage-drop.where-coil-still-gets',
                    pull_in_volts: Quantity::of(Circuit::PULL_IN_VOLTS, Unit::Volts),
                ),
            ),
            Result::line(
                Message::of('figures.voltage-drop.longest-run-at-95-line'),
                $low,
                Unit::Feet,
                Message::of('figures.voltage-drop.same-5-less'),
            ),
        ];
        $spare = Result::line(
            Message::of('figures.voltage-drop.spare'),
            $low - $v['feet'],
            Unit::Feet,
            Message::of('figures.voltage-drop.longest-at-95-less-run'),
        );

        return new Result(
            [...$lines, $spare],
            $good ? 'verd' : ($v['feet'] <= $longest ? 'caution' : 'fault'),
            $good
                ? Message::of('figures.voltage-drop.pulls-in-also-at-95')
                : ($v['feet'] <= $longest
                    ? Message::of('figures.voltage-drop.pulls-in-now-not-at')
                    : Message::of('figures.voltage-drop.does-not-pull-in-buzzes')),
            answers: [$lines[1], $lines[2], $spare],
        );
    }

    /** From the wall to this supply's board, and on to the outdoor unit where one hangs on it. */
    private function run(Installation $house): float
    {
        $first = $this->cable($house);
        $on = array_filter(
            $house->cables,
            static fn (Cable $c): bool => $first !== null && $c->from === $first->to && $c->to->isOutdoors(),
        );

        return ($first->feet ?? 0.0) + array_sum(array_map(static fn (Cable $c): float => $c->feet, $on));
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
