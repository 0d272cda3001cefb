<?php

declare(strict_types=1);

namespace Unionbit\Core\Figures\Supply;

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Equipment\Load;
use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Figures\Figure\Figure;
use Unionbit\Core\Figures\Figure\Input;
use Unionbit\Core\Figures\Figure\Result;
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
        $results = array_map(
            static fn (Transformer $supply, int $n): array => self::supply(
                $plan,
                $supply,
                $n === 0 ? $v['rating'] : $supply->ratingVa,
            ),
            $plan->installation->transformers(),
            array_keys($plan->installation->transformers()),
        );
        $share = max(0.0, ...array_column($results, 'share'));

        return new Result(
            [
                ...array_merge([], ...array_column($results, 'answers')),
                ...array_merge([], ...array_column($results, 'lines')),
            ],
            $share > 1.0 ? 'fault' : ($share > 0.8 ? 'caution' : 'verd'),
            Message::sentences(array_merge([], ...array_column($results, 'says'))),
            answers: array_merge([], ...array_column($results, 'answers')),
        );
    }

    /**
     * What one supply carries in each call: its own loads, and the thermostat where that takes its power from it.
     *
     * @return array{lines: list<array{label: Message, value: ?float, unit: string, formula: Message}>,
     *     answers: list<array{label: Message, value: ?float, unit: string, formula: Message}>, share: float,
     *     says: list<Message>}
     */
    private static function supply(Plan $plan, Transformer $supply, float $rating): array
    {
        $circuit = $plan->circuit();
        $several = count($plan->installation->transformers()) > 1;
        $own = array_filter(
            $plan->installation->loads(),
            static fn (Load $load): bool => ($circuit->supplyBehind($load->to)->id ?? $supply->id) === $supply->id,
        );
        $thermostat = self::thermostat($circuit, $supply);
        $worst = $most = 0.0;
        $worstCall = Message::none();
        $tips = null;
        $lines = [];
        foreach (Simulation::setups($plan) as $call => $setup) {
            $point = $circuit->operate($setup);
            $amps = $point->sourceAmps($supply->id);
            $winding = $point->netlist->element($supply->id);
            $real = $amps * $point->phasors->magnitude($winding->a, $winding->b);
            $most = max($most, $amps);
            $sum = $thermostat;
            $low = null;
            foreach ($own as $load) {
                if ($load->kind->hasState() && ! in_array($load->id, $point->pulledIn(), true)) {
                    continue;
                }
                $sum += self::plate($plan, $load->id);
                $volts = $point->loadVolts[$load->id];
                $low = $volts > 1.0 && ($low === null || $volts < $low) ? $volts : $low;
                $tips = $sum > $rating && $tips === null ? $load->label : $tips;
            }
            $named = CallName::from($call)->label();
            array_push(
                $lines,
                Result::line(
                    $several
                        ? Message::of('figures.transformer-load.by-circuit-of', call: $named, supply: $supply->id)
                        : Message::of('figures.transformer-load.by-circuit', call: $named),
                    $real,
                    Unit::VoltAmps,
                    Message::of(
                        'figures.transformer-load.amps-times-volts',
                        amps: Quantity::of($amps, Unit::Amps, 2),
                        volts: Quantity::of($amps > 0.0 ? $real / $amps : 0.0, Unit::Volts, 1),
                    ),
                ),
                Result::line(
                    Message::of('figures.transformer-load.as-plates-at-24-v'),
                    $sum,
                    Unit::VoltAmps,
                    $thermostat > 0.0
                        ? Message::of(
                            'figures.transformer-load.sum-loads-and-thermostat',
                            va: Quantity::of($thermostat, Unit::VoltAmps, 0),
                        )
                        : Message::of('figures.transformer-load.sum-loads-in'),
                ),
                Result::line(
                    Message::of('figures.transformer-load.volts-at-weakest-load'),
                    $low,
                    Unit::Volts,
                    Message::of(
                        'figures.transformer-load.solved-must-stay-over-pull',
                        pull_in_volts: Quantity::of(Circuit::PULL_IN_VOLTS, Unit::Volts),
                    ),
                ),
            );
            if (max($real, $sum) > $worst) {
                [$worst, $worstCall] = [max($real, $sum), $named];
            }
        }
        $share = $worst / $rating;

        return [
            'lines' => $lines,
            'answers' => [
                Result::line(
                    Message::of('figures.transformer-load.share-of', supply: $supply->id),
                    100.0 * $share,
                    Unit::Percent,
                    Message::of('figures.transformer-load.largest-call', call: $worstCall),
                ),
                Result::line(
                    Message::of('figures.transformer-load.room-left'),
                    $rating - $worst,
                    Unit::VoltAmps,
                    Message::of('figures.transformer-load.rating-less-largest'),
                ),
                Result::line(
                    Message::of('figures.transformer-load.most-amps'),
                    $most,
                    Unit::Amps,
                    Message::of('figures.transformer-load.by-the-circuit'),
                ),
            ],
            'share' => $share,
            'says' => [
                ...$several
                    ? [
                        Message::of(
                            'figures.transformer-load.of-supply',
                            supply: $supply->id,
                            rating: Quantity::of($rating, Unit::VoltAmps),
                        ),
                    ]
                    : [],
                self::says($share, $worstCall),
                $tips === null ? Message::none() : Message::of('figures.transformer-load.tips-over', load: $tips),
            ],
        ];
    }

    /** VA of the thermostat's own electronics at 24 V, where they hang on this supply. */
    private static function thermostat(Circuit $circuit, Transformer $supply): float
    {
        $elements = $circuit->netlist(Setup::calling())->elements;
        $va = 0.0;
        foreach (['thermostat.electronics', 'thermostat.wall-unit'] as $id) {
            $own = $elements[$id] ?? null;
            if ($own !== null && $circuit->supplyBehind($own->b)?->id === $supply->id) {
                $va += (24.0 * 24.0) / $own->ohms;
            }
        }

        return $va;
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
