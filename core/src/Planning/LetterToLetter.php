<?php

declare(strict_types=1);

namespace Unionbit\Core\Planning;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Thermostat\Meaning;
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
        if ($profile->outputs === Place::Module) {
            return self::moduleLanding($installation);
        }
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

    /** Outputs at the equipment: the old wall conductors carry no call and are capped at both ends (MR20). */
    private static function moduleLanding(Installation $installation): Landing
    {
        $ends = [];
        foreach ($installation->wallCable()->conductors ?? [] as $conductor) {
            $ends[$conductor->number] = End::free(EndState::Capped);
        }

        return new Landing($ends, $ends, true);
    }

    private static function screwFor(Conductor $conductor, Installation $installation, Profile $profile): ?string
    {
        $name = $installation->meaning($conductor);
        if ($name === null) {
            return null;
        }
        if ($name === TerminalName::R) {
            return $profile->mainHot()?->printed;
        }

        return $profile->serving(Meaning::of($name, $installation->archetype))?->printed;
    }
}
