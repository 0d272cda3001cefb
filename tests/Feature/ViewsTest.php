<?php

declare(strict_types=1);

use App\House\BoardView;
use App\House\Catalog;
use App\House\ConductorView;
use App\House\House;
use App\Models\Job;
use App\Records\MeterValue;
use Unionbit\Core\Circuit\Meter\MeterMode;
use Unionbit\Core\Job\File\ExampleHouse;
use Unionbit\Core\Planning\Plan\LetterToLetter;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Wiring\Entry\ConductorEntry;

it('reads a meter as people type it', function (string $typed, MeterMode $mode, ?float $value): void {
    expect(MeterValue::parse($typed, $mode))->toBe($value);
})->with([
    ['26.4', MeterMode::Volts, 26.4],
    ['26,4', MeterMode::Volts, 26.4],
    ['27.0V', MeterMode::Volts, 27.0],
    [' 0 ', MeterMode::Volts, 0.0],
    ['.5', MeterMode::Ohms, 0.5],
    ['1e3', MeterMode::Ohms, 1000.0],
    ['OL', MeterMode::Ohms, null],
    ['o.l', MeterMode::Beep, null],
    ['open', MeterMode::Ohms, null],
    ['0.36', MeterMode::Amps, 0.36],
]);

it('refuses what no meter shows', function (string $typed, MeterMode $mode, string $says): void {
    expect(fn () => MeterValue::parse($typed, $mode, 'volts'))->toThrow(
        fn (App\House\Refused $e) => expect($e->problems['volts'][0])->toContain($says),
    );
})->with([
    ['', MeterMode::Volts, 'missing'],
    ['24mV', MeterMode::Volts, '"24mV" is no reading'],
    ['24V', MeterMode::Ohms, '"24V" is no reading'],
    ['−5', MeterMode::Volts, 'no sign'],
    ['601', MeterMode::Volts, '0 to 600 V'],
    ['OL', MeterMode::Amps, 'OL is no reading in A'],
    ['61', MeterMode::Amps, '0 to 60 A'],
    ['1e9', MeterMode::Ohms, 'or OL for over-limit'],
    ['NaN', MeterMode::Ohms, 'no reading'],
]);

it('writes for each conductor the line that describes it', function (): void {
    foreach (array_map(app(Catalog::class)->archetype(...), app(Catalog::class)->shelf()->ids()) as $archetype) {
        $house = ExampleHouse::of($archetype);
        $screws = $archetype->lettersByPlace();
        foreach ($house->cables as $cable) {
            foreach (ConductorView::cable($cable, $house)['conductors'] as $index => $row) {
                $entry = ConductorEntry::parse(
                    $row['line'],
                    $cable->from,
                    $cable->to,
                    $screws,
                    $archetype->reverses,
                );
                expect($entry->problems)
                    ->toBe([], "{$archetype->id}: {$row['line']}")
                    ->and(
                        $entry
                            ->toConductor($row['number'])
                            ->in($cable->id)
                            ->withNear($cable->conductors[$index]->near),
                    )
                    ->toEqual($cable->conductors[$index])
                    // Letters are compared without regard to case.
                    ->and(
                        strcasecmp(
                            (string) $entry->near?->terminal,
                            (string) $cable->conductors[$index]->near->terminal,
                        ),
                    )
                    ->toBe(0);
            }
        }
    }
});

/** @return array<string, string> what hangs on each board screw, by letter */
function hangs(string $archetype): array
{
    $house = ExampleHouse::of(app(Catalog::class)->archetype($archetype));
    $profile = app(Catalog::class)->profile('c-powered-3h-2c');
    $board = BoardView::of(new Plan($house, $profile, LetterToLetter::landing($house, $profile)));

    return array_column(
        array_map(
            static fn (array $row): array => [$row['board'], $row['load']['label'] ?? 'nothing'],
            $board['rows'],
        ),
        1,
        0,
    );
}

it('finds on the circuit what hangs on each screw', function (string $archetype, array $wanted): void {
    expect(array_intersect_key(hangs($archetype), $wanted))->toEqual($wanted);
})->with([
    [
        'furnace-gas-1h-1c',
        [
            'R' => 'transformer, 40 VA',
            'W' => 'ignition control',
            'G' => 'blower relay',
            'Y' => 'contactor',
            'C' => 'return',
        ],
    ],
    [
        'heat-pump-o-1c-1aux',
        ['Y' => 'outdoor Y input', 'O' => 'reversing valve', 'W' => 'strip heat', 'E' => 'strip heat'],
    ],
    ['heat-pump-o-1c-1aux-e-relay', ['E' => 'E relay']],
    [
        'boiler-zone-valve-1c',
        ['R' => 'transformer, 40 VA', 'RH' => 'transformer, 40 VA', 'W' => 'zone valve motor'],
    ],
    ['furnace-oil-own-transformer-1c', ['RH' => 'transformer, 20 VA', 'W' => 'burner relay']],
    [
        'dual-fuel-o-2c-2h',
        [
            'R' => 'transformer, 75 VA',
            'W1' => 'ignition control',
            'W2' => 'high heat input',
            'Y2' => 'second stage',
            'HUM' => 'humidifier relay',
        ],
    ],
]);

it('shows a module\'s leads where the outputs stand at the equipment', function (): void {
    $house = ExampleHouse::of(app(Catalog::class)->archetype('furnace-gas-1h-1c'));
    $profile = app(Catalog::class)->profile('radio-pair-receiver');
    $board = BoardView::of(new Plan($house, $profile, LetterToLetter::landing($house, $profile)));

    expect($board['module'])
        ->toBe(['R to R', 'W to W', 'G to G', 'Y to Y', 'C to C'])
        ->and($board['wallStubs'])
        ->toBe([])
        ->and(array_column($board['rows'], 'lands'))
        ->each->toBeNull();
});

it('marks a conductor as moved by what it means, not by how the plate prints it', function (): void {
    $job = Job::query()->findOrFail(Job::factory()->planned()->create()->id);
    $plan = House::of($job)->plan ?? throw new LogicException('no plan');
    expect(array_column(BoardView::of($plan)['rows'], 'moved'))->each->toBeFalse();

    (new App\Plan\Edit\LandConductor('A3', 'W1'))->apply(
        $job,
        App\Models\Crew\User::query()->oldest('id')->firstOrFail(),
    );
    $job->version++;
    $rows = BoardView::of(House::of($job)->plan ?? throw new LogicException('no plan'))['rows'];
    expect(array_column($rows, 'moved', 'number'))->toBe([
        1 => false,
        2 => false,
        3 => true,
        4 => false,
        5 => false,
    ]);
});
