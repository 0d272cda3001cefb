<?php

declare(strict_types=1);

namespace Unionbit\Core\Figures\Supply;

use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Figures\Figure\Figure;
use Unionbit\Core\Figures\Figure\Input;
use Unionbit\Core\Figures\Figure\Result;
use Unionbit\Core\Planning\Plan\Plan;
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
        $several = count($plan->installation->transformers()) > 1;
        $lines = [];
        $worst = $tips = null;
        $most = 0.0;
        foreach (SupplyInCall::each($plan, $supply, $rating) as $call) {
            array_push($lines, ...self::ofCall($call, $several ? $supply->id : null));
            $most = max($most, $call->amps);
            $worst = $worst === null || $call->va() > $worst->va() ? $call : $worst;
            $tips ??= $call->tips;
        }
        $share = ($worst?->va() ?? 0.0) / $rating;
        $worstCall = $share > 0.0 && $worst !== null ? $worst->call->label() : Message::none();

        return [
            'lines' => $lines,
            'answers' => self::answers($supply, $rating, $share, $worstCall, $most),
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

    /** @return list<array{label: Message, value: ?float, unit: string, formula: Message}> */
    private static function ofCall(SupplyInCall $it, ?string $supply): array
    {
        return [
            Result::line(
                $supply === null
                    ? Message::of('figures.transformer-load.by-circuit', call: $it->call->label())
                    : Message::of(
                        'figures.transformer-load.by-circuit-of',
                        call: $it->call->label(),
                        supply: $supply,
                    ),
                $it->real,
                Unit::VoltAmps,
                Message::of(
                    'figures.transformer-load.amps-times-volts',
                    amps: Quantity::of($it->amps, Unit::Amps, 2),
                    volts: Quantity::of($it->amps > 0.0 ? $it->real / $it->amps : 0.0, Unit::Volts, 1),
                ),
            ),
            Result::line(
                Message::of('figures.transformer-load.as-plates-at-24-v'),
                $it->plates,
                Unit::VoltAmps,
                $it->thermostat > 0.0
                    ? Message::of(
                        'figures.transformer-load.sum-loads-and-thermostat',
                        va: Quantity::of($it->thermostat, Unit::VoltAmps, 0),
                    )
                    : Message::of('figures.transformer-load.sum-loads-in'),
            ),
            Result::line(
                Message::of('figures.transformer-load.volts-at-weakest-load'),
                $it->weakest,
                Unit::Volts,
                Message::of(
                    'figures.transformer-load.solved-must-stay-over-pull',
                    pull_in_volts: Quantity::of(Circuit::PULL_IN_VOLTS, Unit::Volts),
                ),
            ),
        ];
    }

    /** @return list<array{label: Message, value: ?float, unit: string, formula: Message}> */
    private static function answers(
        Transformer $supply,
        float $rating,
        float $share,
        Message $worstCall,
        float $most,
    ): array {
        return [
            Result::line(
                Message::of('figures.transformer-load.share-of', supply: $supply->id),
                100.0 * $share,
                Unit::Percent,
                Message::of('figures.transformer-load.largest-call', call: $worstCall),
            ),
            Result::line(
                Message::of('figures.transformer-load.room-left'),
                $rating - $share * $rating,
                Unit::VoltAmps,
                Message::of('figures.transformer-load.rating-less-largest'),
            ),
            Result::line(
                Message::of('figures.transformer-load.most-amps'),
                $most,
                Unit::Amps,
                Message::of('figures.transformer-load.by-the-circuit'),
            ),
        ];
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
