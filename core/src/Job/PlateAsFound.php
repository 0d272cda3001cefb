<?php

declare(strict_types=1);

namespace Unionbit\Core\Job;

use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Terminal\Vocabulary;
use Unionbit\Core\Thermostat\PlateTerminal;
use Unionbit\Core\Thermostat\PowerKind;
use Unionbit\Core\Thermostat\Profile;
use Unionbit\Core\Wiring\Landing;
use Unionbit\Core\Words\Message;

/**
 * The old plate as a thermostat that calls nothing, made from the letters that the survey found, so that the
 * circuit can be asked before anything has been moved.
 */
final class PlateAsFound
{
    public static function profile(Installation $installation): Profile
    {
        $cooling = self::hotFor($installation, TerminalName::Rc);
        $heating = self::hotFor($installation, TerminalName::Rh);

        $terminals = [];
        foreach (self::letters($installation) as $letter) {
            $name = Vocabulary::resolve($letter, Place::Wall, $installation->archetype->reverses)->name;
            if ($name === null) {
                continue;
            }
            $heat = in_array($name, [TerminalName::W1, TerminalName::W2, TerminalName::Aux, TerminalName::E], true);
            $terminals[] = new PlateTerminal(
                $letter,
                $name,
                $name->isCall() ? ($heat ? $heating : $cooling) : null,
                2,
            );
        }
        $link = $cooling !== null && $heating !== null && $cooling !== $heating ? [$cooling, $heating] : null;

        return new Profile(
            id: 'as-found',
            title: Message::of('job.plate-as-found.plate-as-found'),
            terminals: $terminals,
            link: $link,
            linkKind: 'removable',
            heatStages: 1,
            coolStages: 1,
            switchesInFace: true,
            power: PowerKind::Battery,
            powerFrom: null,
            powerVa: 0.0,
            remoteControl: 'none',
            menu: [],
        );
    }

    public static function landing(Installation $installation): Landing
    {
        $wall = [];
        foreach ($installation->wallConductors() as $conductor) {
            $wall[$conductor->id()] = $conductor->near;
        }

        return new Landing($wall, [], $installation->facts->plateLink !== LinkState::Out, $installation->jumpers);
    }

    /** @return list<string> */
    private static function letters(Installation $installation): array
    {
        $letters = [];
        foreach ($installation->wallConductors() as $conductor) {
            if ($conductor->near->terminal !== null) {
                $letters[$conductor->near->terminal] = true;
            }
        }
        if ($installation->facts->plateLink === LinkState::In && ! isset($letters['R'])) {
            $letters += ['Rc' => true, 'Rh' => true];
        }

        return array_map(strval(...), array_keys($letters));
    }

    private static function hotFor(Installation $installation, TerminalName $family): ?string
    {
        $single = null;
        foreach (self::letters($installation) as $letter) {
            $name = Vocabulary::resolve($letter, Place::Wall)->name;
            if ($name === $family) {
                return $letter;
            }
            if ($name?->isHot() === true) {
                $single ??= $letter;
            }
        }

        return $single;
    }
}
