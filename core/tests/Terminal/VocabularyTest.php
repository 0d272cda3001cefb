<?php

declare(strict_types=1);

use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Terminal\Vocabulary;

it('resolves what is printed', function (
    string $printed,
    ?TerminalName $name,
    bool $ambiguous,
    bool $heatPump = false,
): void {
    $terminal = Vocabulary::resolve($printed, Place::Wall, $heatPump);

    expect($terminal->name)->toBe($name)->and($terminal->ambiguous)->toBe($ambiguous);
})->with([
    ['r', TerminalName::R, false],
    ['RC', TerminalName::Rc, false],
    ['rh', TerminalName::Rh, false],
    ['V', TerminalName::R, false],
    ['4', TerminalName::Rh, false],
    ['COM', TerminalName::C, false],
    ['m', TerminalName::Y1, false],
    ['Y-2', TerminalName::Y2, false],
    ['G1', TerminalName::G, false],
    ['W', TerminalName::W1, false],
    ['W2/AUX', TerminalName::Aux, false],
    ['o/b', TerminalName::OB, false],
    ['EM', TerminalName::E, false],
    'B without a valve is most likely the common' => ['B', TerminalName::C, true],
    'B on a heat pump is most likely the valve' => ['B', TerminalName::B, true, true],
    ['X', TerminalName::C, true],
    ['H', TerminalName::W1, true],
    ['F', TerminalName::G, true],
    ['D', null, true],
    'an unknown letter is kept and flagged' => ['Q', null, true],
]);

it('keeps an unknown letter as it is written', function (): void {
    expect(Vocabulary::resolve('q9', Place::Wall)->printed)
        ->toBe('q9')
        ->and(Vocabulary::knows('q9', Place::Wall))
        ->toBeFalse()
        ->and(Vocabulary::knows('D', Place::Wall))
        ->toBeTrue();
});
