<?php

declare(strict_types=1);

namespace Unionbit\Core\Figures;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Solve\FuseCurve;
use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Wiring\Cable;

/** A current against the fuse: when it opens, what it lets through for ever, and what a short at the far end of the cable draws. */
final class FuseFigure implements Figure
{
    public function key(): string
    {
        return 'fuse';
    }

    public function title(): string
    {
        return 'Fuse';
    }

    public function about(): string
    {
        return 'Distance protects a fault, not the transformer.';
    }

    public function inputs(?Plan $plan): array
    {
        $house = $plan?->installation;

        return [
            new Input(
                'fuse',
                'Fuse',
                'A',
                $house?->transformers()[0]->fuseAmps ?? 3.0,
                $house?->facts->fuseAmps === null
                    ? 'common on furnaces; 5 A on air handlers and heat pumps'
                    : 'the survey',
                0.5,
                30,
            ),
            new Input('amps', 'Current measured', 'A', null, 'clamp meter', 0, 60, true),
            new Input(
                'feet',
                'Run to the far end, one way',
                'ft',
                $house?->wallCable()->feet ?? 40.0,
                $house === null ? 'measure the path' : 'the survey',
                1,
                2000,
            ),
            new Input(
                'gauge',
                'Gauge',
                'AWG',
                (float) ($house?->wallCable()->gauge ?? 18),
                'printed on the jacket',
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
        ];
    }

    public function compute(array $v, ?Plan $plan): Result
    {
        $perFoot = Cable::OHMS_PER_FOOT[(int) $v['gauge']] ?? Cable::OHMS_PER_FOOT[18];
        $far = Transformer::idleVolts(120.0, 120.0) / (69.12 / $v['rating'] + 2.0 * $perFoot * $v['feet']);
        $holds = Circuit::FUSE_FACTOR * $v['fuse'] * 24.0;
        $lines = [
            Result::line(
                'Short at the far end',
                $far,
                'A',
                sprintf('26.9 V ÷ (%.2f Ω source + 2 × %g ft × %g Ω/ft)', 69.12 / $v['rating'], $v['feet'], $perFoot),
            ),
            Result::line(
                'The fuse holds for ever',
                $holds,
                'VA',
                sprintf('%g × %g A × 24 V', Circuit::FUSE_FACTOR, $v['fuse']),
            ),
        ];
        $opens = self::opens($far / $v['fuse']);
        $verdict =
            'A short at the far end: '.($opens === null ? 'the fuse never opens. ' : "the fuse opens {$opens}. ");
        if (isset($v['amps'])) {
            $lines[] = Result::line('Current against the rating', $v['amps'] / $v['fuse'], '×', 'measured ÷ fuse');
            $now = self::opens($v['amps'] / $v['fuse']);
            $verdict .= sprintf('%.2f A now: ', $v['amps']).($now === null ? 'it holds. ' : "it opens {$now}. ");
        }
        $burns = $holds > $v['rating'];

        return new Result(
            $lines,
            $opens === null ? 'fault' : ($burns ? 'caution' : 'verd'),
            $verdict.
                ($burns
                    ? sprintf(
                        'It holds %.0f VA, more than the transformer\'s %g: a partial short can burn the transformer with the fuse whole. ',
                        $holds,
                        $v['rating'],
                    )
                    : '').
                'Do not upsize it, do not bridge it.',
        );
    }

    private static function opens(float $multiple): ?string
    {
        [$fast, $slow] = [FuseCurve::seconds($multiple, 0.0), FuseCurve::seconds($multiple, 1.0)];

        return $fast === null || $slow === null ? null : sprintf('after %.2g to %.3g s', $fast, $slow);
    }
}
