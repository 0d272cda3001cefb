<?php

declare(strict_types=1);

namespace Unionbit\Core\Equipment;

use Unionbit\Core\Data\Field;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Equipment\Heat\FanInHeat;
use Unionbit\Core\Equipment\Heat\HeatSource;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Wiring\Jumper;
use Unionbit\Core\Words\Message;

/** Reads an equipment archetype from decoded catalogue JSON. */
final class ArchetypeReader
{
    /** @throws InvalidData */
    public static function read(mixed $json): Archetype
    {
        $node = Field::root($json);
        $heat = $node->at('heat');
        $cooling = $node->at('cooling');

        $needs = [];
        foreach ($node->keys('needs') as $call) {
            $needs[$call] = $node->at('needs')->strings($call);
        }
        $delays = [];
        foreach ($node->keys('delays') as $name) {
            $delays[$name] = $node->at('delays')->int($name);
        }

        $allows = [];
        foreach ($node->keys('allows') as $call) {
            $allows[$call] = $node->at('allows')->strings($call);
        }
        $modes = [];
        foreach ($node->keys('modes') as $mode) {
            $modes[$mode] = array_map(self::contact(...), $node->at('modes')->each($mode));
        }

        return new Archetype(
            id: $node->string('id'),
            title: $node->string('title'),
            short: $node->string('short'),
            heatSource: $heat->enum('source', HeatSource::class),
            heatStages: $heat->int('stages'),
            coolStages: $cooling->int('stages'),
            reverses: $cooling->bool('reverses', false),
            fanInHeat: $heat->enum('fan', FanInHeat::class),
            commonBonded: $node->bool('commonBonded', false),
            blowerOnCoolCall: $cooling->bool('blowerOnCall', false),
            terminals: array_map(self::terminal(...), $node->each('terminals')),
            transformers: array_map(self::transformer(...), $node->each('transformers')),
            loads: array_map(self::load(...), $node->each('loads')),
            switches: array_map(
                static fn (Field $n): LineSwitch => new LineSwitch(
                    $n->string('id'),
                    Message::named('part', $n->string('label')),
                    $n->string('from'),
                    $n->string('to'),
                ),
                $node->each('switches'),
            ),
            needs: $needs,
            delays: $delays,
            heatPump: $node->has('heatPump') ? self::heatPump($node->at('heatPump')) : null,
            ties: array_map(
                static fn (Field $n): Jumper => new Jumper(
                    $n->enum('place', Place::class),
                    $n->string('a'),
                    $n->string('b'),
                    $n->string('label'),
                ),
                $node->each('ties'),
            ),
            allows: $allows,
            modes: $modes,
            doorSwitch: $node->bool('doorSwitch', false),
            boardRunsBlower: $node->bool('boardRunsBlower', false),
            boards: array_map(Place::from(...), $node->strings('boards')) ?: [Place::Indoor],
            units: self::units($node),
            options: array_map(
                static fn (Field $n): UnitOption => new UnitOption(
                    $n->string('unit'),
                    $n->string('key'),
                    $n->string('choice'),
                    $n->has('asks') ? $n->string('asks') : null,
                    $n->bool('each', false),
                    $n->has('said') ? $n->string('said') : null,
                ),
                $node->each('options'),
            ),
            dehumidify: $node->has('dehumidify') ? $node->enum('dehumidify', Dehumidify::class) : Dehumidify::None,
            kind: $node->has('kind') ? $node->enum('kind', EquipmentKind::class) : EquipmentKind::Plain,
        );
    }

    /** @return list<array{unit: string, place: string, options?: array<string, string>}> */
    private static function units(Field $node): array
    {
        $units = [];
        foreach ($node->each('units') as $unit) {
            $options = [];
            foreach ($unit->keys('options') as $key) {
                $options[$key] = $unit->at('options')->string($key);
            }
            $units[] = [
                'unit' => $unit->string('unit'),
                'place' => $unit->string('place'),
                ...$options === [] ? [] : ['options' => $options],
            ];
        }

        return $units;
    }

    private static function terminal(Field $node): EquipmentTerminal
    {
        return new EquipmentTerminal(
            $node->enum('place', Place::class),
            $node->string('printed'),
            $node->enum('name', TerminalName::class),
            $node->int('wires', 1),
            $node->string('side', '') === 'onward',
        );
    }

    private static function transformer(Field $node): Transformer
    {
        return new Transformer(
            $node->string('id'),
            $node->number('ratingVa'),
            $node->string('hot'),
            $node->string('common'),
            $node->has('fuseAmps') ? $node->number('fuseAmps') : null,
            $node->has('bonded') ? $node->bool('bonded') : null,
            aside: $node->bool('aside', false),
        );
    }

    private static function load(Field $node): Load
    {
        $drives = array_map(self::contact(...), $node->each('drives'));

        return (new Load(
            $node->string('id'),
            $node->enum('kind', LoadKind::class),
            Message::named('part', $node->string('label')),
            $node->string('from'),
            $node->string('to'),
            $node->has('observable') ? $node->enum('observable', Observable::class) : null,
            $drives,
        ))->withLineContacts();
    }

    private static function contact(Field $node): DrivenContact
    {
        return new DrivenContact(
            $node->string('id'),
            Message::named('part', $node->string('label')),
            $node->string('from'),
            $node->string('to'),
            $node->bool('normallyClosed', false),
            $node->number('delaySeconds', 0.0),
        );
    }

    private static function heatPump(Field $node): HeatPump
    {
        return new HeatPump($node->string('valve'), $node->int('auxStages'), $node->string('emergency'));
    }
}
