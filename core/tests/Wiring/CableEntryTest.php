<?php

declare(strict_types=1);

use Unionbit\Core\Terminal\Colour;
use Unionbit\Core\Wiring\CableEntry;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\Evidence;

const PLACES = [
    'wall' => ['wall', 'hall'],
    'indoor' => ['furnace', 'basement'],
    'indoor-2' => ['Attic air handler', 'attic'],
    'outdoor' => ['outdoor unit', 'yard'],
];

it('understands a cable from one line', function (
    string $line,
    array $ends,
    int $gauge,
    int $count,
    float $feet,
): void {
    $entry = CableEntry::parse($line, PLACES);
    expect($entry->problems)->toBe([]);
    $cable = $entry->cable('D');

    expect([$cable->from->value, $cable->to->value])
        ->toBe($ends)
        ->and($cable->gauge)
        ->toBe($gauge)
        ->and(count($cable->conductors))
        ->toBe($count)
        ->and($cable->feet)
        ->toEqualWithDelta($feet, 0.05)
        ->and(array_unique(array_map(static fn (Conductor $c): string => $c->evidence->value, $cable->conductors)))
        ->toBe($count === 0 ? [] : [Evidence::Unknown->value])
        ->and($cable->conductors[0]->colour ?? Colour::Red)
        ->toBe(Colour::Red)
        ->and($cable->conductors === [] ? 'D1' : $cable->conductors[0]->id())
        ->toBe('D1');
})->with([
    ['second wall cable 18/5 to the attic', ['wall', 'indoor-2'], 18, 5, 40.0],
    ['18/2 attic > yard 40 ft', ['indoor-2', 'outdoor'], 18, 2, 40.0],
    ['from the yard to the attic air handler, 20/4, 12 m', ['indoor-2', 'outdoor'], 20, 4, 39.4],
    ['basement', ['wall', 'indoor'], 18, 0, 40.0],
    ['HALL to FURNACE 22 awg 7,5 meters', ['wall', 'indoor'], 22, 0, 24.6],
]);

it('says what it does not understand of a cable', function (string $line, string $code): void {
    $entry = CableEntry::parse($line, PLACES);

    expect(array_column($entry->problems, 'code'))->toContain("wiring.cable-entry.{$code}");
})->with([
    ['18/5', 'say-where-it-goes'],
    ['18/5 to the moon', 'say-where-it-goes'],
    ['19/5 attic', 'no-such-gauge'],
    ['18/40 attic', 'no-such-count'],
    ['18/0 attic', 'no-such-count'],
    ['18/5 attic 0.2 ft', 'no-such-length'],
    ['18/5 attic 900 m', 'no-such-length'],
]);
