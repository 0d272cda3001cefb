<?php

declare(strict_types=1);

namespace Unionbit\Core\Thermostat;

use Unionbit\Core\Data\Field;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Words\Message;

/** Reads a thermostat profile from decoded JSON: the catalogue's, or a user's own file of the same schema. */
final class ProfileReader
{
    /** @throws InvalidData */
    public static function read(mixed $json): Profile
    {
        $node = Field::root($json);
        $link = $node->at('link');
        $power = $node->at('power');
        $between = $link->strings('between');

        $menu = [];
        foreach ($node->keys('menu') as $key) {
            $entry = $node->at('menu')->at($key);
            $choices = [];
            foreach ($entry->keys('choices') as $choice) {
                $choices[$choice] = $entry->at('choices')->string($choice);
            }
            $menu[$key] = ['label' => $entry->string('label'), 'choices' => $choices];
        }

        $outputs = $node->has('outputs') ? $node->enum('outputs', Place::class) : Place::Wall;

        return new Profile(
            id: $node->string('id'),
            title: Message::named('thermostat', $node->string('title')),
            terminals: array_map(
                static fn (Field $n): PlateTerminal => new PlateTerminal(
                    $n->string('printed'),
                    $n->enum('name', TerminalName::class),
                    $n->has('hot') ? $n->string('hot') : null,
                    $n->int('wires', 1),
                    $outputs,
                ),
                $node->each('terminals'),
            ),
            link: count($between) === 2 ? [$between[0], $between[1]] : null,
            linkKind: $link->enum('kind', LinkKind::class),
            heatStages: $node->at('stages')->int('heat'),
            coolStages: $node->at('stages')->int('cool'),
            switchesInFace: $node->string('switches') === 'face',
            power: $power->enum('kind', PowerKind::class),
            powerFrom: $power->has('from') ? $power->string('from') : null,
            powerVa: $power->number('va', 0.0, 0.0, 20.0),
            remoteControl: $node->has('remoteControl')
                ? $node->enum('remoteControl', RemoteControl::class)
                : RemoteControl::None,
            menu: $menu,
            heatPump: $node->bool('heatPump', false),
            idleValve: $node->string('idleValve', 'off'),
            charges: $power->has('charges') ? $power->string('charges') : null,
            leakOhms: $node->has('leakOhms') ? $node->number('leakOhms', null, 1000.0) : null,
            outputs: $outputs,
            linkConductors: $node->int('linkConductors', 0),
            menuEntry: $node->string('menuEntry', '', 200),
            testEntry: $node->has('testMenu') ? $node->at('testMenu')->string('entry', '', 200) : '',
            testWait: $node->has('testMenu') ? $node->at('testMenu')->int('waitSeconds', 0) : 0,
        );
    }
}
