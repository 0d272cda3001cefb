<?php

declare(strict_types=1);

use Unionbit\Core\Circuit\Meter\Meter;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Job\File\ConductorSchedule;
use Unionbit\Core\Job\File\ExampleHouse;
use Unionbit\Core\Job\File\SurveyFile;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Planning\Plan\LetterToLetter;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Proof\Simulation;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Tests\Support\House;
use Unionbit\Core\Wiring\Entry\ConductorEntry;

/** A house whose thermostat Y goes under a connector straight to the outdoor conductor, past the board's Y. */
function pigtailed(array $changes = []): array
{
    return array_replace_recursive(
        SurveyFile::write(House::survey()),
        [
            'cables' => [
                ['conductors' => [2 => ['far' => ['state' => 'spliced', 'terminal' => null, 'onto' => 'B1']]]],
                ['conductors' => [0 => ['near' => ['state' => 'spare', 'terminal' => null]]]],
            ],
        ],
        $changes,
    );
}

it('follows a splice to the load, in the plan and in the circuit', function (string $side): void {
    // Recorded on either conductor, the joint is the same copper.
    $survey =
        $side === 'wall cable'
            ? pigtailed()
            : array_replace_recursive(pigtailed(), [
                'cables' => [
                    ['conductors' => [2 => ['far' => ['state' => 'spare', 'onto' => null]]]],
                    ['conductors' => [0 => ['near' => ['state' => 'spliced', 'onto' => 'A3']]]],
                ],
            ]);
    $house = SurveyFile::read($survey, House::archetype());
    $profile = House::profile(House::C_POWERED);
    $plan = new Plan($house, $profile, LetterToLetter::landing($house, $profile));
    $proofs = array_column(
        array_map(static fn ($p): array => $p->toArray(), Simulation::prove($plan)),
        null,
        'call',
    );

    expect($plan->landing->wall['A3']->terminal)
        ->toBe('Y1')
        ->and($proofs['cool-1']['pulledIn'])
        ->toContain('contactor')
        ->and((new Meter($plan->circuit()))->volts(Setup::calling('Y1', 'G'), 'outdoor.Y', 'outdoor.C')->nominal)
        ->toBeGreaterThan(24.0)
        ->and(
            $plan
                ->circuit()
                ->operate(Setup::calling('Y1', 'G')->lifting('A3.far', 'B1.near'))
                ->pulledIn(),
        )
        ->not->toContain('contactor');
})->with(['wall cable', 'outdoor cable']);

it('refuses a splice that leads nowhere or round in a circle, with its pointer', function (
    array $changes,
    string $pointer,
    string $says,
): void {
    expect(fn () => SurveyFile::read(pigtailed($changes), House::archetype()))
        ->toThrow(refusing($says))
        ->and(fn () => SurveyFile::read(pigtailed($changes), House::archetype()))
        ->toThrow(fn (InvalidData $p) => expect($p->pointer)->toBe($pointer));
})->with([
    'no such conductor' => [
        ['cables' => [['conductors' => [2 => ['far' => ['onto' => 'B9']]]]]],
        '/cables/0/conductors/2/far/onto',
        'another conductor',
    ],
    'not at the same place' => [
        ['cables' => [['conductors' => [2 => ['near' => ['state' => 'spliced', 'onto' => 'B1']]]]]],
        '/cables/0/conductors/2/near/onto',
        'at the same place',
    ],
    'onto itself' => [
        ['cables' => [['conductors' => [2 => ['far' => ['onto' => 'A3']]]]]],
        '/cables/0/conductors/2/far/onto',
        'A3 → A3',
    ],
    'a circle of two' => [
        ['cables' => [1 => ['conductors' => [0 => ['near' => ['state' => 'spliced', 'onto' => 'A3']]]]]],
        '/cables/0/conductors/2/far/onto',
        'A3 → B1 → A3',
    ],
    'a circle of three' => [
        [
            'cables' => [
                ['conductors' => [0 => ['far' => ['state' => 'spliced', 'onto' => 'A3']]]],
                ['conductors' => [0 => ['near' => ['state' => 'spliced', 'onto' => 'A1']]]],
            ],
        ],
        '/cables/0/conductors/0/far/onto',
        'A1 → A3 → B1 → A1',
    ],
]);

it('takes a splice, a condition and measured ohms in one line', function (): void {
    $entry = ConductorEntry::parse('3 yel Y>@b1 ! loose exposed 0.6ohm', Place::Wall, Place::Indoor, [
        'indoor' => ['R', 'Y', 'C'],
    ]);
    $conductor = $entry->toConductor(3);

    expect($entry->problems)
        ->toBe([])
        ->and($conductor->far->onto)
        ->toBe('B1')
        ->and(array_column($conductor->condition, 'value'))
        ->toBe(['loose', 'exposed'])
        ->and($conductor->loopOhms)
        ->toBe(0.6)
        ->and($conductor->isSpare())
        ->toBeFalse();
});

it('writes the conductor schedule as rows and reads the same house back', function (string $archetype): void {
    $house = ExampleHouse::of(House::archetype($archetype));

    expect(ConductorSchedule::read(ConductorSchedule::rows($house), $house))->toEqual($house);
})->with(House::ids('equipment'));

it('keeps splices, conditions, ohms, notes and free ends through the schedule', function (): void {
    $house = SurveyFile::read(
        pigtailed([
            'cables' => [
                [
                    'conductors' => [
                        1 => [
                            'condition' => ['loose', 'crushed'],
                            'loopOhms' => 0.7,
                            'note' => 'behind the boiler',
                            'stripe' => 'red',
                            'colourAfterSplice' => 'brown',
                        ],
                        4 => [
                            'near' => ['state' => 'cut', 'terminal' => null],
                            'far' => ['state' => 'broken', 'terminal' => null],
                        ],
                    ],
                ],
            ],
        ]),
        House::archetype(),
    );

    expect(ConductorSchedule::read(ConductorSchedule::rows($house), $house))->toEqual($house);
});

it('names row, column, value and what is allowed in a schedule', function (array $row, string $says): void {
    $rows = [
        ['cable' => 'A', 'number' => '1', 'colour' => 'red', 'near' => 'R', 'far' => 'R', 'evidence' => 'seen'],
        [
            ...[
                'cable' => 'A',
                'number' => '2',
                'colour' => 'white',
                'near' => 'W',
                'far' => 'W',
                'evidence' => 'seen',
            ],
            ...$row,
        ],
    ];

    expect(fn (): Installation => ConductorSchedule::read($rows, House::survey()))->toThrow(refusing($says));
})->with([
    [['cable' => 'Z'], '/2/cable: is "Z"; allowed: A and B'],
    [['number' => '1'], '/2/number: is 1; allowed: a number that no other'],
    [['number' => '0'], '/2/number'],
    [['number' => '2.5'], '/2/number'],
    [['colour' => 'teal'], '/2/colour: is "teal"; allowed: red'],
    [['colour' => ''], '/2/colour'],
    [['evidence' => 'hearsay'], '/2/evidence'],
    [['near' => '(landed)'], '/2/near'],
    [['far' => 'a very long terminal'], '/2/far'],
    [['condition' => 'wet'], '/2/condition: is "wet"'],
    [['loop_ohms' => 'low'], '/2/loop_ohms'],
]);
