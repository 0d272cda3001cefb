<?php

declare(strict_types=1);

namespace Unionbit\Core\Job\Interview\Ask;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\Interview\Question;
use Unionbit\Core\Words\Message;

/** What stands in the line between a call and its load. */
final class InTheLine
{
    /** @return list<Question> */
    public static function all(): array
    {
        $section = Message::of('job.questions.in-line');
        $outdoor = Asked::withOutdoorUnit();

        return [
            Question::choice(
                'floats',
                $section,
                Message::of('job.questions.float-or-overflow-switches'),
                Message::of('job.questions.in-drain-pan-or-drain'),
                ['none' => Message::of('job.questions.none'), 'some' => Message::of('job.questions.yes')],
                $outdoor,
            ),
            Question::choice(
                'fanJumper',
                $section,
                Message::of('job.questions.units-own-gas-electric-fan'),
                Message::of('job.questions.must-agree-with-thermostats-fan'),
                [
                    'gas' => Message::of('job.questions.on-gas-unit-runs-fan'),
                    'electric' => Message::of('job.questions.on-electric-thermostat-runs'),
                    'none' => Message::of('job.questions.there-none'),
                ],
                Asked::where('heatSource', 'gas', 'oil', 'electric'),
            ),
            Question::choice(
                'phases',
                $section,
                Message::of('job.questions.phases-outdoors'),
                Message::of('job.questions.three-lugs-and-plate-says-3'),
                [
                    'single' => Message::of('job.questions.one'),
                    'three' => Message::of('job.questions.three'),
                ],
                $outdoor,
            ),
            Question::choice(
                'legs',
                $section,
                Message::of('job.questions.which-legs-contactor-opens'),
                Message::of('job.questions.one-pole-leaves-leg-live'),
                [
                    'all' => Message::of('job.questions.every-leg'),
                    'one' => Message::of('job.questions.one-stays-live'),
                ],
                $outdoor,
            ),
            Question::ticks(
                'outdoorScrews',
                $section,
                Message::of('job.questions.screws-at-outdoor-unit'),
                Message::of('job.questions.what-own-board-prints'),
                self::letters('R', 'C', 'Y', 'Y2', 'O', 'B', 'W', 'L'),
                $outdoor,
            ),
            Question::choice(
                'defrostW',
                $section,
                Message::of('job.questions.where-does-outdoor-w-go'),
                Message::of('job.questions.in-defrost-calls-indoor-heat'),
                [
                    'spliced' => Message::of('job.questions.indoor-heat-input'),
                    'open' => Message::of('job.questions.nowhere'),
                    'no-screw' => Message::of('job.questions.has-no-w'),
                ],
                static fn (Installation $h): bool => $h->answers->is('outdoor', 'reverses') &&
                    ! $h->answers->is('heatSource', 'none'),
            ),
            Question::choice(
                'cocks',
                $section,
                Message::of('job.questions.cocks-and-valves-open'),
                Message::of('job.questions.gas-cock-oil-valve-hand-valves'),
                [
                    'open' => Message::of('job.questions.all-open'),
                    'closed' => Message::of('job.questions.one-is-closed'),
                ],
                Asked::where('heatSource', 'gas', 'oil', 'coil', 'boiler'),
            ),
            Question::choice(
                'shedding',
                $section,
                Message::of('job.questions.load-shedding-relay-zone-panel'),
                Message::of('job.questions.zone-panel-then-equipment-survey'),
                [
                    'none' => Message::of('job.questions.none'),
                    'shed' => Message::of('job.questions.load-shedding-relay-in-y'),
                    'panel' => Message::of('job.questions.zone-panel'),
                    'kit' => Message::of('job.questions.add-on-kit'),
                ],
            ),
        ];
    }

    /** @return array<string, Message> screws, by their letters */
    private static function letters(string ...$letters): array
    {
        return array_combine($letters, array_map(Message::raw(...), $letters));
    }
}
