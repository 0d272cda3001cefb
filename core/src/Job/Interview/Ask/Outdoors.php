<?php

declare(strict_types=1);

namespace Unionbit\Core\Job\Interview\Ask;

use Unionbit\Core\Job\Interview\Question;
use Unionbit\Core\Words\Message;

/** What stands outdoors: whether it cools or reverses, by which signs, its stages and its valve. */
final class Outdoors
{
    /** @return list<Question> */
    public static function all(): array
    {
        $cools = Asked::withOutdoorUnit();
        $section = Message::of('job.questions.what');

        return [
            Question::choice(
                'outdoor',
                $section,
                Message::of('job.questions.what-does-outdoor-unit-do'),
                Message::of('job.questions.conductor-on-o-or-b'),
                [
                    'none' => Message::of('job.questions.there-none'),
                    'cools' => Message::of('job.questions.cools-only'),
                    'reverses' => Message::of('job.questions.heat-pump'),
                    'ductless' => Message::of('job.questions.ductless'),
                ],
            ),
            Question::ticks(
                'evidence',
                $section,
                Message::of('job.questions.what-shows-heat-pump'),
                Message::of('job.questions.one-sign-enough-two-agree'),
                [
                    'plate' => Message::of('job.questions.nameplate-says-so'),
                    'valve' => Message::of('job.questions.reversing-valve-accumulator'),
                    'defrost' => Message::of('job.questions.defrost-board-with-r-c'),
                    'conductor' => Message::of('job.questions.conductor-on-o-or-b-2'),
                ],
                Asked::where('outdoor', 'reverses'),
            ),
            Question::choice(
                'coolStages',
                $section,
                Message::of('job.questions.compressor-stages'),
                Message::of('job.questions.two-y-inputs-outdoors-or'),
                ['1' => Message::of('job.questions.one'), '2' => Message::of('job.questions.two')],
                $cools,
            ),
            Question::choice(
                'compressors',
                $section,
                Message::of('job.questions.one-two-stage-compressor-or'),
                Message::of('job.questions.one-two-stage-compressor-not'),
                [
                    'one' => Message::of('job.questions.one-with-two-stages'),
                    'two' => Message::of('job.questions.two-compressors'),
                ],
                Asked::where('coolStages', '2'),
            ),
            Question::choice(
                'valve',
                $section,
                Message::of('job.questions.when-reversing-valve-energised'),
                Message::of('job.questions.from-outdoor-board-never-from'),
                [
                    'O' => Message::of('job.questions.in-cooling-o'),
                    'B' => Message::of('job.questions.in-heating-b'),
                ],
                Asked::where('outdoor', 'reverses'),
            ),
        ];
    }
}
