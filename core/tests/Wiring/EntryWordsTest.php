<?php

declare(strict_types=1);

use Unionbit\Core\Terminal\Colour;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Wiring\Entry\ConductorEntry;
use Unionbit\Core\Wiring\Entry\EntryWords;

it('offers nothing that the line would not take', function (): void {
    ['colours' => $colours, 'plate' => $plate, 'flags' => $flags] = EntryWords::offered();
    $problems = static fn (string $line): array => ConductorEntry::parse($line, Place::Wall, Place::Indoor, [])
        ->problems;

    foreach ($colours as ['key' => $key, 'word' => $word]) {
        $entry = ConductorEntry::parse(said($word).' R>R', Place::Wall, Place::Indoor, []);
        expect($entry->problems)->toBe([])->and($entry->colour)->toBe(Colour::from($key));
    }
    foreach ($plate as $letter) {
        expect($problems($letter === 'cap' ? 'red cap' : "red {$letter}>-"))->toBe([], $letter);
    }
    foreach ($flags as $flag) {
        expect($problems('red R>R '.($flag === 'splice' ? 'splice gray' : $flag)))->toBe([], $flag);
    }
    expect($problems('mauve R>R'))->not->toBe([])->and($problems('red R>R blinking'))->not->toBe([]);
});
