<?php

declare(strict_types=1);

namespace Unionbit\Core\Job\Suggest;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\LinkState;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Words\Message;

/** What a survey still needs before a plan can rest on it. */
final class SurveyProgress
{
    /** @return list<array{key: string, label: Message, done: bool}> */
    public static function items(Installation $installation, bool $supplyMeasured): array
    {
        $facts = $installation->facts;
        $wall = $installation->wallConductors();
        $unproved = array_filter(
            $wall,
            static fn (Conductor $c): bool => ! $c->isSpare() && ! $c->evidence->isProof(),
        );
        $outdoor =
            $installation->archetype->coolStages === 0 || ($installation->outdoorCable()->conductors ?? []) !== [];

        $open = EquipmentMatch::open($installation->answers);
        $items = [
            [
                'equipment',
                $open === []
                    ? Message::of('job.survey-progress.what-equipment')
                    : Message::of('job.survey-progress.what-equipment-open', count: count($open)),
                $open === [],
            ],
            ['conductors', Message::of('job.survey-progress.conductors-at-wall'), count($wall) >= 2],
            [
                'pairings',
                $unproved === []
                    ? Message::of('job.survey-progress.both-ends-each-known')
                    : Message::of(
                        'job.survey-progress.trace',
                        unproved: array_values(
                            array_map(static fn (Conductor $c): Message => $c->name(), $unproved),
                        ),
                    ),
                $wall !== [] && $unproved === [],
            ],
            ['outdoor', Message::of('job.survey-progress.outdoor-pair'), $outdoor],
            [
                'link',
                Message::of('job.survey-progress.rc-rh-link-on-old'),
                $facts->plateLink !== LinkState::Unknown,
            ],
            ['transformer', Message::of('job.survey-progress.transformer-rating'), $facts->transformerVa !== null],
            ['fuse', Message::of('job.survey-progress.fuse-rating'), $facts->fuseAmps !== null],
            [
                'line',
                Message::of('job.survey-progress.line-volts-tap'),
                $facts->lineVolts !== null && $facts->tapVolts !== null,
            ],
            ['supply', Message::of('job.survey-progress.r-c-reading-at-board'), $supplyMeasured],
            [
                'supplies',
                Message::of('job.survey-progress.how-many-24-v-supplies'),
                $installation->answers->choice('supplies') !== null,
            ],
            ['old-power', Message::of('job.survey-progress.what-old-thermostat-ran-on'), $facts->oldPower !== null],
        ];

        return array_map(
            static fn (array $item): array => ['key' => $item[0], 'label' => $item[1], 'done' => $item[2]],
            $items,
        );
    }
}
