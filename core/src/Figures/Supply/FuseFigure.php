<?php

declare(strict_types=1);

namespace Unionbit\Core\Figures\Supply;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Solve\FuseCurve;
use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Figures\Figure\Figure;
use Unionbit\Core\Figures\Figure\Input;
use Unionbit\Core\Figures\Figure\Result;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Wiring\Cable;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/**
 * A current against the fuse: when it opens, what it lets through for ever, and what a short at the far end of the
 * cable draws.
 */
final class FuseFigure implements Figure
{
    use OfSupply;

    private const KEY = 'fuse';

    public function title(): Message
    {
        return $this->titled(Message::of('figures.fuse-figure.fuse'));
    }

    public function about(): Message
    {
        return Message::of('figures.fuse-figure.distance-protects-fault-not-transformer');
    }

    public function inputs(?Plan $plan): array
    {
        $house = $plan?->installation;

        return [
            new Input(
                'fuse',
                Message::of('figures.fuse-figure.fuse'),
                Unit::Amps,
                $this->transformer($plan)->fuseAmps ?? 3.0,
                $this->facts($plan)->fuseAmps === null
                    ? Message::of('figures.fuse-figure.common-on-furnaces-5-on')
                    : Message::of('figures.fuse-figure.survey'),
                0.5,
                30,
            ),
            new Input(
                key: 'amps',
                label: Message::of('figures.fuse-figure.current-measured'),
                unit: Unit::Amps,
                value: null,
                source: Message::of('figures.fuse-figure.clamp-meter'),
                min: 0,
                max: 60,
                optional: true,
            ),
            new Input(
                'feet',
                Message::of('figures.fuse-figure.run-far-end-one-way'),
                Unit::Feet,
                $this->cable($house)->feet ?? 40.0,
                $house === null
                    ? Message::of('figures.fuse-figure.measure-path')
                    : Message::of('figures.fuse-figure.survey'),
                1,
                2000,
            ),
            new Input(
                'gauge',
                Message::of('figures.fuse-figure.gauge'),
                Unit::Gauge,
                (float) ($this->cable($house)->gauge ?? 18),
                Message::of('figures.fuse-figure.printed-on-jacket'),
                18,
                24,
            ),
            new Input(
                'rating',
                Message::of('figures.fuse-figure.transformer-rating'),
                Unit::VoltAmps,
                $this->transformer($plan)->ratingVa ?? 40.0,
                Message::of('figures.fuse-figure.plate'),
                10,
                200,
            ),
        ];
    }

    public function compute(array $v, ?Plan $plan): Result
    {
        $perFoot = Cable::OHMS_PER_FOOT[(int) $v['gauge']] ?? Cable::OHMS_PER_FOOT[18];
        $far = Transformer::idleVolts(120.0, 120.0) / (69.12 / $v['rating'] + 2.0 * $perFoot * $v['feet']);
        $holds = Circuit::FUSE_FACTOR * $v['fuse'] * 24.0;
        $lines = [
            Result::line(
                Message::of('figures.fuse-figure.short-at-far-end'),
                $far,
                Unit::Amps,
                Message::of(
                    'figures.fuse-figure.26-9-v-source-2',
                    value: Quantity::of(69.12 / $v['rating'], Unit::Ohms, 2),
                    feet: Quantity::of($v['feet'], Unit::Feet),
                    perFoot: Quantity::of($perFoot, Unit::OhmsPerFoot),
                ),
            ),
            Result::line(
                Message::of('figures.fuse-figure.fuse-holds-for-ever'),
                $holds,
                Unit::VoltAmps,
                Message::of(
                    'figures.fuse-figure.24-v',
                    fuse_factor: Quantity::of(Circuit::FUSE_FACTOR, Unit::Number),
                    fuse: Quantity::of($v['fuse'], Unit::Amps),
                ),
            ),
        ];
        $opens = self::opens($far / $v['fuse']);
        $verdict = [
            $opens === null
                ? Message::of('figures.fuse-figure.short-never-opens')
                : Message::of('figures.fuse-figure.short-opens', after: $opens),
        ];
        if (isset($v['amps'])) {
            $lines[] = Result::line(
                Message::of('figures.fuse-figure.current-against-rating'),
                $v['amps'] / $v['fuse'],
                Unit::Times,
                Message::of('figures.fuse-figure.measured-fuse'),
            );
            $now = self::opens($v['amps'] / $v['fuse']);
            $amps = Quantity::of($v['amps'], Unit::Amps, 2);
            $verdict[] =
                $now === null
                    ? Message::of('figures.fuse-figure.now-holds', amps: $amps)
                    : Message::of('figures.fuse-figure.now-opens', amps: $amps, after: $now);
        }
        $burns = $holds > $v['rating'];
        if ($burns) {
            $verdict[] = Message::of(
                'figures.fuse-figure.burns',
                holds: Quantity::of($holds, Unit::VoltAmps, 0),
                rating: Quantity::of($v['rating'], Unit::VoltAmps),
            );
        }

        return new Result(
            $lines,
            $opens === null ? 'fault' : ($burns ? 'caution' : 'verd'),
            Message::sentences([...$verdict, Message::of('figures.fuse-figure.do-not-upsize')]),
            answers: array_slice($lines, 0, 3),
        );
    }

    private static function opens(float $multiple): ?Message
    {
        [$fast, $slow] = [FuseCurve::seconds($multiple, 0.0), FuseCurve::seconds($multiple, 1.0)];

        return $fast === null || $slow === null
            ? null
            : Message::of(
                'figures.fuse-figure.after',
                fast: Quantity::roughly($fast, Unit::Number),
                slow: Quantity::roughly($slow, Unit::Seconds),
            );
    }
}
