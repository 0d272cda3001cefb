<?php

declare(strict_types=1);

namespace Unionbit\Core\Job\Interview\Ask;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\Interview\Question;
use Unionbit\Core\Words\Message;

/** What heats and what moves the air indoors, and how each is driven. */
final class Indoors
{
    /** @return list<Question> */
    public static function all(): array
    {
        $cools = Asked::withOutdoorUnit();
        $section = Message::of('job.questions.what');

        return [
            Question::choice(
                'heatSource',
                $section,
                Message::of('job.questions.what-heats-indoors'),
                Message::of('job.questions.look-at-unit-not-at'),
                [
                    'gas' => Message::of('job.questions.gas-furnace'),
                    'oil' => Message::of('job.questions.oil-furnace'),
                    'electric' => Message::of('job.questions.electric-strips'),
                    'coil' => Message::of('job.questions.hot-water-coil-in-air'),
                    'boiler' => Message::of('job.questions.boiler-or-zone-valve-radiators'),
                    'line' => Message::of('job.questions.baseboard-on-line-voltage'),
                    'none' => Message::of('job.questions.nothing'),
                ],
            ),
            Question::choice(
                'heatStages',
                $section,
                Message::of('job.questions.heat-stages-indoors'),
                Message::of('job.questions.two-heat-inputs-on-board'),
                ['1' => Message::of('job.questions.one'), '2' => Message::of('job.questions.two')],
                Asked::where('heatSource', 'gas', 'oil', 'electric'),
            ),
            Question::choice(
                'condensing',
                $section,
                Message::of('job.questions.does-furnace-condense'),
                Message::of('job.questions.plastic-vent-and-drain'),
                ['no' => Message::of('job.questions.no'), 'yes' => Message::of('job.questions.yes')],
                Asked::where('heatSource', 'gas'),
            ),
            Question::choice(
                'eGoes',
                $section,
                Message::of('job.questions.where-does-boards-e-go'),
                Message::of('job.questions.e-emergency-heat-may-be'),
                [
                    'none' => Message::of('job.questions.no-e-on-board'),
                    'tied' => Message::of('job.questions.tied-w-inside'),
                    'relay' => Message::of('job.questions.own-relay'),
                ],
                static fn (Installation $h): bool => $h->answers->is('outdoor', 'reverses') &&
                    $h->answers->is('heatSource', 'electric'),
            ),
            Question::choice(
                'fanCoil',
                $section,
                Message::of('job.questions.what-drives-fan-valve-water'),
                Message::of('job.questions.line-voltage-fan-speeds-or'),
                [
                    '24v' => Message::of('job.questions.24-v-valve-or-circulator'),
                    'line' => Message::of('job.questions.line-voltage-fan-speeds-or-2'),
                ],
                Asked::where('heatSource', 'coil'),
            ),
            Question::choice(
                'zoneValve',
                $section,
                Message::of('job.questions.how-zone-valve-wired'),
                Message::of('job.questions.three-wires-drive-open-shut'),
                [
                    'two' => Message::of('job.questions.two-wires-with-or-without'),
                    'three' => Message::of('job.questions.three-wires-power-open-power'),
                    'relay' => Message::of('job.questions.three-wires-isolating-relay-planned'),
                ],
                Asked::where('heatSource', 'boiler'),
            ),
            Question::choice(
                'bus',
                $section,
                Message::of('job.questions.communicating-system'),
                Message::of('job.questions.bus-labels-or-only-three'),
                [
                    'no' => Message::of('job.questions.no'),
                    'yes' => Message::of('job.questions.yes-stays-communicating'),
                    'convert' => Message::of('job.questions.yes-both-boards-accept-24'),
                ],
                $cools,
            ),
            Question::choice(
                'heatBoard',
                $section,
                Message::of('job.questions.what-does-w-go-to'),
                Message::of('job.questions.follow-w-inside-the-furnace'),
                [
                    'board' => Message::of('job.questions.control-board-or-ignition'),
                    'valve' => Message::of('job.questions.gas-valve-through-limit'),
                ],
                static fn (Installation $h): bool => $h->answers->is('outdoor', 'none') &&
                    $h->answers->is('heatSource', 'gas'),
            ),
            Question::choice(
                'fanCentre',
                $section,
                Message::of('job.questions.was-fan-centre-added-for'),
                Message::of('job.questions.transformer-fan-relay-in-one'),
                ['no' => Message::of('job.questions.no'), 'yes' => Message::of('job.questions.yes')],
                static fn (Installation $h): bool => $h->answers->is('outdoor', 'cools') &&
                    $h->answers->is('heatSource', 'gas', 'oil'),
            ),
            Question::choice(
                'coolAir',
                $section,
                Message::of('job.questions.what-moves-air-for-cooling'),
                Message::of('job.questions.coil-on-furnace-or-elsewhere'),
                [
                    'furnace' => Message::of('job.questions.furnaces-blower'),
                    'own' => Message::of('job.questions.air-handler-of-its-own'),
                ],
                static fn (Installation $h): bool => $h->answers->is('outdoor', 'cools') &&
                    $h->answers->is('heatSource', 'gas', 'oil') &&
                    ! $h->answers->is('fanCentre', 'yes'),
            ),
        ];
    }
}
