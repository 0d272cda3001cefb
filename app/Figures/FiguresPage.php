<?php

declare(strict_types=1);

namespace App\Figures;

use App\House\House;
use App\Models\Job;
use App\Records\Progress\Progress;
use App\Stage\JobFrame;
use Unionbit\Core\Figures\Figure\Figure;
use Unionbit\Core\Figures\Figure\Input;
use Unionbit\Core\Figures\Figures;
use Unionbit\Core\Figures\OverflowPlacement;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Words\Message;

/** Every figure with its inputs filled in, and what it comes to where they are whole. */
final class FiguresPage
{
    /** @return array<string, mixed> */
    public static function props(?Job $job): array
    {
        $plan = $job === null ? null : House::of($job)->plan;

        return [
            ...$job === null
                ? ['job' => null]
                : JobFrame::props($job, House::of($job)->circuit(), Progress::of($job)),
            'house' => $plan === null
                    ? null
                    : Message::of(
                        'figures.page.house',
                        equipment: $plan->installation->equipment(),
                        thermostat: $plan->profile->title,
                    ),
            'figures' => array_map(static fn (Figure $f): array => self::figure($f, $plan), Figures::of($plan)),
            'relayPins' => $plan?->installation->answers->choice('relayPins') ?? '',
            'overflow' => $plan === null ? [] : OverflowPlacement::pans($plan),
        ];
    }

    /** @return array<string, mixed> */
    private static function figure(Figure $figure, ?Plan $plan): array
    {
        $values = Figures::values($figure, [], $plan);

        return [
            'key' => $figure->key(),
            'title' => $figure->title(),
            'about' => $figure->about(),
            'inputs' => array_map(static fn (Input $i): array => $i->toArray(), $figure->inputs($plan)),
            'result' => $values === null ? null : $figure->compute($values, $plan)->toArray(),
        ];
    }
}
