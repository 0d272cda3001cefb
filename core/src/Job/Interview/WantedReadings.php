<?php

declare(strict_types=1);

namespace Unionbit\Core\Job\Interview;

use Unionbit\Core\Equipment\Transformer;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Point\At;
use Unionbit\Core\Point\Lead;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Words\Message;

/** The readings that a survey takes, power on and nothing calling, in the order that saves steps. */
final class WantedReadings
{
    /** @return list<array{a: string, b: string, label: Message, why: Message}> */
    public static function of(Installation $house): array
    {
        $wanted = [];
        foreach ($house->archetype->transformers as $index => $transformer) {
            $wanted[] = [
                'a' => $transformer->hot,
                'b' => $transformer->common,
                'label' => self::supply($house, $transformer, $index === 0),
                'why' => Message::of('job.wanted-readings.supply-after-fuse'),
            ];
        }
        $first = $house->archetype->transformers[0];
        if ($first->fuseAmps !== null) {
            $wanted[] = [
                'a' => At::lead($first->id, Lead::Winding)->id,
                'b' => $first->common,
                'label' => Message::of('job.wanted-readings.transformer-secondary'),
                'why' => Message::of('job.wanted-readings.supply-before-fuse'),
            ];
        }
        $hot = self::wall($house, static fn (TerminalName $n): bool => $n->isHot());
        $common = self::wall($house, static fn (TerminalName $n): bool => $n === TerminalName::C);
        $calls = self::walls($house, static fn (TerminalName $n): bool => $n->isCall());
        if ($hot !== null && $common !== null) {
            $wanted[] = [
                'a' => At::screw(Place::Wall, $hot)->id,
                'b' => At::screw(Place::Wall, $common)->id,
                'label' => Message::of('job.wanted-readings.at-wall', hot: $hot, common: $common),
                'why' => Message::of('job.wanted-readings.supply-through-wall-cable'),
            ];
        }
        if ($hot !== null && $common === null && $calls !== []) {
            $wanted[] = [
                'a' => At::screw(Place::Wall, $hot)->id,
                'b' => At::screw(Place::Wall, $calls[0])->id,
                'label' => Message::of('job.wanted-readings.at-wall-2', hot: $hot, calls: $calls[0]),
                'why' => Message::of('job.wanted-readings.no-c-here-idle-load', calls: $calls[0]),
            ];
        }
        foreach ($calls as $call) {
            if ($hot === null) {
                break;
            }
            $wanted[] = [
                'a' => At::screw(Place::Wall, $hot)->id,
                'b' => At::screw(Place::Wall, $call)->id,
                'label' => Message::of('job.wanted-readings.at-wall-3', hot: $hot, call: $call),
                'why' => Message::of('job.wanted-readings.full-voltage-load-behind-whole'),
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

    /** "R–C at the board"; where its common stays inside the unit, the transformer's own leads. */
    private static function supply(Installation $house, Transformer $supply, bool $first): Message
    {
        $letters = [];
        foreach ($house->archetype->terminals as $terminal) {
            $at = array_search($terminal->point(), [$supply->hot, $supply->common], true);
            $letters = $at === false ? $letters : $letters + [$at => $terminal->printed];
        }
        ksort($letters);

        return match (true) {
            count($letters) < 2 => Message::of(
                'job.wanted-readings.own-leads',
                id: $supply->id,
                place: $house->placeName($supply->place()),
            ),
            $first => Message::of('job.wanted-readings.at-board', letters: implode('–', $letters)),
            default => Message::of('job.wanted-readings.at-board-second', letters: implode('–', $letters)),
        };
    }

    private static function wall(Installation $house, callable $is): ?string
    {
        return self::walls($house, $is)[0] ?? null;
    }

    /** @return list<string> */
    private static function walls(Installation $house, callable $is): array
    {
        $found = [];
        foreach ($house->wallConductors() as $conductor) {
            $name = $house->onPlate($conductor)?->name;
            if ($name !== null && $is($name)) {
                $found[] = (string) $conductor->near->terminal;
            }
        }

        return $found;
    }
}
