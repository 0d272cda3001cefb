<?php

declare(strict_types=1);

use Unionbit\Core\Tests\Support\Folders;

// The order of rooms: each may use those before it and none after it.
const ROOMS = [
    'Data',
    'Rule',
    'Terminal',
    'Point',
    'Wiring',
    'Equipment',
    'Thermostat',
    'Job',
    'Call',
    'Circuit',
    'Fault',
    'Screening',
    'Planning',
    'Figures',
    'Setting',
    'Proving',
    'Tracing',
    'Bench',
    'Visit',
];

arch('the core knows no framework, no application and no global helpers')
    ->expect('Unionbit\Core')
    ->not->toUse([
        'Illuminate',
        'App',
        'Inertia',
        'Carbon\Carbon',
        'app',
        'config',
        'env',
        'now',
        'collect',
        'request',
        'session',
        'file_get_contents',
        'file_put_contents',
        'time',
        'rand',
        'mt_rand',
    ])
    ->ignoring('Unionbit\Core\Tests');

arch('the core is strict and its classes are final or interfaces')
    ->expect('Unionbit\Core')
    ->toUseStrictTypes()
    ->classes()
    ->toBeFinal()
    ->ignoring('Unionbit\Core\Tests');

foreach (ROOMS as $position => $room) {
    $later = array_map(
        static fn (string $name): string => "Unionbit\\Core\\{$name}",
        array_slice(ROOMS, $position + 1),
    );
    if ($later !== []) {
        arch("{$room} uses no room after it")
            ->expect("Unionbit\\Core\\{$room}")
            ->not->toUse($later);
    }
}

it('has no circle of folders', function (): void {
    $folders = Folders::ofPhp(dirname(__DIR__).'/src', 'Unionbit\\Core');

    expect(count($folders->all()))->toBeGreaterThan(50)->and($folders->circles())->toBe([]);
});
