<?php

declare(strict_types=1);

namespace Unionbit\Core\Job\Interview;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\LinkState;
use Unionbit\Core\Wiring\Conductor;

/** What a plan from an unfinished survey rests on without anybody having looked: it is provisional until these are known. */
final class Assumptions
{
    /** @return list<string> */
    public static function of(Installation $house, bool $supplyMeasured): array
    {
        $facts = $house->facts;
        $assumed = [];
        foreach ($house->wallCable()->conductors ?? [] as $conductor) {
            if (! $conductor->isSpare() && ! $conductor->evidence->isProof()) {
                $assumed[] = "{$conductor->name()} goes from {$conductor->near->label()} to {$conductor->far->label()}: {$conductor->evidence->label()}";
            }
        }
        $transformer = $house->transformers()[0] ?? null;
        $checks = [
            [$facts->lineVolts === null, sprintf('the line is %g V: not measured', $facts->line())],
            [$facts->tapVolts === null, sprintf('the %g V tap is in use: not looked at', $facts->tap())],
            [
                $facts->transformerVa === null,
                sprintf(
                    'the transformer gives %g VA: taken from the equipment\'s kind',
                    $transformer->ratingVa ?? 40.0,
                ),
            ],
            [
                $facts->fuseAmps === null,
                $transformer?->fuseAmps === null
                    ? 'there is no fuse: not looked at'
                    : sprintf('the fuse is %g A: taken from the equipment\'s kind', $transformer->fuseAmps),
            ],
            [$facts->plateLink === LinkState::Unknown, 'the old plate\'s link: not looked at'],
            [! $supplyMeasured, 'R–C is there at the board: not measured'],
            [
                $house->archetype->coolStages > 0 && ($house->outdoorCable()->conductors ?? []) === [],
                'the outdoor pair is wired as usual: not seen',
            ],
            [
                count($house->archetype->transformers) > 1 && $facts->secondPhase === 'unknown',
                'how the two transformers stand to each other: not known',
            ],
            [
                $house->archetype->coolStages > 0 && Interview::answer($house, 'floats') === null,
                'no float switch in the line: not looked for',
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
                $house->wallCable()->conductors ?? [],
                static fn (Conductor $c): bool => ! $c->isSpare() && ! $c->evidence->isProof(),
            ),
        );
    }
}
