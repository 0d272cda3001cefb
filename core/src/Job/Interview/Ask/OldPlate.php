<?php

declare(strict_types=1);

namespace Unionbit\Core\Job\Interview\Ask;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\Interview\Question;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Unit;

/** The old thermostat and the wall behind it. */
final class OldPlate
{
    /** @return list<Question> */
    public static function all(): array
    {
        $section = Message::of('job.questions.old-plate');

        return [
            Question::choice(
                'wire',
                $section,
                Message::of('job.questions.what-wall-cable-made'),
                Message::of('job.questions.thick-conductors-under-wire-connectors'),
                [
                    'solid' => Message::of('job.questions.solid-thermostat-wire'),
                    'stranded' => Message::of('job.questions.stranded'),
                    'telephone' => Message::of('job.questions.telephone-or-speaker-wire'),
                    'thick' => Message::of('job.questions.thick-under-wire-connectors'),
                ],
            ),
            Question::choice(
                'plateLink',
                $section,
                Message::of('job.questions.rc-rh-link-on-old'),
                Message::of('job.questions.jumper-slide-or-factory-link'),
                [
                    'in' => Message::of('job.questions.link-in'),
                    'out' => Message::of('job.questions.link-out'),
                    'none' => Message::of('job.questions.one-r-screw-no-link'),
                    'unknown' => Message::of('job.questions.not-looked-at'),
                ],
            ),
            Question::choice(
                'oldPower',
                $section,
                Message::of('job.questions.what-did-old-thermostat-run'),
                Message::of('job.questions.tells-whether-display-can-die'),
                [
                    'battery' => Message::of('job.questions.batteries'),
                    'common' => Message::of('job.questions.r-c'),
                    'both' => Message::of('job.questions.r-c-and-batteries'),
                    'mechanical' => Message::of('job.questions.nothing-mechanical'),
                    'unknown' => Message::of('job.questions.cannot-tell'),
                ],
            ),
            Question::choice(
                'oldSwitches',
                $section,
                Message::of('job.questions.where-are-its-switches'),
                Message::of('job.questions.each-call-can-be-proved-as-found'),
                [
                    'base' => Message::of('job.questions.in-the-base'),
                    'face' => Message::of('job.questions.in-the-face'),
                    'receiver' => Message::of('job.questions.in-a-receiver'),
                    'unknown' => Message::of('job.questions.cannot-tell'),
                ],
            ),
            Question::choice(
                'display',
                $section,
                Message::of('job.questions.display-now'),
                Message::of('job.questions.blank-on-batteries-batteries-first'),
                ['on' => Message::of('job.questions.on'), 'blank' => Message::of('job.questions.blank')],
                static fn (Installation $h): bool => in_array(
                    $h->facts->oldPower,
                    ['battery', 'common', 'both'],
                    true,
                ),
            ),
            Question::number(
                'elsewhere',
                $section,
                Message::of('job.questions.another-wall-position-cable-can'),
                Message::of('job.questions.feet-run-where-one-has'),
                Unit::Feet,
                3,
                300,
                self::isShort(...),
            ),
            Question::text(
                'history',
                $section,
                Message::of('job.questions.who-changed-what-when'),
                Message::of('job.questions.what-worked-since-then-moves'),
            ),
        ];
    }

    /** A wall cable that brings no common and has no spare, or is not fit: where the thermostat could hang matters. */
    private static function isShort(Installation $house): bool
    {
        $cable = $house->wallCable();
        $spare = array_filter(
            $cable->conductors ?? [],
            static fn (Conductor $c): bool => $c->isSpare() || $house->meaning($c) === TerminalName::C,
        );

        return $cable !== null &&
            count($house->wallCables()) === 1 &&
            $cable->conductors !== [] &&
            ($spare === [] ||
                $house->answers->is('wallPlace', 'should') ||
                in_array($cable->kind, ['stranded', 'telephone'], true));
    }
}
