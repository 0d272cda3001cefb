<?php

declare(strict_types=1);

use Tests\Support\Lengths;
use Unionbit\Core\Tests\Support\Folders;

// The rooms of the application, each using those before it and none after it. Providers wire them together.
const APP_ROOMS = [
    'Words',
    'Models',
    'Web',
    'Crew',
    'Errand',
    'House',
    'Records',
    'Document',
    'Stage',
    'Figures',
    'Survey',
    'Plan',
    'Set',
    'Prove',
    'Trace',
    'Handover',
    'Share',
    'Jobs',
    'Backup',
    'Health',
    'Console',
    'Shell',
];

it('has every room in the order', function (): void {
    $rooms = array_map(basename(...), (array) glob(app_path('*'), GLOB_ONLYDIR));

    expect(array_values(array_diff($rooms, ['Database', 'Providers'])))->toEqualCanonicalizing(APP_ROOMS);
});

foreach (APP_ROOMS as $position => $room) {
    $later = array_map(static fn (string $name): string => "App\\{$name}", array_slice(APP_ROOMS, $position + 1));
    if ($later !== []) {
        arch("{$room} uses no room after it")
            ->expect("App\\{$room}")
            ->not->toUse($later);
    }
}

it('has no circle of folders', function (Folders $folders): void {
    expect(count($folders->all()))->toBeGreaterThan(25)->and($folders->circles())->toBe([]);
})->with([
    'app' => [fn () => Folders::ofPhp(app_path(), 'App')],
    'resources/js' => [fn () => Folders::ofTypeScript(resource_path('js'))],
]);

arch('the application is strict')->expect('App')->toUseStrictTypes();
it('has no line over 120 characters and no room over fifteen files', function (): void {
    $long = $full = [];
    $tops = [
        'app',
        'core/src',
        'core/tests',
        'tests',
        'database',
        'routes',
        'config',
        'benchmarks',
        'resources/js',
        'e2e',
    ];
    foreach ($tops as $top) {
        $files = new RecursiveIteratorIterator(new RecursiveDirectoryIterator(base_path($top), 4096));
        $rooms = [];
        foreach ($files as $file) {
            if (! ($file instanceof SplFileInfo) || ! in_array($file->getExtension(), ['php', 'ts', 'tsx'], true)) {
                continue;
            }
            $rooms[$file->getPath()] = ($rooms[$file->getPath()] ?? 0) + 1;
            foreach (file($file->getPathname(), FILE_IGNORE_NEW_LINES) ?: [] as $n => $line) {
                if (mb_strlen($line) > 120) {
                    $long[] = substr($file->getPathname(), strlen(base_path()) + 1).':'.($n + 1);
                }
            }
        }
        if (in_array($top, ['app', 'core/src', 'resources/js'], true)) {
            $full += array_filter($rooms, static fn (int $count): bool => $count > 15);
        }
    }

    expect($long)->toBe([])->and($full)->toBe([]);
});

// Those that were longer before this was held: none is added, and whoever works on one brings it below.
it('has no more long methods than it had', function (string $folder, string $namespace, int $most): void {
    $long = Lengths::over(base_path($folder), $namespace);

    expect(count($long))->toBe($most, implode("\n", $long));
})->with([
    'core' => ['core/src', 'Unionbit\\Core', 86],
    'app' => ['app', 'App', 19],
]);

it('gives the interface every named route', function (): void {
    $this->artisan('unionbit:routes --check')->assertSuccessful();
});
