<?php

declare(strict_types=1);

namespace Unionbit\Core\Figures;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Proof\Simulation;

/** Volt-amperes of each call against the rating: by the circuit at its own voltage, and as the sum of the plates at 24 V. */
final class TransformerLoad implements Figure
{
    public function key(): string
    {
        return 'transformer-load';
    }

    public function title(): string
    {
        return 'Transformer load';
    }

    public function about(): string
    {
        return 'What runs together in each call, against the rating. A defrost counts too.';
    }

    public function inputs(?Plan $plan): array
    {
        $rating = $plan?->installation->transformers()[0]->ratingVa;

        return [
            new Input(
                'rating',
                'Transformer rating',
                'VA',
                $rating ?? 40.0,
                $plan?->installation->facts->transformerVa === null ? 'usual size; read the plate' : 'its plate',
                10,
                200,
            ),
            ...$plan === null
                ? [new Input('sum', 'Sum of the plates that run together', 'VA', null, 'add the plates', 1, 400)]
                : [],
        ];
    }

    public function compute(array $v, ?Plan $plan): Result
    {
        if ($plan === null) {
            $share = $v['sum'] / $v['rating'];

            return new Result(
                [Result::line('Share of the rating', 100.0 * $share, '%', 'sum of plates ÷ rating')],
                $share > 1.0 ? 'fault' : ($share > 0.8 ? 'caution' : 'verd'),
                self::says($share, 'these together'),
            );
        }
        $circuit = $plan->circuit();
        $worst = 0.0;
        $worstCall = '';
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
                ucfirst(str_replace('-', ' ', $call)).', by the circuit',
                $real,
                'VA',
                sprintf('%.2f A × %.1f V', $amps, $amps > 0.0 ? $real / $amps : 0.0),
            );
            $lines[] = Result::line('as plates at 24 V', $sum, 'VA', 'sum of the loads that are in');
            $lines[] = Result::line(
                'volts at its weakest load',
                $low,
                'V',
                'solved; it must stay over '.Circuit::PULL_IN_VOLTS.' V to pull in',
            );
            if (max($real, $sum) > $worst) {
                [$worst, $worstCall] = [max($real, $sum), str_replace('-', ' ', $call)];
            }
        }
        $share = $worst / $v['rating'];

        return new Result(
            $lines,
            $share > 1.0 ? 'fault' : ($share > 0.8 ? 'caution' : 'verd'),
            self::says($share, $worstCall).($tips === null ? '' : " The {$tips} tips it over."),
        );
    }

    private static function plate(Plan $plan, string $id): float
    {
        [$ohms, $reactance] = (
            $plan->installation->load($id) ?? throw new \LogicException("no load {$id}")
        )->kind->impedance(true);

        return (24.0 * 24.0) / hypot($ohms, $reactance);
    }

    private static function says(float $share, string $call): string
    {
        return sprintf('%.0f %% of the rating at most, in %s. ', 100.0 * $share, $call).
            ($share > 1.0
                ? 'Too much: a larger class 2 transformer, or fewer loads; never a larger fuse.'
                : ($share > 0.8
                    ? 'Little is left for anything added.'
                    : 'There is room.'));
    }
}
