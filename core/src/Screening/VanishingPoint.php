<?php

declare(strict_types=1);

namespace Unionbit\Core\Screening;

use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Point\At;
use Unionbit\Core\Point\Lead;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Rule\SurveyReading;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;

/**
 * The three-place rule: follow the supply from the transformer to the board, the wall and the outdoor unit, and where
 * the voltage first vanishes the fault lies between that place and the one before.
 */
final class VanishingPoint
{
    /** A supply is there above this; below it is gone, whatever a ghost shows. */
    private const THERE = 18.0;

    private const GONE = 5.0;

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
                return self::vanished($place, $value, $before);
            }
            $before = $value >= self::THERE ? [$place, $value] : $before;
        }

        return count($volts) > 1
            ? Finding::of(
                '3P',
                Severity::Good,
                Message::of(
                    'screening.vanishing-point.supply-reaches',
                    places: array_map(self::place(...), array_keys($volts)),
                ),
                Message::of('screening.vanishing-point.nothing-vanishes-on-way'),
                Message::of('screening.vanishing-point.nothing-do'),
            )
            : null;
    }

    /**
     * @return array<string, list<array{string, string}>> pairs of points that read the supply, by place, from its
     *     source on
     */
    private static function way(Installation $house): array
    {
        $first = $house->archetype->transformers[0];
        $outdoor = $house->outdoorCable()->to ?? Place::Outdoor;
        $to = static fn (Place $place, string $common, string ...$hots): array => array_map(
            static fn (string $hot): array => [At::screw($place, $hot)->id, At::screw($place, $common)->id],
            array_values($hots),
        );

        return [
            'transformer' => [[At::lead($first->id, Lead::Winding)->id, $first->common]],
            'board' => [[$first->hot, $first->common]],
            'wall' => $to(Place::Wall, 'C', 'R', 'Rc', 'Rh'),
            'outdoor unit' => $to($outdoor, 'C', 'R', 'Y', 'Y1'),
        ];
    }

    /** @param  ?array{string, float}  $before  the last place where it was there, and its volts */
    private static function vanished(string $place, float $volts, ?array $before): Finding
    {
        $here = ['volts' => Quantity::volts($volts), 'place' => self::place($place)];
        if ($before === null) {
            return Finding::of(
                '3P',
                Severity::Warning,
                Message::of('screening.vanishing-point.at', ...$here),
                $place === 'transformer'
                    ? Message::of('screening.vanishing-point.vanishes', between: $place)
                    : Message::of('screening.vanishing-point.nothing-read-before'),
                $place === 'transformer'
                    ? Message::of('screening.vanishing-point.read-line-at-primary-with')
                    : Message::of('screening.vanishing-point.read-place-before-one-towards'),
            );
        }

        return Finding::of(
            '3P',
            Severity::Warning,
            Message::of(
                'screening.vanishing-point.at-against',
                ...[...$here, 'before' => Quantity::volts($before[1]), 'there' => self::place($before[0])],
            ),
            Message::of('screening.vanishing-point.vanishes', between: $place),
            Message::of(
                'screening.vanishing-point.look-between',
                before: self::place($before[0]),
                place: self::place($place),
            ),
        );
    }

    private static function place(string $place): Message
    {
        return Message::of('screening.vanishing-point.place', place: $place);
    }
}
