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

// Where text comes in: files, entries, the protocol, what units and trade words are written in; and the values that
// write their own text and read it back.
const DOORS = [
    'Data',
    'Words',
    'Point',
    'Equipment/Build',
    'Fault/FaultId.php',
    'Asked/OpenFuses.php',
    'Job/File',
    'Planning/File',
    'Setting/Key/HeatPump/AuxiliaryGap.php',
    'Terminal/TradeWords.php',
    'Tracing/Protocol',
    'Visit/SearchWords.php',
    'Wiring/Entry',
];

it('takes a name apart only at the doors', function (): void {
    $root = dirname(__DIR__).'/src/';
    $apart = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($root)) as $file) {
        $name = substr((string) $file, strlen($root));
        $text = str_ends_with($name, '.php') ? (string) file_get_contents((string) $file) : '';
        $takes =
            preg_match(
                '/\\b(explode|str_starts_with|str_ends_with|str_contains|m?b?_?strr?pos|(mb_)?substr)\\(/',
                $text,
            ) === 1;
        if ($takes && ! array_any(DOORS, static fn (string $door): bool => str_starts_with($name, $door))) {
            $apart[] = $name;
        }
    }
    sort($apart);

    expect($apart)->toBe([]);
});

// Screws, ends, leads and parts have their makers in `Point`: no other file puts one together from its pieces.
it('puts a name of the circuit together only in its own room', function (): void {
    $root = dirname(__DIR__).'/src/';
    $glued = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($root)) as $file) {
        $name = substr((string) $file, strlen($root));
        $text = str_ends_with($name, '.php') ? (string) file_get_contents((string) $file) : '';
        $ends = 'near|far|mid|joint|fuse|hot|common|in|out|h1|h2|mains|primary|winding';
        $pattern = '/"(wall|indoor|outdoor|module)\.\{|\}\.('.$ends.')\b/';
        if (! str_starts_with($name, 'Point') && preg_match($pattern, $text) === 1) {
            $glued[] = $name;
        }
    }
    sort($glued);

    expect($glued)->toBe([]);
});
