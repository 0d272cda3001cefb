<?php

declare(strict_types=1);

namespace Unionbit\Core\Job\Interview;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Wiring\Conductor;

/**
 * What a survey asks of the equipment and its supply, in the order in which a person walks: what it is, the supply,
 * what stands in the line, the nameplates, the old plate. Each is asked only where earlier answers make it matter.
 */
final class Questions
{
    /** @var ?list<Question> */
    private static ?array $all = null;

    /** @return list<Question> */
    public static function all(): array
    {
        return self::$all ??= [
            ...self::what(),
            ...self::supply(),
            ...self::line(),
            ...self::plates(),
            ...self::oldPlate(),
            ...self::figures(),
        ];
    }

    public static function named(string $key): ?Question
    {
        foreach (self::all() as $question) {
            if ($question->key === $key) {
                return $question;
            }
        }

        return null;
    }

    /** @return list<string> */
    public static function keys(): array
    {
        return array_map(static fn (Question $q): string => $q->key, self::all());
    }

    /** @return list<Question> that this house is asked, answered or not */
    public static function of(Installation $house): array
    {
        return array_values(array_filter(self::all(), static fn (Question $q): bool => $q->isAskedOf($house)));
    }

    /** @return list<Question> */
    private static function what(): array
    {
        $is = static fn (string $key, string ...$values): \Closure => static fn (
            Installation $h,
        ): bool => $h->answers->is($key, ...$values);
        $cools = $is('outdoor', 'cools', 'reverses');
        $section = 'What it is';

        return [
            Question::choice(
                'outdoor',
                $section,
                'What does the outdoor unit do?',
                'A conductor on O or B, a reversing valve with an accumulator, a defrost board or the plate\'s words make it a heat pump.',
                ['none' => 'There is none', 'cools' => 'It cools only', 'reverses' => 'It is a heat pump'],
            ),
            Question::ticks(
                'evidence',
                $section,
                'What shows that it is a heat pump?',
                'One sign is enough; two that agree are better. Packing slips and shared manuals do not count.',
                [
                    'plate' => 'its nameplate says so',
                    'valve' => 'reversing valve and accumulator',
                    'defrost' => 'defrost board with R C Y O/B W',
                    'conductor' => 'a conductor on O or B',
                ],
                $is('outdoor', 'reverses'),
            ),
            Question::choice(
                'coolStages',
                $section,
                'Compressor stages?',
                'Two Y inputs outdoors, or the plate.',
                ['1' => 'One', '2' => 'Two'],
                $cools,
            ),
            Question::choice(
                'compressors',
                $section,
                'One two-stage compressor, or two?',
                'One two-stage compressor is not two compressors.',
                ['one' => 'One with two stages', 'two' => 'Two compressors'],
                $is('coolStages', '2'),
            ),
            Question::choice(
                'valve',
                $section,
                'When is the reversing valve energised?',
                'From the outdoor board, never from the colour. Proved later by the air temperature.',
                ['O' => 'In cooling (O)', 'B' => 'In heating (B)'],
                $is('outdoor', 'reverses'),
            ),
            Question::choice(
                'heatSource',
                $section,
                'What heats indoors?',
                'Look at the unit, not at the thermostat.',
                [
                    'gas' => 'Gas furnace',
                    'oil' => 'Oil furnace',
                    'electric' => 'Electric strips',
                    'coil' => 'Hot-water coil in the air handler',
                    'boiler' => 'Boiler or zone valve, radiators',
                    'none' => 'Nothing',
                ],
            ),
            Question::choice(
                'heatStages',
                $section,
                'Heat stages indoors?',
                'Two heat inputs on the board, or the plate.',
                ['1' => 'One', '2' => 'Two'],
                $is('heatSource', 'gas', 'oil', 'electric'),
            ),
            Question::choice(
                'eGoes',
                $section,
                'Where does the board\'s E go?',
                'E is emergency heat. It may be tied to W inside, reach its own relay, or not be there.',
                ['none' => 'No E on the board', 'tied' => 'Tied to W inside', 'relay' => 'Its own relay'],
                static fn (Installation $h): bool => $h->answers->is('outdoor', 'reverses') &&
                    $h->answers->is('heatSource', 'electric'),
            ),
            Question::choice(
                'fanCoil',
                $section,
                'What drives fan and valve of the water coil?',
                'Line-voltage fan speeds or valves without a 24 V control are not for this work.',
                ['24v' => '24 V valve or circulator relay', 'line' => 'Line-voltage fan speeds or valves'],
                $is('heatSource', 'coil'),
            ),
            Question::choice(
                'zoneValve',
                $section,
                'How is the zone valve wired?',
                'Three wires drive it open and shut; that needs an isolating relay.',
                [
                    'two' => 'Two wires, with or without an end switch',
                    'three' => 'Three wires, power open and power close',
                    'relay' => 'Three wires, isolating relay planned',
                ],
                $is('heatSource', 'boiler'),
            ),
            Question::choice(
                'bus',
                $section,
                'Is it a communicating system?',
                'Bus labels, or only three or four conductors on a variable system.',
                [
                    'no' => 'No',
                    'yes' => 'Yes, it stays communicating',
                    'convert' => 'Yes, and both boards accept 24 V calls: going back',
                ],
                $cools,
            ),
            Question::choice(
                'fanCentre',
                $section,
                'Was a fan centre added for cooling?',
                'Transformer and fan relay in one box, on a unit that was heat only.',
                ['no' => 'No', 'yes' => 'Yes'],
                static fn (Installation $h): bool => $h->answers->is('outdoor', 'cools') &&
                    $h->answers->is('heatSource', 'gas', 'oil'),
            ),
        ];
    }

    /** @return list<Question> */
    private static function supply(): array
    {
        $section = 'Supply';
        $two = static fn (Installation $h): bool => $h->answers->is('supplies', '2') ||
            count($h->archetype->transformers) > 1;

        return [
            Question::choice(
                'supplies',
                $section,
                'How many 24 V supplies?',
                'Look at the equipment; switch one off and see which hot dies.',
                ['1' => 'One transformer', '2' => 'Two transformers', 'millivolt' => 'None, only millivolts DC'],
            ),
            Question::number('transformerVa', $section, 'Transformer rating', 'From its plate.', 'VA', 10, 200),
            Question::number(
                'lineVolts',
                $section,
                'Line volts',
                'Measured at the transformer\'s line leads. Line voltage: only with the licence that the place requires.',
                'V',
                90,
                300,
            ),
            Question::number('tapVolts', $section, 'Primary tap in use', 'The lead that is connected.', 'V', 90, 300),
            Question::choice(
                'commonBonded',
                $section,
                'Is the common bonded to the cabinet?',
                'A lead from C to the sheet metal.',
                ['yes' => 'Yes', 'no' => 'No'],
            ),
            Question::choice(
                'secondBonded',
                $section,
                'Is the second transformer\'s common bonded?',
                'In its own cabinet.',
                ['yes' => 'Yes', 'no' => 'No'],
                $two,
            ),
            Question::choice(
                'secondPhase',
                $section,
                'Are the two in phase?',
                'Only where both commons are bonded: 0 V between the hots in phase, about 53 V out of phase. Floating, it cannot be told.',
                ['in' => 'In phase', 'out' => 'Out of phase', 'unknown' => 'Cannot be told'],
                $two,
            ),
            Question::number('fuseAmps', $section, 'Fuse in place', 'Read from the fuse itself.', 'A', 0.5, 30),
            Question::number(
                'fuseMarked',
                $section,
                'Fuse that the board calls for',
                'Printed beside the holder.',
                'A',
                0.5,
                30,
            ),
            Question::choice(
                'fuseState',
                $section,
                'Fuse holder as found',
                'A bridged or foil-wrapped fuse stops the work until it is corrected.',
                ['good' => 'A sound fuse', 'bridged' => 'Bridged or wrapped', 'none' => 'No fuse at all'],
            ),
        ];
    }

    /** @return list<Question> */
    private static function line(): array
    {
        $section = 'In the line';
        $blower = static fn (Installation $h): bool => ! $h->answers->is('heatSource', 'boiler') ||
            $h->answers->is('outdoor', 'cools');
        $outdoor = static fn (Installation $h): bool => $h->answers->is('outdoor', 'cools', 'reverses');

        return [
            Question::choice(
                'floats',
                $section,
                'Float or overflow switches?',
                'In the drain pan or drain line: look for a switch that somebody added in R, Y or W.',
                ['none' => 'None', 'some' => 'Yes'],
                $outdoor,
            ),
            Question::choice(
                'motor',
                $section,
                'Indoor motor?',
                'Electronically commutated: line power always on its plug, a signal starts it. It changes delays and tests.',
                ['relay' => 'Relay and capacitor motor', 'ecm' => 'Electronically commutated'],
                $blower,
            ),
            Question::choice(
                'fanJumper',
                $section,
                'The unit\'s own gas/electric fan jumper?',
                'It must agree with the thermostat\'s fan setting.',
                [
                    'gas' => 'On gas: the unit runs its fan',
                    'electric' => 'On electric: the thermostat runs it',
                    'none' => 'There is none',
                ],
                static fn (Installation $h): bool => $h->answers->is('heatSource', 'gas', 'oil', 'electric'),
            ),
            Question::ticks(
                'outdoorScrews',
                $section,
                'Screws at the outdoor unit?',
                'What its own board prints.',
                ['R' => 'R', 'C' => 'C', 'Y' => 'Y', 'Y2' => 'Y2', 'O' => 'O', 'B' => 'B', 'W' => 'W', 'L' => 'L'],
                $outdoor,
            ),
            Question::choice(
                'defrostW',
                $section,
                'Where does the outdoor W go?',
                'In defrost it calls the indoor heat, so that the house is not blown cold.',
                ['spliced' => 'To the indoor heat input', 'open' => 'Nowhere', 'no-screw' => 'It has no W'],
                static fn (Installation $h): bool => $h->answers->is('outdoor', 'reverses') &&
                    ! $h->answers->is('heatSource', 'none'),
            ),
            Question::choice(
                'shedding',
                $section,
                'Load-shedding relay, zone panel or add-on kit?',
                'A zone panel is then the equipment: survey its terminals, not the furnace\'s.',
                [
                    'none' => 'None',
                    'shed' => 'Load-shedding relay in Y',
                    'panel' => 'Zone panel',
                    'kit' => 'Add-on kit',
                ],
            ),
        ];
    }

    /** @return list<Question> */
    private static function plates(): array
    {
        $section = 'Nameplates';
        $outdoor = static fn (Installation $h): bool => $h->answers->is('outdoor', 'cools', 'reverses');

        return [
            Question::choice(
                'indoorPlate',
                $section,
                'What does the indoor plate say it goes with?',
                'The plate on the box counts; a shared manual does not.',
                ['cools' => 'Cooling only', 'reverses' => 'Heat pump', 'silent' => 'Says nothing'],
                $outdoor,
            ),
            Question::text(
                'outdoorModel',
                $section,
                'Outdoor model number',
                'Two or three of its digits often carry thousands of BTU/h.',
                $outdoor,
            ),
            Question::number(
                'outdoorTons',
                $section,
                'Outdoor capacity',
                'Nominal tons: BTU/h ÷ 12 000.',
                'tons',
                0.5,
                10,
                $outdoor,
            ),
            Question::number(
                'indoorTons',
                $section,
                'Indoor coil capacity',
                'Nominal tons from the indoor plate.',
                'tons',
                0.5,
                10,
                $outdoor,
            ),
        ];
    }

    /** @return list<Question> */
    private static function oldPlate(): array
    {
        $section = 'Old plate';

        return [
            Question::choice(
                'wire',
                $section,
                'What is the wall cable made of?',
                'Thick conductors under wire connectors are line voltage: stop.',
                [
                    'solid' => 'Solid thermostat wire',
                    'stranded' => 'Stranded',
                    'telephone' => 'Telephone or speaker wire',
                    'thick' => 'Thick, under wire connectors',
                ],
            ),
            Question::choice(
                'plateLink',
                $section,
                'Rc–Rh link on the old plate?',
                'A jumper, a slide or a factory link between the two R screws.',
                [
                    'in' => 'Link in',
                    'out' => 'Link out',
                    'none' => 'One R screw, no link',
                    'unknown' => 'Not looked at',
                ],
            ),
            Question::choice(
                'oldPower',
                $section,
                'What did the old thermostat run on?',
                'It tells whether its display can die with the batteries.',
                ['battery' => 'Batteries', 'common' => 'R and C', 'mechanical' => 'Nothing, mechanical'],
            ),
            Question::choice(
                'display',
                $section,
                'Its display now?',
                'Blank on batteries: batteries first.',
                ['on' => 'On', 'blank' => 'Blank'],
                static fn (Installation $h): bool => in_array($h->facts->oldPower, ['battery', 'common'], true),
            ),
            Question::number(
                'elsewhere',
                $section,
                'Another wall position that a cable can reach?',
                'Feet of that run, where this one has too few conductors. On an inner wall, away from a draught or a supply register; leave it empty where there is none.',
                'ft',
                3,
                300,
                self::isShort(...),
            ),
            Question::text(
                'history',
                $section,
                'Who changed what, and when?',
                'What worked since then? It moves the odds more than any meter.',
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
            $cable->conductors !== [] &&
            ($spare === [] || in_array($cable->kind, ['stranded', 'telephone'], true));
    }

    /** @return list<Question> what the Figures page keeps for a house; the survey does not ask for it */
    private static function figures(): array
    {
        $number = static fn (
            string $key,
            string $text,
            string $unit,
            float $min,
            float $max,
        ): Question => Question::number($key, 'Figures', $text, '', $unit, $min, $max, static fn (): bool => false);

        return [
            $number('heatLoss', 'Heat loss at design', 'BTU/h', 2000, 300_000),
            $number('designTemp', 'Outdoor design temperature', '°F', -40, 50),
            $number('capacity47', 'Heat pump capacity at 47 °F', 'BTU/h', 2000, 200_000),
            $number('capacity17', 'Heat pump capacity at 17 °F', 'BTU/h', 1000, 200_000),
            $number('cop47', 'COP at 47 °F', '', 1, 7),
            $number('cop17', 'COP at 17 °F', '', 0.8, 6),
            $number('priceElectric', 'Price of electricity', '$/kWh', 0.01, 2),
            $number('priceGas', 'Price of gas', '$/therm', 0.05, 20),
            $number('efficiency', 'Furnace efficiency', '%', 50, 99),
        ];
    }
}
