<?php

declare(strict_types=1);

use Unionbit\Core\Terminal\Colour;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Wiring\Entry\CableEntry;
use Unionbit\Core\Wiring\Entry\SupplyEntry;
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

it('reads a supply from one line', function (string $line, ?string $place, array $figures, array $problems): void {
    $entry = SupplyEntry::parse($line, [
        'indoor-2' => ['Attic air handler', 'attic'],
        'humidifier' => ['humidifier'],
    ]);

    expect($entry->place?->value)
        ->toBe($place)
        ->and($entry->figures)
        ->toBe($figures)
        ->and(array_map(said(...), $entry->problems))
        ->toBe($problems);
})->with([
    [
        '75 VA at the attic air handler, 3 A fuse, 240 V line, tap 240',
        'indoor-2',
        ['transformerVa' => 75.0, 'tapVolts' => 240.0, 'lineVolts' => 240.0, 'fuseAmps' => 3.0],
        [],
    ],
    ['humidifier 20va no fuse', 'humidifier', ['transformerVa' => 20.0, 'fuseAmps' => 0.0], []],
    ['208 tap, line 240, attic', 'indoor-2', ['tapVolts' => 208.0, 'lineVolts' => 240.0], []],
    [
        '500 VA at the attic',
        'indoor-2',
        ['transformerVa' => 500.0],
        ['500 VA is not a figure of such a supply. Allowed: 10 VA to 200 VA.'],
    ],
    ['40 VA', null, ['transformerVa' => 40.0], ['Say where it stands: Attic air handler and humidifier.']],
    ['at the attic', 'indoor-2', [], ['Say at least one figure: VA, fuse, line or tap.']],
]);
