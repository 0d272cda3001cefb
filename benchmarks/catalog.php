<?php

declare(strict_types=1);

// The catalog for the benchmarks: a reader of its files, and the equipment made of its units.

use Unionbit\Core\Equipment\Build\Shelf;

$json = static fn (string $name): mixed => json_decode(
    (string) file_get_contents(__DIR__."/../catalog/{$name}.json"),
    true,
    flags: JSON_THROW_ON_ERROR,
);

return [
    'json' => $json,
    'shelf' => Shelf::read(
        array_map(
            static fn (string $file): mixed => $json('units/'.basename($file, '.json')),
            glob(__DIR__.'/../catalog/units/*.json') ?: [],
        ),
        array_values((array) $json('equipment')),
    ),
];
