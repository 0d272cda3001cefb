<?php

declare(strict_types=1);

namespace Unionbit\Core\Job\Interview\Ask;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\Interview\Question;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Unit;

/** The 24 V supplies: ratings, line and tap, bonding, the fuse. */
final class Supply
{
    /** @return list<Question> */
    public static function all(): array
    {
        $section = Message::of('job.questions.supply');
        $two = static fn (Installation $h): bool => $h->answers->is('supplies', '2') ||
            count($h->archetype->supplies()) > 1;

        return [
            Question::choice(
                'supplies',
                $section,
                Message::of('job.questions.how-many-24-v-supplies'),
                Message::of('job.questions.look-at-equipment-switch-one'),
                [
                    '1' => Message::of('job.questions.one-transformer'),
                    '2' => Message::of('job.questions.two-transformers'),
                    'millivolt' => Message::of('job.questions.none-only-millivolts-dc'),
                ],
            ),
            Question::number(
                'transformerVa',
                $section,
                Message::of('job.questions.transformer-rating'),
                Message::of('job.questions.from-plate'),
                Unit::VoltAmps,
                10,
                200,
            ),
            Question::number(
                'lineVolts',
                $section,
                Message::of('job.questions.line-volts'),
                Message::of('job.questions.measured-at-transformers-line-leads'),
                Unit::Volts,
                90,
                300,
            ),
            Question::number(
                'tapVolts',
                $section,
                Message::of('job.questions.primary-tap-in-use'),
                Message::of('job.questions.lead-connected'),
                Unit::Volts,
                90,
                300,
            ),
            Question::choice(
                'commonBonded',
                $section,
                Message::of('job.questions.common-bonded-cabinet'),
                Message::of('job.questions.lead-from-c-sheet-metal'),
                ['yes' => Message::of('job.questions.yes'), 'no' => Message::of('job.questions.no')],
            ),
            Question::choice(
                'secondBonded',
                $section,
                Message::of('job.questions.second-transformers-common-bonded'),
                Message::of('job.questions.in-own-cabinet'),
                ['yes' => Message::of('job.questions.yes'), 'no' => Message::of('job.questions.no')],
                $two,
            ),
            Question::choice(
                'secondPhase',
                $section,
                Message::of('job.questions.two-in-phase'),
                Message::of('job.questions.only-where-both-commons-bonded'),
                [
                    'in' => Message::of('job.questions.in-phase'),
                    'out' => Message::of('job.questions.out-phase'),
                    'unknown' => Message::of('job.questions.cannot-be-told'),
                ],
                $two,
            ),
            Question::number(
                'fuseAmps',
                $section,
                Message::of('job.questions.fuse-in-place'),
                Message::of('job.questions.read-from-fuse-itself'),
                Unit::Amps,
                0,
                30,
            ),
            Question::number(
                'fuseMarked',
                $section,
                Message::of('job.questions.fuse-board-calls-for'),
                Message::of('job.questions.printed-beside-holder'),
                Unit::Amps,
                0.5,
                30,
            ),
            Question::choice(
                'fuseState',
                $section,
                Message::of('job.questions.fuse-holder-as-found'),
                Message::of('job.questions.bridged-or-foil-wrapped-fuse'),
                [
                    'good' => Message::of('job.questions.sound-fuse'),
                    'bridged' => Message::of('job.questions.bridged-or-wrapped'),
                    'none' => Message::of('job.questions.no-fuse-at-all'),
                ],
            ),
        ];
    }
}
