<?php

declare(strict_types=1);

namespace Unionbit\Core\Job\Interview;

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
        $assumed = [];
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
        $transformer = $house->transformers()[0] ?? null;
        $checks = [
            [
                $facts->lineVolts === null,
                Message::of('job.assumptions.line-not-measured', line: Quantity::of($facts->line(), Unit::Volts)),
            ],
            [
                $facts->tapVolts === null,
                Message::of('job.assumptions.tap-in-use-not-looked', tap: Quantity::of($facts->tap(), Unit::Volts)),
            ],
            [
                $facts->transformerVa === null,
                Message::of(
                    'job.assumptions.transformer-gives-taken-from-equipments',
                    ratingVa: Quantity::of($transformer->ratingVa ?? 40.0, Unit::VoltAmps),
                ),
            ],
            [
                $facts->fuseAmps === null,
                $transformer?->fuseAmps === null
                    ? Message::of('job.assumptions.there-no-fuse-not-looked')
                    : Message::of(
                        'job.assumptions.fuse-taken-from-equipments-kind',
                        fuseAmps: Quantity::of($transformer->fuseAmps, Unit::Amps),
                    ),
            ],
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
        ];
        foreach ($checks as [$open, $words]) {
            if ($open) {
                $assumed[] = $words;
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
