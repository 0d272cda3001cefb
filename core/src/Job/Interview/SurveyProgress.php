<?php

declare(strict_types=1);

namespace Unionbit\Core\Job\Interview;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\LinkState;
use Unionbit\Core\Job\Suggest\EquipmentMatch;
use Unionbit\Core\Wiring\Conductor;

/** What a survey still needs before a plan can rest on it. */
final class SurveyProgress
{
    /** @return list<array{key: string, label: string, done: bool}> */
    public static function items(Installation $installation, bool $supplyMeasured): array
    {
        $facts = $installation->facts;
        $wall = $installation->wallCable()->conductors ?? [];
        $unproved = array_filter($wall, static fn (Conductor $c): bool => ! $c->isSpare() && ! $c->evidence->isProof());
        $outdoor =
            $installation->archetype->coolStages === 0 || ($installation->outdoorCable()->conductors ?? []) !== [];

        $open = EquipmentMatch::of($installation->answers, [])->open;
        $items = [
            [
                'equipment',
                $open === []
                    ? 'What the equipment is'
                    : 'What the equipment is: '.count($open).' '.(count($open) === 1 ? 'question' : 'questions'),
                $open === [],
            ],
            ['conductors', 'Conductors at the wall', count($wall) >= 2],
            [
                'pairings',
                $unproved === []
                    ? 'Both ends of each known'
                    : 'Trace '.implode(', ', array_map(static fn (Conductor $c): string => $c->name(), $unproved)),
                $wall !== [] && $unproved === [],
            ],
            ['outdoor', 'Outdoor pair', $outdoor],
            ['link', 'Rc–Rh link on the old plate', $facts->plateLink !== LinkState::Unknown],
            ['transformer', 'Transformer rating', $facts->transformerVa !== null],
            ['fuse', 'Fuse rating', $facts->fuseAmps !== null],
            ['line', 'Line volts and tap', $facts->lineVolts !== null && $facts->tapVolts !== null],
            ['supply', 'R–C reading at the board', $supplyMeasured],
            ['supplies', 'How many 24 V supplies', $installation->answers->choice('supplies') !== null],
            ['old-power', 'What the old thermostat ran on', $facts->oldPower !== null],
        ];

        return array_map(
            static fn (array $item): array => ['key' => $item[0], 'label' => $item[1], 'done' => $item[2]],
            $items,
        );
    }
}
