<?php

declare(strict_types=1);

namespace Unionbit\Core\Figures;

use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Work\NewCable;

/** Which cable to pull: conductors needed now, accessories, and at least one to spare; length from the path with slack. */
final class CableToPull implements Figure
{
    public function key(): string
    {
        return 'cable';
    }

    public function title(): string
    {
        return 'Cable to pull';
    }

    public function about(): string
    {
        return 'Count what is needed, add what may come, and always one to spare.';
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
                'Conductors needed now',
                '',
                $landed ?? 5.0,
                $plan === null ? 'R, C and the calls' : 'the plan',
                2,
                10,
            ),
            new Input('accessories', 'For accessories', '', 0.0, 'humidity, ventilation, outdoor sensor', 0, 6),
            new Input(
                'path',
                'Path',
                'ft',
                $plan?->installation->wallCable()->feet ?? 40.0,
                $plan === null ? 'measure it' : 'the survey',
                3,
                500,
            ),
            new Input('slack', 'Slack, both ends', 'ft', NewCable::SLACK, 'working figure: three feet an end', 0, 40),
        ];
    }

    public function compute(array $v, ?Plan $plan): Result
    {
        $least = (int) ($v['needed'] + $v['accessories']) + 1;
        $fits = array_values(array_filter(NewCable::SIZES, static fn (int $n): bool => $n >= $least));
        $size = $fits[0] ?? null;

        return new Result(
            [
                Result::line('At least', (float) $least, 'conductors', 'needed + accessories + 1'),
                Result::line(
                    'Cable',
                    $size === null ? null : (float) $size,
                    'conductors',
                    'next size made: '.implode(', ', NewCable::SIZES),
                ),
                Result::line('Length', $v['path'] + $v['slack'], 'ft', 'path + slack'),
                Result::line(
                    'To spare',
                    $size === null ? null : $size - $v['needed'] - $v['accessories'],
                    'conductors',
                    'size − needed − accessories',
                ),
            ],
            $size === null ? 'fault' : 'verd',
            $size === null
                ? 'No single cable is made with that many: pull two.'
                : sprintf(
                    '18/%d, %g ft. No hidden splices; staples snug, not crushing.',
                    $size,
                    ceil($v['path'] + $v['slack']),
                ),
        );
    }
}
