<?php

declare(strict_types=1);

namespace Unionbit\Core\Figures\Work;

use Unionbit\Core\Figures\Figure\Figure;
use Unionbit\Core\Figures\Figure\Input;
use Unionbit\Core\Figures\Figure\Result;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Way\NewCable;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/**
 * Which cable to pull: conductors needed now, accessories, and at least one to spare; length from the path with
 * slack.
 */
final class CableToPull implements Figure
{
    public function key(): string
    {
        return 'cable';
    }

    public function title(): Message
    {
        return Message::of('figures.cable-to-pull.cable-pull');
    }

    public function about(): Message
    {
        return Message::of('figures.cable-to-pull.count-what-needed-add-what');
    }

    public function inputs(?Plan $plan): array
    {
        $landed =
            $plan === null
                ? null
                : (float) count(array_filter($plan->landing->wall, static fn ($end): bool => $end->isLanded()));

        return [
            new Input(
                'needed',
                Message::of('figures.cable-to-pull.conductors-needed-now'),
                Unit::Number,
                $landed ?? 5.0,
                $plan === null
                    ? Message::of('figures.cable-to-pull.r-c-calls')
                    : Message::of('figures.cable-to-pull.plan'),
                2,
                10,
            ),
            new Input(
                'accessories',
                Message::of('figures.cable-to-pull.for-accessories'),
                Unit::Number,
                0.0,
                Message::of('figures.cable-to-pull.humidity-ventilation-outdoor-sensor'),
                0,
                6,
            ),
            new Input(
                'path',
                Message::of('figures.cable-to-pull.path'),
                Unit::Feet,
                $plan?->installation->wallCable()->feet ?? 40.0,
                $plan === null
                    ? Message::of('figures.cable-to-pull.measure')
                    : Message::of('figures.cable-to-pull.survey'),
                3,
                500,
            ),
            new Input(
                'slack',
                Message::of('figures.cable-to-pull.slack-both-ends'),
                Unit::Feet,
                NewCable::SLACK,
                Message::of(
                    'figures.cable-to-pull.working-figure-end',
                    slack: Quantity::of(NewCable::SLACK / 2.0, Unit::Feet),
                ),
                0,
                40,
            ),
        ];
    }

    public function compute(array $v, ?Plan $plan): Result
    {
        $least = (int) ($v['needed'] + $v['accessories']) + 1;
        $fits = array_values(array_filter(NewCable::SIZES, static fn (int $n): bool => $n >= $least));
        $size = $fits[0] ?? null;

        return new Result(
            [
                Result::line(
                    Message::of('figures.cable-to-pull.at-least'),
                    (float) $least,
                    Unit::Conductors,
                    Message::of('figures.cable-to-pull.needed-accessories-1'),
                ),
                Result::line(
                    Message::of('figures.cable-to-pull.cable'),
                    $size === null ? null : (float) $size,
                    Unit::Conductors,
                    Message::of('figures.cable-to-pull.next-size-made', sizes: NewCable::SIZES),
                ),
                Result::line(
                    Message::of('figures.cable-to-pull.length'),
                    $v['path'] + $v['slack'],
                    Unit::Feet,
                    Message::of('figures.cable-to-pull.path-slack'),
                ),
                Result::line(
                    Message::of('figures.cable-to-pull.spare'),
                    $size === null ? null : $size - $v['needed'] - $v['accessories'],
                    Unit::Conductors,
                    Message::of('figures.cable-to-pull.size-needed-accessories'),
                ),
            ],
            $size === null ? 'fault' : 'verd',
            $size === null
                ? Message::of('figures.cable-to-pull.no-single-cable-made-with')
                : Message::of(
                    'figures.cable-to-pull.18-no-hidden-splices-staples',
                    size: $size,
                    path: Quantity::of(ceil($v['path'] + $v['slack']), Unit::Feet),
                ),
        );
    }
}
