<?php

declare(strict_types=1);

namespace Unionbit\Core\Job\Interview;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Words\Message;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

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
                $is('outdoor', 'reverses'),
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
                $is('coolStages', '2'),
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
                $is('outdoor', 'reverses'),
            ),
            Question::choice(
                'heatSource',
                $section,
                Message::of('job.questions.what-heats-indoors'),
                Message::of('job.questions.look-at-unit-not-at'),
                [
                    'gas' => Message::of('job.questions.gas-furnace'),
                    'oil' => Message::of('job.questions.oil-furnace'),
                    'electric' => Message::of('job.questions.electric-strips'),
                    'coil' => Message::of('job.questions.hot-water-coil-in-air'),
                    'boiler' => Message::of('job.questions.boiler-or-zone-valve-radiators'),
                    'none' => Message::of('job.questions.nothing'),
                ],
            ),
            Question::choice(
                'heatStages',
                $section,
                Message::of('job.questions.heat-stages-indoors'),
                Message::of('job.questions.two-heat-inputs-on-board'),
                ['1' => Message::of('job.questions.one'), '2' => Message::of('job.questions.two')],
                $is('heatSource', 'gas', 'oil', 'electric'),
            ),
            Question::choice(
                'condensing',
                $section,
                Message::of('job.questions.does-furnace-condense'),
                Message::of('job.questions.plastic-vent-and-drain'),
                ['no' => Message::of('job.questions.no'), 'yes' => Message::of('job.questions.yes')],
                $is('heatSource', 'gas'),
            ),
            Question::choice(
                'eGoes',
                $section,
                Message::of('job.questions.where-does-boards-e-go'),
                Message::of('job.questions.e-emergency-heat-may-be'),
                [
                    'none' => Message::of('job.questions.no-e-on-board'),
                    'tied' => Message::of('job.questions.tied-w-inside'),
                    'relay' => Message::of('job.questions.own-relay'),
                ],
                static fn (Installation $h): bool => $h->answers->is('outdoor', 'reverses') &&
                    $h->answers->is('heatSource', 'electric'),
            ),
            Question::choice(
                'fanCoil',
                $section,
                Message::of('job.questions.what-drives-fan-valve-water'),
                Message::of('job.questions.line-voltage-fan-speeds-or'),
                [
                    '24v' => Message::of('job.questions.24-v-valve-or-circulator'),
                    'line' => Message::of('job.questions.line-voltage-fan-speeds-or-2'),
                ],
                $is('heatSource', 'coil'),
            ),
            Question::choice(
                'zoneValve',
                $section,
                Message::of('job.questions.how-zone-valve-wired'),
                Message::of('job.questions.three-wires-drive-open-shut'),
                [
                    'two' => Message::of('job.questions.two-wires-with-or-without'),
                    'three' => Message::of('job.questions.three-wires-power-open-power'),
                    'relay' => Message::of('job.questions.three-wires-isolating-relay-planned'),
                ],
                $is('heatSource', 'boiler'),
            ),
            Question::choice(
                'bus',
                $section,
                Message::of('job.questions.communicating-system'),
                Message::of('job.questions.bus-labels-or-only-three'),
                [
                    'no' => Message::of('job.questions.no'),
                    'yes' => Message::of('job.questions.yes-stays-communicating'),
                    'convert' => Message::of('job.questions.yes-both-boards-accept-24'),
                ],
                $cools,
            ),
            Question::choice(
                'heatBoard',
                $section,
                Message::of('job.questions.what-does-w-go-to'),
                Message::of('job.questions.follow-w-inside-the-furnace'),
                [
                    'board' => Message::of('job.questions.control-board-or-ignition'),
                    'valve' => Message::of('job.questions.gas-valve-through-limit'),
                ],
                static fn (Installation $h): bool => $h->answers->is('outdoor', 'none') &&
                    $h->answers->is('heatSource', 'gas'),
            ),
            Question::choice(
                'fanCentre',
                $section,
                Message::of('job.questions.was-fan-centre-added-for'),
                Message::of('job.questions.transformer-fan-relay-in-one'),
                ['no' => Message::of('job.questions.no'), 'yes' => Message::of('job.questions.yes')],
                static fn (Installation $h): bool => $h->answers->is('outdoor', 'cools') &&
                    $h->answers->is('heatSource', 'gas', 'oil'),
            ),
            Question::choice(
                'coolAir',
                $section,
                Message::of('job.questions.what-moves-air-for-cooling'),
                Message::of('job.questions.coil-on-furnace-or-elsewhere'),
                [
                    'furnace' => Message::of('job.questions.furnaces-blower'),
                    'own' => Message::of('job.questions.air-handler-of-its-own'),
                ],
                static fn (Installation $h): bool => $h->answers->is('outdoor', 'cools') &&
                    $h->answers->is('heatSource', 'gas', 'oil') &&
                    ! $h->answers->is('fanCentre', 'yes'),
            ),
        ];
    }

    /** @return list<Question> */
    private static function supply(): array
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

    /** @return list<Question> */
    private static function line(): array
    {
        $section = Message::of('job.questions.in-line');
        $blower = static fn (Installation $h): bool => ! $h->answers->is('heatSource', 'boiler') ||
            $h->answers->is('outdoor', 'cools');
        $outdoor = static fn (Installation $h): bool => $h->answers->is('outdoor', 'cools', 'reverses');

        return [
            Question::choice(
                'floats',
                $section,
                Message::of('job.questions.float-or-overflow-switches'),
                Message::of('job.questions.in-drain-pan-or-drain'),
                ['none' => Message::of('job.questions.none'), 'some' => Message::of('job.questions.yes')],
                $outdoor,
            ),
            Question::choice(
                'motor',
                $section,
                Message::of('job.questions.indoor-motor'),
                Message::of('job.questions.electronically-commutated-line-power-always'),
                [
                    'relay' => Message::of('job.questions.relay-capacitor-motor'),
                    'ecm' => Message::of('job.questions.electronically-commutated'),
                ],
                $blower,
            ),
            Question::choice(
                'fanJumper',
                $section,
                Message::of('job.questions.units-own-gas-electric-fan'),
                Message::of('job.questions.must-agree-with-thermostats-fan'),
                [
                    'gas' => Message::of('job.questions.on-gas-unit-runs-fan'),
                    'electric' => Message::of('job.questions.on-electric-thermostat-runs'),
                    'none' => Message::of('job.questions.there-none'),
                ],
                static fn (Installation $h): bool => $h->answers->is('heatSource', 'gas', 'oil', 'electric'),
            ),
            Question::ticks(
                'outdoorScrews',
                $section,
                Message::of('job.questions.screws-at-outdoor-unit'),
                Message::of('job.questions.what-own-board-prints'),
                self::letters('R', 'C', 'Y', 'Y2', 'O', 'B', 'W', 'L'),
                $outdoor,
            ),
            Question::choice(
                'defrostW',
                $section,
                Message::of('job.questions.where-does-outdoor-w-go'),
                Message::of('job.questions.in-defrost-calls-indoor-heat'),
                [
                    'spliced' => Message::of('job.questions.indoor-heat-input'),
                    'open' => Message::of('job.questions.nowhere'),
                    'no-screw' => Message::of('job.questions.has-no-w'),
                ],
                static fn (Installation $h): bool => $h->answers->is('outdoor', 'reverses') &&
                    ! $h->answers->is('heatSource', 'none'),
            ),
            Question::choice(
                'shedding',
                $section,
                Message::of('job.questions.load-shedding-relay-zone-panel'),
                Message::of('job.questions.zone-panel-then-equipment-survey'),
                [
                    'none' => Message::of('job.questions.none'),
                    'shed' => Message::of('job.questions.load-shedding-relay-in-y'),
                    'panel' => Message::of('job.questions.zone-panel'),
                    'kit' => Message::of('job.questions.add-on-kit'),
                ],
            ),
        ];
    }

    /** @return list<Question> */
    private static function plates(): array
    {
        $section = Message::of('job.questions.nameplates');
        $outdoor = static fn (Installation $h): bool => $h->answers->is('outdoor', 'cools', 'reverses');

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

    /** @return list<Question> */
    private static function oldPlate(): array
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
                    'mechanical' => Message::of('job.questions.nothing-mechanical'),
                ],
            ),
            Question::choice(
                'display',
                $section,
                Message::of('job.questions.display-now'),
                Message::of('job.questions.blank-on-batteries-batteries-first'),
                ['on' => Message::of('job.questions.on'), 'blank' => Message::of('job.questions.blank')],
                static fn (Installation $h): bool => in_array($h->facts->oldPower, ['battery', 'common'], true),
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
            $cable->conductors !== [] &&
            ($spare === [] || in_array($cable->kind, ['stranded', 'telephone'], true));
    }

    /** @return list<Question> what the Figures page keeps for a house; the survey does not ask for it */
    private static function figures(): array
    {
        $number = static fn (
            string $key,
            Message $text,
            Unit $unit,
            float $min,
            float $max,
        ): Question => Question::number(
            $key,
            Message::of('job.questions.figures'),
            $text,
            Message::none(),
            $unit,
            $min,
            $max,
            static fn (): bool => false,
        );

        return [
            $number('heatLoss', Message::of('job.questions.heat-loss-at-design'), Unit::BtuPerHour, 2000, 300_000),
            $number(
                'designTemp',
                Message::of('job.questions.outdoor-design-temperature'),
                Unit::Fahrenheit,
                -40,
                50,
            ),
            $number(
                'capacity47',
                Message::of('job.questions.heat-pump-capacity-at-47', at: Quantity::of(47.0, Unit::Fahrenheit, 0)),
                Unit::BtuPerHour,
                2000,
                200_000,
            ),
            $number(
                'capacity17',
                Message::of('job.questions.heat-pump-capacity-at-17', at: Quantity::of(17.0, Unit::Fahrenheit, 0)),
                Unit::BtuPerHour,
                1000,
                200_000,
            ),
            $number(
                'cop47',
                Message::of('job.questions.cop-at-47-f', at: Quantity::of(47.0, Unit::Fahrenheit, 0)),
                Unit::Number,
                1,
                7,
            ),
            $number(
                'cop17',
                Message::of('job.questions.cop-at-17-f', at: Quantity::of(17.0, Unit::Fahrenheit, 0)),
                Unit::Number,
                0.8,
                6,
            ),
            $number(
                'priceElectric',
                Message::of('job.questions.price-electricity'),
                Unit::DollarsPerKilowattHour,
                0.01,
                2,
            ),
            $number('priceGas', Message::of('job.questions.price-gas'), Unit::DollarsPerTherm, 0.05, 20),
            $number('efficiency', Message::of('job.questions.furnace-efficiency'), Unit::Percent, 50, 99),
        ];
    }

    /** @return array<string, Message> screws, by their letters */
    private static function letters(string ...$letters): array
    {
        return array_combine($letters, array_map(Message::raw(...), $letters));
    }
}
