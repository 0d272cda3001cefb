<?php

declare(strict_types=1);

namespace Unionbit\Core\Figures;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Proof\Simulation;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/**
 * Volt-amperes of each call against the rating: by the circuit at its own voltage, and as the sum of the plates at 24
 * V.
 */
final class TransformerLoad implements Figure
{
    public function key(): string
    {
        return 'transformer-load';
    }

    public function title(): Message
    {
        return Message::of('figures.transformer-load.transformer-load');
    }

    public function about(): Message
    {
        return Message::of('figures.transformer-load.what-runs-together-in-each');
    }

    public function inputs(?Plan $plan): array
    {
        $rating = $plan?->installation->transformers()[0]->ratingVa;

        return [
            new Input(
                'rating',
                Message::of('figures.transformer-load.transformer-rating'),
                Unit::VoltAmps,
                $rating ?? 40.0,
                $plan?->installation->facts->transformerVa === null
                    ? Message::of('figures.transformer-load.usual-size-read-plate')
                    : Message::of('figures.transformer-load.plate'),
                10,
                200,
            ),
            ...$plan === null
                ? [
                    new Input(
                        'sum',
                        Message::of('figures.transformer-load.sum-plates-run-together'),
                        Unit::VoltAmps,
                        null,
                        Message::of('figures.transformer-load.add-plates'),
                        1,
                        400,
                    ),
                ]
                : [],
        ];
    }

    public function compute(array $v, ?Plan $plan): Result
    {
        if ($plan === null) {
            $share = $v['sum'] / $v['rating'];

            return new Result(
                [
                    Result::line(
                        Message::of('figures.transformer-load.share-rating'),
                        100.0 * $share,
                        Unit::Percent,
                        Message::of('figures.transformer-load.sum-plates-rating'),
                    ),
                ],
                $share > 1.0 ? 'fault' : ($share > 0.8 ? 'caution' : 'verd'),
                self::says($share, Message::of('figures.transformer-load.these-together')),
            );
        }
        $circuit = $plan->circuit();
        $worst = 0.0;
        $worstCall = Message::none();
        $tips = null;
        $lines = [];
        foreach (Simulation::setups($plan) as $call => $setup) {
            $point = $circuit->operate($setup);
            $id = $plan->installation->transformers()[0]->id;
            $amps = $point->sourceAmps($id);
            $winding = $point->netlist->element($id);
            $real = $amps * $point->phasors->magnitude($winding->a, $winding->b);
            $sum = 0.0;
            $low = null;
            foreach ($plan->installation->loads() as $load) {
                if ($load->kind->hasState() && ! in_array($load->id, $point->pulledIn(), true)) {
                    continue;
                }
                $sum += self::plate($plan, $load->id);
                $volts = $point->loadVolts[$load->id];
                $low = $volts > 1.0 && ($low === null || $volts < $low) ? $volts : $low;
                if ($sum > $v['rating'] && $tips === null) {
                    $tips = $load->label;
                }
            }
            $lines[] = Result::line(
                Message::of('figures.transformer-load.by-circuit', call: CallName::from($call)->label()),
                $real,
                Unit::VoltAmps,
                Message::of(
                    'figures.transformer-load.amps-times-volts',
                    amps: Quantity::of($amps, Unit::Amps, 2),
                    volts: Quantity::of($amps > 0.0 ? $real / $amps : 0.0, Unit::Volts, 1),
                ),
            );
            $lines[] = Result::line(
                Message::of('figures.transformer-load.as-plates-at-24-v'),
                $sum,
                Unit::VoltAmps,
                Message::of('figures.transformer-load.sum-loads-in'),
            );
            $lines[] = Result::line(
                Message::of('figures.transformer-load.volts-at-weakest-load'),
                $low,
                Unit::Volts,
                Message::of(
                    'figures.transformer-load.solved-must-stay-over-pull',
                    pull_in_volts: Quantity::of(Circuit::PULL_IN_VOLTS, Unit::Volts),
                ),
            );
            if (max($real, $sum) > $worst) {
                [$worst, $worstCall] = [max($real, $sum), CallName::from($call)->label()];
            }
        }
        $share = $worst / $v['rating'];

        return new Result(
            $lines,
            $share > 1.0 ? 'fault' : ($share > 0.8 ? 'caution' : 'verd'),
            Message::sentences([
                self::says($share, $worstCall),
                $tips === null ? Message::none() : Message::of('figures.transformer-load.tips-over', load: $tips),
            ]),
        );
    }

    private static function plate(Plan $plan, string $id): float
    {
        [$ohms, $reactance] = (
            $plan->installation->load($id) ?? throw new \LogicException("no load {$id}")
        )->kind->impedance(true);

        return (24.0 * 24.0) / hypot($ohms, $reactance);
    }

    private static function says(float $share, Message $call): Message
    {
        return Message::of(
            'figures.transformer-load.share',
            share: Quantity::of(100.0 * $share, Unit::Percent, 0),
            call: $call,
            room: match (true) {
                $share > 1.0 => 'none',
                $share > 0.8 => 'little',
                default => 'enough',
            },
        );
    }
}
