<?php

declare(strict_types=1);

namespace Unionbit\Core\Job\Interview\Ask;

use Unionbit\Core\Job\Interview\Question;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Unit;

/** What the nameplates say. */
final class Nameplates
{
    /** @return list<Question> */
    public static function all(): array
    {
        $section = Message::of('job.questions.nameplates');
        $outdoor = Asked::withOutdoorUnit();

        return [
            Question::choice(
                'indoorPlate',
                $section,
                Message::of('job.questions.what-does-indoor-plate-say'),
                Message::of('job.questions.plate-on-box-counts-shared'),
                [
                    'cools' => Message::of('job.questions.cooling-only'),
                    'reverses' => Message::of('job.questions.heat-pump-2'),
                    'silent' => Message::of('job.questions.says-nothing'),
                ],
                $outdoor,
            ),
            Question::text(
                'outdoorModel',
                $section,
                Message::of('job.questions.outdoor-model-number'),
                Message::of('job.questions.two-or-three-digits-often'),
                $outdoor,
            ),
            Question::number(
                'outdoorTons',
                $section,
                Message::of('job.questions.outdoor-capacity'),
                Message::of('job.questions.nominal-tons-btu-h-12'),
                Unit::Tons,
                0.5,
                10,
                $outdoor,
            ),
            Question::number(
                'indoorTons',
                $section,
                Message::of('job.questions.indoor-coil-capacity'),
                Message::of('job.questions.nominal-tons-from-indoor-plate'),
                Unit::Tons,
                0.5,
                10,
                $outdoor,
            ),
        ];
    }
}
