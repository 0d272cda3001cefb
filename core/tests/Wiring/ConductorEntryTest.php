<?php

declare(strict_types=1);

use Unionbit\Core\Terminal\Colour;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Tests\Support\House;
use Unionbit\Core\Wiring\EndState;
use Unionbit\Core\Wiring\Entry\ConductorEntry;
use Unionbit\Core\Wiring\Evidence;

function understood(string $line): ConductorEntry
{
    return ConductorEntry::parse($line, Place::Wall, Place::Indoor, [
        'indoor' => House::archetype()->printedAt(Place::Indoor),
    ]);
}

it('understands the usual ways of writing a conductor', function (
    string $line,
    Colour $colour,
    string $near,
    string $far,
    Evidence $evidence,
): void {
    $entry = understood($line);

    expect($entry->problems)
        ->toBe([])
        ->and([$entry->colour, $entry->near?->label(), $entry->far?->label(), $entry->evidence])
        ->toBe([$colour, $near, $far, $evidence]);
})->with([
    ['red R>R !', Colour::Red, 'R', 'R', Evidence::Traced],
    ['wht W1 > W traced', Colour::White, 'W1', 'W', Evidence::Traced],
    ['grn g>g?', Colour::Green, 'G', 'G', Evidence::ColourOnly],
    ['blu com → C seen', Colour::Blue, 'COM', 'C', Evidence::Seen],
    ['yel Y>Y1 !', Colour::Yellow, 'Y', 'Y', Evidence::Traced],
    ['brn - > - spare', Colour::Brown, 'spare', 'spare', Evidence::Unknown],
    ['blk cap', Colour::Black, 'capped', 'capped', Evidence::Unknown],
    ['org cut > -', Colour::Orange, 'cut', 'spare', Evidence::Unknown],
    ['gray "Q7">C !', Colour::Grey, 'Q7', 'C', Evidence::Traced],
]);

it('takes a number, a stripe and a splice', function (): void {
    $entry = understood('7 wht/red Y>Y ! splice brown');

    expect($entry->number)
        ->toBe(7)
        ->and($entry->stripe)
        ->toBe(Colour::Red)
        ->and($entry->colourAfterSplice)
        ->toBe(Colour::Brown)
        ->and($entry->isComplete())
        ->toBeTrue();
});

it('names the part that failed, its value and what is allowed, and keeps the rest', function (
    string $line,
    string $field,
    string $value,
    string $says,
): void {
    $entry = understood($line);

    expect($entry->isComplete())
        ->toBeFalse()
        ->and($entry->problems[0]->field)
        ->toBe($field)
        ->and($entry->problems[0]->value)
        ->toBe($value)
        ->and($entry->problems[0]->message)
        ->toContain($says);
})->with([
    'unknown colour' => ['mauve R>R !', 'colour', 'mauve', 'red, white, green'],
    'unknown board terminal' => [
        'blk L>Q !',
        'far',
        'Q',
        'No terminal Q on this indoor board. It has R, W, G, Y and C',
    ],
    'unknown wall letter' => ['blk Q>C', 'near', 'Q', 'put it in quotes'],
    'unknown flag' => ['blk C>C maybe', 'flag', 'maybe', 'traced, seen'],
    'no ends' => ['blk', 'ends', '', 'cap for a spare'],
    'missing board end' => ['blk C>', 'far', '', 'indoor board end is missing'],
    'number out of range' => ['77 blk C>C', 'number', '77', '1 to 50'],
    'empty' => ['', 'colour', '', 'Start with the color'],
]);

it('keeps what parsed beside the problem', function (): void {
    $entry = understood('blk L>Q !');

    expect($entry->colour)
        ->toBe(Colour::Black)
        ->and($entry->near?->terminal)
        ->toBe('L')
        ->and($entry->evidence)
        ->toBe(Evidence::Traced);
});

it('leaves the free end free when the other is landed', function (): void {
    expect(understood('wht W>- spare')->far?->state)
        ->toBe(EndState::Spare)
        ->and(understood('wht W>- spare')->near?->terminal)
        ->toBe('W');
});
