<?php

declare(strict_types=1);

// The rooms of the application, each using those before it and none after it. Providers wire them together.
const APP_ROOMS = [
    'Words',
    'Models',
    'Web',
    'Crew',
    'House',
    'Records',
    'Document',
    'Stage',
    'Figures',
    'Survey',
    'Plan',
    'Set',
    'Prove',
    'Handover',
    'Jobs',
    'Console',
    'Shell',
];

it('has every room in the order', function (): void {
    $rooms = array_map(basename(...), (array) glob(app_path('*'), GLOB_ONLYDIR));

    expect(array_values(array_diff($rooms, ['Database', 'Providers'])))->toEqualCanonicalizing(APP_ROOMS);
});

foreach (APP_ROOMS as $position => $room) {
    $later = array_map(static fn(string $name): string => "App\\{$name}", array_slice(APP_ROOMS, $position + 1));
    if ($later !== []) {
        arch("{$room} uses no room after it")
            ->expect("App\\{$room}")
            ->not->toUse($later);
    }
}

arch('the application is strict')->expect('App')->toUseStrictTypes();
