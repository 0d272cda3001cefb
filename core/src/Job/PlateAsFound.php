<?php

declare(strict_types=1);

namespace Unionbit\Core\Job;

use Unionbit\Core\Equipment\EquipmentTerminal;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Terminal\Vocabulary;
use Unionbit\Core\Thermostat\LinkKind;
use Unionbit\Core\Thermostat\Meaning;
use Unionbit\Core\Thermostat\PlateTerminal;
use Unionbit\Core\Thermostat\PowerKind;
use Unionbit\Core\Thermostat\Profile;
use Unionbit\Core\Thermostat\RemoteControl;
use Unionbit\Core\Wiring\End;
use Unionbit\Core\Wiring\EndState;
use Unionbit\Core\Wiring\Landing;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

/**
 * The old plate as a thermostat of this house, made from the letters that the survey found, from what powers it and
 * from where its switches are: the circuit can be asked, and every call proved, before anything has been moved.
 */
final class PlateAsFound
{
    public const ID = 'as-found';

    /** Answers of a question that nobody could answer. */
    private const UNKNOWN = 'unknown';

    /** VA of an old thermostat that runs on R and C, where nobody has measured it; our working figure. */
    private const USUAL_VA = 3.0;

    private const HEAT = [TerminalName::W1, TerminalName::W2, TerminalName::Aux, TerminalName::E];

    public static function profile(Installation $installation): Profile
    {
        $receiver = $installation->facts->oldSwitches === 'receiver';
        $terminals = $receiver ? self::atReceiver($installation) : self::onPlate($installation);
        $hots = array_values(array_filter($terminals, static fn (PlateTerminal $t): bool => $t->name->isHot()));
        $cooling = self::hotFor($installation, TerminalName::Rc);
        $heating = self::hotFor($installation, TerminalName::Rh);
        $link =
            ! $receiver && $cooling !== null && $heating !== null && $cooling !== $heating
                ? [$cooling, $heating]
                : null;
        $has = static fn (TerminalName ...$any): bool => array_any(
            $terminals,
            static fn (PlateTerminal $t): bool => in_array($t->name, $any, true),
        );
        $onC = self::runsOnC($installation, $has(TerminalName::C));

        return new Profile(
            id: self::ID,
            title: Message::of('job.plate-as-found.plate-as-found'),
            terminals: $terminals,
            link: $link,
            linkKind: LinkKind::Removable,
            heatStages: 1 + ($has(TerminalName::W2) ? 1 : 0),
            coolStages: 1 + ($has(TerminalName::Y2) ? 1 : 0),
            switchesInFace: ! $receiver && $installation->facts->oldSwitches !== 'base',
            power: match (true) {
                $installation->facts->oldPower === 'both' => PowerKind::CommonOrBattery,
                $onC => PowerKind::Common,
                default => PowerKind::Battery,
            },
            powerFrom: $onC ? $hots[0]->printed ?? null : null,
            powerVa: $onC ? self::USUAL_VA : 0.0,
            remoteControl: RemoteControl::None,
            menu: [],
            heatPump: $installation->archetype->heatPump !== null,
            outputs: $receiver ? Place::Module : Place::Wall,
            isVaTaken: $onC,
        );
    }

    /**
     * What has to be taken for the old thermostat to be one of this house, each said.
     *
     * @return list<Message>
     */
    public static function assumptions(Installation $installation): array
    {
        $facts = $installation->facts;
        $profile = self::profile($installation);

        return array_values(
            array_filter([
                $facts->oldPower !== self::UNKNOWN
                    ? null
                    : ($profile->powerFrom === null
                        ? Message::of('job.plate-as-found.taken-battery')
                        : Message::of('job.plate-as-found.taken-c')),
                $facts->oldSwitches === self::UNKNOWN ? Message::of('job.plate-as-found.taken-face') : null,
                $facts->oldSwitches === 'receiver' ? Message::of('job.plate-as-found.receiver-letters') : null,
                $profile->isVaTaken
                    ? Message::of(
                        'job.plate-as-found.taken-va',
                        va: Quantity::of($profile->powerVa, Unit::VoltAmps),
                    )
                    : null,
            ]),
        );
    }

    /** Whether enough is known of it to prove calls on it. */
    public static function isKnown(Installation $installation): bool
    {
        return $installation->facts->oldPower !== null &&
            $installation->facts->oldSwitches !== null &&
            self::lacking($installation) === [];
    }

    /**
     * What Survey still has to say before it can be a thermostat of this house, besides what powers it and where it
     * switches.
     *
     * @return list<Message>
     */
    public static function lacking(Installation $installation): array
    {
        $names = array_map(
            static fn (PlateTerminal $t): TerminalName => $t->name,
            self::profile($installation)->terminals,
        );

        return array_values(
            array_filter([
                $installation->equipmentSeen() ? null : Message::of('job.plate-as-found.equipment-not-known'),
                array_any($names, static fn (TerminalName $n): bool => $n->isHot())
                    ? null
                    : Message::of('job.plate-as-found.no-hot'),
                array_any($names, static fn (TerminalName $n): bool => $n->isCall())
                    ? null
                    : Message::of('job.plate-as-found.no-call'),
            ]),
        );
    }

    private static function runsOnC(Installation $installation, bool $hasC): bool
    {
        return $hasC && in_array($installation->facts->oldPower, ['common', 'both', self::UNKNOWN], true);
    }

    /** @return list<PlateTerminal> the letters that hold a conductor */
    private static function onPlate(Installation $installation): array
    {
        $cooling = self::hotFor($installation, TerminalName::Rc);
        $heating = self::hotFor($installation, TerminalName::Rh);
        $terminals = [];
        foreach (self::letters($installation) as $letter) {
            $name = Vocabulary::resolve($letter, Place::Wall, $installation->archetype->reverses)->name;
            if ($name !== null) {
                $hot = in_array($name, self::HEAT, true) ? $heating : $cooling;
                $terminals[] = new PlateTerminal($letter, $name, self::isSwitched($name) ? $hot : null, 2);
            }
        }

        return self::asCalled($installation, $terminals);
    }

    private static function isSwitched(TerminalName $name): bool
    {
        return $name->isCall() || $name === TerminalName::Hum || $name === TerminalName::Deh;
    }

    /**
     * Behind a heat pump a plate's first heat is its auxiliary, whatever is printed.
     *
     * @param  list<PlateTerminal>  $terminals
     * @return list<PlateTerminal>
     */
    private static function asCalled(Installation $installation, array $terminals): array
    {
        $hasAux = array_any($terminals, static fn (PlateTerminal $t): bool => $t->name === TerminalName::Aux);

        return $hasAux
            ? $terminals
            : array_map(
                static fn (PlateTerminal $t): PlateTerminal => new PlateTerminal(
                    $t->printed,
                    Meaning::of($t->name, $installation->archetype),
                    $t->hot,
                    $t->wires,
                    $t->place,
                ),
                $terminals,
            );
    }

    /** @return list<PlateTerminal> letter to letter with the board that the receiver stands at */
    private static function atReceiver(Installation $installation): array
    {
        $terminals = [];
        $board = $installation->archetype->boardTerminals();
        $hot = array_find($board, static fn (EquipmentTerminal $t): bool => $t->name->isHot())?->printed;
        foreach ($board as $terminal) {
            $name = $terminal->name;
            if (self::isSwitched($name) || $name->isHot() || $name === TerminalName::C) {
                $terminals[] = new PlateTerminal(
                    $terminal->printed,
                    $name,
                    self::isSwitched($name) ? $hot : null,
                    2,
                    Place::Module,
                );
            }
        }

        return self::asCalled($installation, $terminals);
    }

    public static function landing(Installation $installation): Landing
    {
        $wall = [];
        $receiver = $installation->facts->oldSwitches === 'receiver';
        foreach ($installation->wallConductors() as $conductor) {
            // The wall unit of a radio pair closes nothing on its conductors.
            $wall[$conductor->id()] =
                $receiver && ! $conductor->near->isFree() ? End::free(EndState::Capped) : $conductor->near;
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
