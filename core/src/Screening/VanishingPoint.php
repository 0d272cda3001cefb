<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening;

use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;

/**
 * The three-place rule: follow the supply from the transformer to the board, the wall and the outdoor unit, and where
 * the voltage first vanishes the fault lies between that place and the one before.
 */
final class VanishingPoint
{
    /** A supply is there above this; below it is gone, whatever a ghost shows. */
    private const THERE = 18.0;

    private const GONE = 5.0;

    /** What lies between a place and the one before it. */
    private const BETWEEN = [
        'transformer' => 'the line, the primary or the transformer itself',
        'board' => 'the fuse, or the leads from the transformer to the board',
        'wall' => 'the wall cable: R or C open, or a splice between',
        'outdoor unit' => 'the outdoor cable, or a switch in its line',
    ];

    /**
     * @param  list<SurveyReading>  $readings in the order they were taken; a later one of the same place counts
     */
    public static function find(Installation $house, array $readings): ?Finding
    {
        $volts = [];
        foreach (self::way($house) as $place => $pairs) {
            foreach ($readings as $reading) {
                if (
                    $reading->mode === MeterMode::Volts &&
                    array_filter(
                        $pairs,
                        static fn (array $p): bool => $p === [$reading->a, $reading->b] ||
                            $p === [$reading->b, $reading->a],
                    ) !== []
                ) {
                    $volts[$place] = $reading->value ?? 0.0;
                }
            }
        }
        $before = null;
        foreach ($volts as $place => $value) {
            if ($value < self::GONE) {
                return Finding::of(
                    '3P',
                    Severity::Warning,
                    sprintf('%.1f V at the %s', $value, $place).
                        ($before === null ? '' : ", {$before[1]} V at the {$before[0]}"),
                    'Here the voltage first vanishes: '.
                        ($before === null && $place !== 'transformer'
                            ? 'nothing nearer the transformer was read yet'
                            : self::BETWEEN[$place]).
                        '.',
                    $before === null
                        ? ($place === 'transformer'
                            ? 'Read the line at the primary, with the licence that takes.'
                            : 'Read the place before this one, towards the transformer.')
                        : "Look between {$before[0]} and {$place}.",
                );
            }
            $before = $value >= self::THERE ? [$place, $value] : $before;
        }

        return count($volts) > 1
            ? Finding::of(
                '3P',
                Severity::Good,
                'The supply reaches '.implode(' and ', array_keys($volts)),
                'Nothing vanishes on the way.',
                'Nothing to do.',
            )
            : null;
    }

    /** @return array<string, list<array{string, string}>> pairs of points that read the supply, by place, from its source on */
    private static function way(Installation $house): array
    {
        $first = $house->archetype->transformers[0];

        return [
            'transformer' => [["{$first->id}.winding", $first->common]],
            'board' => [[$first->hot, $first->common]],
            'wall' => [['wall.R', 'wall.C'], ['wall.Rc', 'wall.C'], ['wall.Rh', 'wall.C']],
            'outdoor unit' => [['outdoor.R', 'outdoor.C'], ['outdoor.Y', 'outdoor.C'], ['outdoor.Y1', 'outdoor.C']],
        ];
    }
}
