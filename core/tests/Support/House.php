<?php

declare(strict_types=1);

namespace Unionbit\Core\Tests\Support;

use Unionbit\Core\Asked\AskedHouse;
use Unionbit\Core\Asked\Hands;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Equipment\Archetype;
use Unionbit\Core\Equipment\Build\Option;
use Unionbit\Core\Equipment\Build\Shelf;
use Unionbit\Core\Equipment\EquipmentTerminal;
use Unionbit\Core\Fault\Fault;
use Unionbit\Core\Fault\FaultCatalogue;
use Unionbit\Core\Job\File\ExampleHouse;
use Unionbit\Core\Job\File\SurveyFile;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Planning\Plan\LetterToLetter;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Thermostat\Profile;
use Unionbit\Core\Thermostat\ProfileReader;
use Unionbit\Core\Wiring\Landing;

/** Reference houses for the tests, read from the catalogue and from survey documents as the application does. */
final class House
{
    public const FURNACE = 'furnace-gas-1h-1c';

    public const C_POWERED = 'c-powered-1h-1c';

    public const BATTERY = 'battery-1h-1c';

    private static ?Shelf $shelf = null;

    public static function archetype(string $id = self::FURNACE): Archetype
    {
        return self::shelf()->archetype($id);
    }

    public static function shelf(): Shelf
    {
        return self::$shelf ??= Shelf::read(
            array_map(static fn (string $id): mixed => self::json("units/{$id}"), self::ids('units')),
            array_values((array) self::json('equipment')),
        );
    }

    public static function profile(string $id): Profile
    {
        return ProfileReader::read(self::json("thermostats/{$id}"));
    }

    /**
     * @param  list<array<string, mixed>>  $changes  fields to change, by position of the wall conductor
     * @param  array<string, mixed>  $facts
     */
    public static function survey(array $changes = [], array $facts = []): Installation
    {
        $wall = [
            self::conductor(1, 'red', 'R', 'R'),
            self::conductor(2, 'white', 'W', 'W'),
            self::conductor(3, 'yellow', 'Y', 'Y'),
            self::conductor(4, 'green', 'G', 'G'),
            self::conductor(5, 'blue', 'C', 'C'),
        ];
        foreach ($changes as $position => $fields) {
            $wall[$position] = [...$wall[$position], ...$fields];
        }

        return SurveyFile::read(
            [
                'facts' => $facts + ['plateLink' => 'in'],
                'cables' => [
                    [
                        'id' => 'A',
                        'from' => 'wall',
                        'to' => 'indoor',
                        'gauge' => 18,
                        'feet' => 42,
                        'conductors' => $wall,
                    ],
                    [
                        'id' => 'B',
                        'from' => 'indoor',
                        'to' => 'outdoor',
                        'gauge' => 18,
                        'feet' => 30,
                        'conductors' => [
                            self::conductor(1, 'red', 'Y', 'Y'),
                            self::conductor(2, 'white', 'C', 'C'),
                        ],
                    ],
                ],
            ],
            self::archetype(),
        );
    }

    /** @param  list<array<string, mixed>>  $changes */
    public static function plan(
        string $profile = self::C_POWERED,
        array $changes = [],
        ?callable $edit = null,
    ): Plan {
        $house = self::survey($changes);
        $thermostat = self::profile($profile);
        $landing = LetterToLetter::landing($house, $thermostat);
        if ($edit !== null) {
            $landing = $edit($landing);
            \assert($landing instanceof Landing);
        }

        return new Plan($house, $thermostat, $landing);
    }

    /** The plain house of any equipment, a thermostat landed letter to letter: one that its screws can power. */
    public static function example(string $archetype, ?string $profile = null): Plan
    {
        $house = ExampleHouse::of(self::archetype($archetype));
        $common = $house->archetype->terminalNamed(Place::Indoor, TerminalName::C);
        $humidity = array_filter(
            $house->archetype->terminals,
            static fn (EquipmentTerminal $t): bool => $t->name->isAccessory(),
        );
        $powered = $humidity === [] ? 'c-powered-3h-2c' : 'c-powered-humidity';
        $thermostat = self::profile($profile ?? ($common === null ? self::BATTERY : $powered));

        return new Plan($house, $thermostat, LetterToLetter::landing($house, $thermostat));
    }

    /** The circuit's set-up of a call as a house with a fault makes it. */
    public static function called(Circuit $circuit, CallName $call, ?Fault $fault = null): Setup
    {
        return AskedHouse::of($circuit)->with($fault)->setup(Hands::calling($call));
    }

    public static function faults(): FaultCatalogue
    {
        return FaultCatalogue::read(self::json('faults/faults'));
    }

    public static function fault(Plan $plan, string $id): Fault
    {
        $faults = array_column(
            array_map(static fn (Fault $f): array => [$f->id, $f], self::faults()->of($plan->circuit())),
            1,
            0,
        );

        return $faults[$id] ??
            throw new \LogicException("no fault {$id}; there are ".implode(' ', array_keys($faults)));
    }

    /** Any units that are equipment together. */
    public static function anyEquipment(Pick $pick): string
    {
        do {
            $key = self::anyUnits($pick);
        } while (! self::shelf()->knows($key));

        return $key;
    }

    /** Units of any kind with any of their options: equipment, or what cannot be. */
    public static function anyUnits(Pick $pick): string
    {
        $indoor = $pick->one([
            ['furnace'],
            ['furnace'],
            ['air-handler'],
            ['air-handler'],
            ['fan-center'],
            ['bare-gas-valve'],
            ['zone-valve'],
            ['air-handler', 'zone-valve'],
            ['air-handler', 'oil-burner'],
            ['furnace', 'zone-valve'],
            ['furnace', 'air-handler@indoor-2'],
            ['zone-valve@boiler', 'air-handler'],
            ['zone-panel', 'furnace'],
            ['zone-panel', 'air-handler'],
        ]);
        $units = [
            ...$indoor,
            ...$pick->one([[], ['condenser'], ['condenser@indoor'], ['heat-pump'], ['heat-pump@indoor']]),
        ];

        return implode(
            '+',
            array_map(static function (string $id) use ($pick): string {
                $options = array_map(
                    static fn (Option $o): string => "{$o->key}={$pick->one($o->choices)}",
                    self::shelf()->units[explode('@', $id)[0]]->options,
                );

                return $id.':'.implode(',', $options);
            }, $units),
        );
    }

    /** @return list<string> every id in a folder of the catalogue */
    public static function ids(string $folder): array
    {
        return $folder === 'equipment'
            ? self::shelf()->ids()
            : array_map(
                static fn (string $file): string => basename($file, '.json'),
                glob(__DIR__."/../../../catalog/{$folder}/*.json") ?: [],
            );
    }

    /** @return array<string, mixed> */
    public static function conductor(
        int $number,
        string $colour,
        ?string $near,
        ?string $far,
        string $evidence = 'traced',
    ): array {
        $end = static fn (?string $terminal): array => $terminal === null
            ? ['state' => 'spare']
            : ['state' => 'landed', 'terminal' => $terminal];

        return [
            'number' => $number,
            'colour' => $colour,
            'near' => $end($near),
            'far' => $end($far),
            'evidence' => $evidence,
        ];
    }

    private static function json(string $name): mixed
    {
        return json_decode(
            (string) file_get_contents(__DIR__."/../../../catalog/{$name}.json"),
            true,
            flags: JSON_THROW_ON_ERROR,
        );
    }
}
