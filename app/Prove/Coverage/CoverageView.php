<?php

declare(strict_types=1);

namespace App\Prove\Coverage;

use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Proving\Coverage\Coverage;
use Unionbit\Core\Proving\Coverage\Gap;

/** Coverage for a screen, a paper or a command. */
final class CoverageView
{
    /** Places of one kind of fault that are named; the others are counted. */
    private const MOST_NAMED = 3;

    /** @return array<string, mixed> shares in percent */
    public static function of(Coverage $coverage): array
    {
        return [
            'share' => self::percent($coverage->share),
            'atEnd' => self::percent($coverage->atEnd),
            'counted' => $coverage->counted,
            'gaps' => array_map(self::gap(...), $coverage->gaps),
            'ahead' => array_map(self::gap(...), $coverage->ahead),
            'never' => array_map(static fn (Fault $f): mixed => $f->title, $coverage->never),
            'passing' => count($coverage->passing),
        ];
    }

    /** Rounded down: 100 stands only where nothing is left. */
    public static function percent(float $share): float
    {
        return floor(1000.0 * $share + 1.0e-6) / 10.0;
    }

    /** @return array<string, mixed> */
    private static function gap(Gap $gap): array
    {
        return [
            'entry' => $gap->faults[0]->entry,
            'title' => $gap->faults[0]->name,
            'places' => count($gap->faults),
            'named' => array_map(
                static fn (Fault $f): mixed => $f->title,
                array_slice($gap->faults, 0, self::MOST_NAMED),
            ),
            'share' => round(100.0 * $gap->share, 2),
            'cheapest' => $gap->cheapest === null
                    ? null
                    : [
                        'item' => $gap->cheapest->key,
                        'step' => $gap->cheapest->step,
                        'call' => $gap->cheapest->call?->value,
                        'says' => $gap->cheapest->says,
                        'minutes' => $gap->cheapest->minutes,
                    ],
        ];
    }
}
