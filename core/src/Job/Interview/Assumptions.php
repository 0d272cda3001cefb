<?php

declare(strict_types=1);

namespace Unionbit\Core\Job\Interview;

use Unionbit\Core\Equipment\Heat\HeatSource;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\LinkState;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/**
 * What a plan from an unfinished survey rests on without anybody having looked: it is provisional until these are
 * known.
 */
final class Assumptions
{
    /** @return list<Message> */
    public static function of(Installation $house, bool $supplyMeasured): array
    {
        $facts = $house->facts;
        $assumed = $house->equipmentSeen()
            ? []
            : [Message::of('job.assumptions.equipment', title: $house->archetype->title)];
        foreach ($house->wallConductors() as $conductor) {
            if (! $conductor->isSpare() && ! $conductor->evidence->isProof()) {
                $assumed[] = Message::of(
                    'job.assumptions.goes-from',
                    conductor: $conductor->name(),
                    near: $conductor->near->label(),
                    far: $conductor->far->label(),
                    evidence: $conductor->evidence->label(),
                );
            }
        }
        array_push($assumed, ...self::ofSupplies($house), ...self::ofOptions($house));
        $checks = [
            [$facts->plateLink === LinkState::Unknown, Message::of('job.assumptions.old-plates-link-not-looked')],
            [! $supplyMeasured, Message::of('job.assumptions.r-c-there-at-board')],
            [
                $house->archetype->coolStages > 0 && ($house->outdoorCable()->conductors ?? []) === [],
                Message::of('job.assumptions.outdoor-pair-wired-as-usual'),
            ],
            [
                count($house->archetype->supplies()) > 1 && $facts->secondPhase === 'unknown',
                Message::of('job.assumptions.how-two-transformers-stand-each'),
            ],
            [
                $house->archetype->coolStages > 0 && Interview::answer($house, 'floats') === null,
                Message::of('job.assumptions.no-float-switch-in-line'),
            ],
            ...self::ofWater($house),
        ];
        foreach ($checks as [$open, $words]) {
            if ($open) {
                $assumed[] = $words;
            }
        }

        return $assumed;
    }

    /** @return list<array{bool, Message}> what decides which calls fill a pan, where a switch watches one */
    private static function ofWater(Installation $house): array
    {
        $watched = $house->facts->floats() !== [];
        $gas = $house->archetype->heatSource === HeatSource::Gas;
        $stages = $house->archetype->coolStages > 1;

        return [
            [
                $watched && $gas && $house->answers->choice('condensing') === null,
                Message::of('job.assumptions.heat-makes-no-water'),
            ],
            [
                $watched && $stages && $house->answers->choice('compressors') === null,
                Message::of('job.assumptions.each-compressor-makes-water'),
            ],
        ];
    }

    /** @return list<Message> what stands for the figures of each supply that nobody has read */
    private static function ofSupplies(Installation $house): array
    {
        $assumed = [];
        foreach ($house->transformers() as $index => $supply) {
            $facts = $house->facts->ofSupply($supply->id, $index === 0);
            $checks = [
                [
                    $facts->lineVolts,
                    Message::of(
                        'job.assumptions.line-not-measured',
                        line: Quantity::of($supply->lineVolts, Unit::Volts),
                    ),
                ],
                [
                    $facts->tapVolts,
                    Message::of(
                        'job.assumptions.tap-in-use-not-looked',
                        tap: Quantity::of($supply->tapVolts, Unit::Volts),
                    ),
                ],
                [
                    $facts->transformerVa,
                    Message::of(
                        'job.assumptions.transformer-gives-taken-from-equipments',
                        ratingVa: Quantity::of($supply->ratingVa, Unit::VoltAmps),
                    ),
                ],
                [
                    $facts->fuseAmps,
                    $supply->fuseAmps === null
                        ? Message::of('job.assumptions.there-no-fuse-not-looked')
                        : Message::of(
                            'job.assumptions.fuse-taken-from-equipments-kind',
                            fuseAmps: Quantity::of($supply->fuseAmps, Unit::Amps),
                        ),
                ],
            ];
            if ($index > 0 && $supply->aside) {
                $checks[] = [null, Message::of('job.assumptions.common-not-bonded')];
            }
            foreach ($checks as [$known, $words]) {
                if ($known === null) {
                    $assumed[] =
                        $index === 0
                            ? $words
                            : Message::of('job.assumptions.of-supply', id: $supply->id, what: $words);
                }
            }
        }

        return $assumed;
    }

    /** @return list<Message> the options of its units that nobody has looked at, as they are taken to be */
    private static function ofOptions(Installation $house): array
    {
        $assumed = [];
        foreach ($house->equipmentSeen() ? $house->archetype->options : [] as $option) {
            $question = $option->asks === null ? null : Questions::named($option->asks);
            if ($question?->isAskedOf($house) === true && Interview::answer($house, $question->key) === null) {
                $assumed[] = Message::of(
                    'job.assumptions.option',
                    unit: Message::named('unit', $option->unit),
                    what: Message::of('equipment.option', of: $option->key, choice: $option->choice),
                );
            }
        }

        return $assumed;
    }

    /** @return list<Conductor> pairings that are to be traced, with somebody at each end */
    public static function toTrace(Installation $house): array
    {
        return array_values(
            array_filter(
                $house->wallConductors(),
                static fn (Conductor $c): bool => ! $c->isSpare() && ! $c->evidence->isProof(),
            ),
        );
    }
}
