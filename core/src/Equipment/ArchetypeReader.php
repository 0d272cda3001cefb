<?php

declare(strict_types=1);

namespace Unionbit\Core\Equipment;

use Unionbit\Core\InvalidData;
use Unionbit\Core\Node;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;

/** Reads an equipment archetype from decoded catalogue JSON. */
final class ArchetypeReader
{
    /** @throws InvalidData */
    public static function read(mixed $json): Archetype
    {
        $node = Node::root($json);
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

        return new Archetype(
            $node->string('id'), $node->string('title'), $node->string('short'),
            $heat->string('source'), $heat->int('stages'), $cooling->int('stages'), $cooling->bool('reverses', false),
            $heat->string('fan'), $node->bool('commonBonded', false), $cooling->bool('blowerOnCall', false),
            array_map(self::terminal(...), $node->each('terminals')),
            array_map(self::transformer(...), $node->each('transformers')),
            array_map(self::load(...), $node->each('loads')),
            array_map(static fn (Node $n): LineSwitch => new LineSwitch($n->string('id'), $n->string('label'), $n->string('from'), $n->string('to')), $node->each('switches')),
            $needs, $delays,
        );
    }

    private static function terminal(Node $node): EquipmentTerminal
    {
        return new EquipmentTerminal($node->enum('place', Place::class), $node->string('printed'), $node->enum('name', TerminalName::class), $node->int('wires', 1));
    }

    private static function transformer(Node $node): Transformer
    {
        return new Transformer($node->string('id'), $node->number('ratingVa'), $node->string('hot'), $node->string('common'), $node->has('fuseAmps') ? $node->number('fuseAmps') : null);
    }

    private static function load(Node $node): Load
    {
        $drives = array_map(static fn (Node $n): DrivenContact => new DrivenContact(
            $n->string('id'), $n->string('label'), $n->string('from'), $n->string('to'), $n->bool('normallyClosed', false), $n->number('delaySeconds', 0.0),
        ), $node->each('drives'));

        return new Load(
            $node->string('id'), $node->enum('kind', LoadKind::class), $node->string('label'), $node->string('from'), $node->string('to'),
            $node->has('observable') ? $node->string('observable') : null, $drives,
        );
    }
}
