<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Terminal\Vocabulary;
use Unionbit\Core\Thermostat\Profile;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\End;
use Unionbit\Core\Wiring\EndState;
use Unionbit\Core\Wiring\Landing;

/**
 * The plainest landing: each conductor on the screw that its equipment end calls for (MR01), R on the main hot
 * with the link in on one transformer (MR02), what has no screw capped (MR04, MR08, MR14).
 */
final class LetterToLetter
{
    public static function landing(Installation $installation, Profile $profile): Landing
    {
        $wall = [];
        $taken = [];
        foreach ($installation->wallCable()->conductors ?? [] as $conductor) {
            $screw = self::screwFor($conductor, $installation, $profile);
            if ($screw !== null && ! isset($taken[$screw])) {
                $wall[$conductor->number] = End::landed($screw);
                $taken[$screw] = true;
            } else {
                $wall[$conductor->number] = End::free($conductor->near->state === EndState::CutShort ? EndState::CutShort : EndState::Capped);
            }
        }

        return new Landing($wall, [], count($installation->archetype->transformers) === 1);
    }

    private static function screwFor(Conductor $conductor, Installation $installation, Profile $profile): ?string
    {
        $letter = $conductor->far->terminal;
        if ($letter === null) {
            return null;
        }
        $name = Vocabulary::resolve($letter, Place::Indoor, $installation->archetype->reverses)->name;
        if ($name === null) {
            return null;
        }
        if ($name === TerminalName::R) {
            return $profile->mainHot()?->printed;
        }

        return $profile->named($name)?->printed;
    }
}
