<?php

declare(strict_types=1);

namespace Unionbit\Core\Job\Interview;

use Unionbit\Core\Job\Installation;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Terminal\Vocabulary;

/** The readings that a survey takes, power on and nothing calling, in the order that saves steps. */
final class WantedReadings
{
    /** @return list<array{a: string, b: string, label: string, why: string}> */
    public static function of(Installation $house): array
    {
        $wanted = [];
        foreach ($house->archetype->transformers as $index => $transformer) {
            $which = $index === 0 ? '' : ', second supply';
            $letters = implode(
                '–',
                array_map(static fn (string $point): string => explode('.', $point)[1] ?? $point, [
                    $transformer->hot,
                    $transformer->common,
                ]),
            );
            $wanted[] = [
                'a' => $transformer->hot,
                'b' => $transformer->common,
                'label' => "{$letters} at the board{$which}",
                'why' => 'the supply, after its fuse',
            ];
        }
        $first = $house->archetype->transformers[0];
        if ($first->fuseAmps !== null) {
            $wanted[] = [
                'a' => "{$first->id}.winding",
                'b' => $first->common,
                'label' => 'Transformer secondary',
                'why' => 'the supply, before its fuse',
            ];
        }
        $hot = self::wall($house, static fn (TerminalName $n): bool => $n->isHot());
        $common = self::wall($house, static fn (TerminalName $n): bool => $n === TerminalName::C);
        $calls = self::walls($house, static fn (TerminalName $n): bool => $n->isCall());
        if ($hot !== null && $common !== null) {
            $wanted[] = [
                'a' => "wall.{$hot}",
                'b' => "wall.{$common}",
                'label' => "{$hot}–{$common} at the wall",
                'why' => 'the supply, through the wall cable',
            ];
        }
        if ($hot !== null && $common === null && $calls !== []) {
            $wanted[] = [
                'a' => "wall.{$hot}",
                'b' => "wall.{$calls[0]}",
                'label' => "{$hot}–{$calls[0]} at the wall",
                'why' => 'no C here: the idle load behind '.$calls[0].' stands in for it',
            ];
        }
        foreach ($hot === null ? [] : $calls as $call) {
            $wanted[] = [
                'a' => "wall.{$hot}",
                'b' => "wall.{$call}",
                'label' => "{$hot}–{$call} at the wall",
                'why' => 'full voltage: the load behind it is whole; nothing: its way is open',
            ];
        }

        return array_values(
            array_filter(
                $wanted,
                static fn (array $w, int $i): bool => array_search(
                    [$w['a'], $w['b']],
                    array_map(static fn (array $o): array => [$o['a'], $o['b']], $wanted),
                    true,
                ) === $i,
                ARRAY_FILTER_USE_BOTH,
            ),
        );
    }

    private static function wall(Installation $house, callable $is): ?string
    {
        return self::walls($house, $is)[0] ?? null;
    }

    /** @return list<string> */
    private static function walls(Installation $house, callable $is): array
    {
        $found = [];
        foreach ($house->wallCable()->conductors ?? [] as $conductor) {
            $name =
                $conductor->near->terminal === null
                    ? null
                    : Vocabulary::resolve($conductor->near->terminal, Place::Wall, $house->archetype->reverses)->name;
            if ($name !== null && $is($name)) {
                $found[] = (string) $conductor->near->terminal;
            }
        }

        return $found;
    }
}
