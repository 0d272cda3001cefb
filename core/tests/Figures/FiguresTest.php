<?php

declare(strict_types=1);

use Unionbit\Core\Figures\Air\BalancePoint;
use Unionbit\Core\Figures\Figure\Figure;
use Unionbit\Core\Figures\Figure\Input;
use Unionbit\Core\Figures\Figures;
use Unionbit\Core\Figures\OverflowPlacement;
use Unionbit\Core\Tests\Support\House;
use Unionbit\Core\Wiring\End;
use Unionbit\Core\Wiring\EndState;
use Unionbit\Core\Wiring\Landing;

/**
 * @param  array<string, mixed>  $given
 * @return array{lines: array<string, ?float>, tone: string, verdict: string}
 */
function figure(string $key, array $given, ?string $archetype = null): array
{
    $figure = Figures::named($key) ?? throw new LogicException("no figure {$key}");
    $plan = $archetype === null ? null : House::example($archetype);
    $values = Figures::values($figure, $given, $plan) ?? throw new LogicException('an input is missing');
    $result = $figure->compute($values, $plan);
    $lines = said($result->lines);

    return [
        'lines' => array_column(array_map(static fn (array $l): array => [$l['label'], $l['value']], $lines), 1, 0),
        'tone' => $result->tone,
        'verdict' => said($result->verdict),
    ];
}

// Each expected figure is worked out by hand beside it.
it('agrees with examples worked out by hand', function (
    string $key,
    array $given,
    string $line,
    float $expected,
    float $within,
    string $tone,
): void {
    $got = figure($key, $given);

    expect($got['lines'][$line])->toEqualWithDelta($expected, $within)->and($got['tone'])->toBe($tone);
})->with([
    'return: 20 by 20 at 300 ft/min, 70 % free: 583 of 1200' => [
        // 20 × 20 × 0.7 ÷ 144 × 300 = 583.3; missing 616.7; ÷ 400 × 144 ÷ 0.7 ÷ 14 = 22.7 in
        'return-air',
        ['tons' => 3, 'free' => 70, 'width' => 14, 'w1' => 20, 'h1' => 20, 'before1' => 300],
        'New opening, height',
        22.65,
        0.05,
        'fault',
    ],
    'return: a second grille after the work' => [
        // after: 583.3 + 10 × 20 × 0.7 ÷ 144 × 650 = 583.3 + 631.9
        'return-air',
        [
            'tons' => 3,
            'w1' => 20,
            'h1' => 20,
            'before1' => 300,
            'after1' => 300,
            'w2' => 10,
            'h2' => 20,
            'after2' => 650,
        ],
        'Gained',
        631.9,
        0.1,
        'verd',
    ],
    'charge: 12 of 10 degrees of subcooling fits' => [
        'charge',
        ['perTon' => 400, 'subcooling' => 12, 'subcoolingTarget' => 10],
        'Subcooling off the plate',
        2.0,
        0.01,
        'verd',
    ],
    'charge: 22 of 10 degrees of superheat' => [
        'charge',
        ['perTon' => 400, 'superheat' => 22, 'superheatTarget' => 10],
        'Superheat off the plate',
        12.0,
        0.01,
        'caution',
    ],
    'gas: 4.1 for 3.5 inches' => ['gas-pressure', ['high' => 4.1], 'High fire off the plate', 0.6, 0.01, 'fault'],
    'gas: low fire within' => [
        'gas-pressure',
        ['high' => 3.4, 'low' => 1.8],
        'Low fire off the plate',
        0.1,
        0.01,
        'verd',
    ],
    'two ways: 900 now against 300 now and 80 a year over 10 years' => [
        // A 60 + 7 × 120 = 900; B 60 + 2 × 120 + 10 × 80 = 1100; pays back in 600 ÷ 80
        'two-ways',
        ['partsA' => 60, 'hoursA' => 7, 'partsB' => 60, 'hoursB' => 2, 'yearlyB' => 80],
        'Years until the dearer one has paid',
        7.5,
        0.01,
        'muted',
    ],
    'strips: 10 kW of 240 on 208: 36.1 A' => [
        // 10 × (208 ÷ 240)² = 7.51 kW ÷ 208
        'aux-heat',
        ['kw' => 10, 'rated' => 240, 'volts' => 208],
        'Amperes now',
        36.11,
        0.01,
        'verd',
    ],
    'no heat above 60 instead of 65: the balance point falls' => [
        // load 36000 × (60 − t) ÷ 45, capacity 21600 + 480 × (t − 17): 34560 ÷ 1280
        'balance',
        [
            'heatLoss' => 36_000,
            'designTemp' => 15,
            'noHeat' => 60,
            'capacity47' => 36_000,
            'capacity17' => 21_600,
        ],
        'Thermal balance point',
        27.0,
        0.05,
        'verd',
    ],
    '45 VA on 40 VA: 112.5 %' => [
        'transformer-load',
        ['rating' => 40, 'sum' => 45],
        'Share of the rating',
        112.5,
        0.01,
        'fault',
    ],
    '2 × 100 ft × 0.00639 = 1.278 Ω' => [
        'voltage-drop',
        ['feet' => 100, 'gauge' => 18, 'rating' => 40],
        'Copper out and back',
        1.278,
        0.001,
        'verd',
    ],
    // Contactor at rest 30 VA at 0.75: 19.2 Ω = 14.4 + j12.7. 26.88 × 19.2 ÷ |14.4 + 1.728 + 1.278 + j12.7| = 516.1 ÷
    // 21.55
    'at the coil at rest 23.95 V' => [
        'voltage-drop',
        ['feet' => 100, 'gauge' => 18, 'rating' => 40],
        'Volts at the coil before it pulls in',
        23.95,
        0.05,
        'verd',
    ],
    // 26.88 × 19.2 ÷ 18 = 28.67 Ω; √(28.67² − 12.7²) = 25.71; less 14.4 and 1.728 leaves 9.58 Ω ÷ (2 × 0.02567) =
    // 186.6 ft
    'longest run on 24 AWG 186.6 ft' => [
        'voltage-drop',
        ['feet' => 300, 'gauge' => 24, 'rating' => 40],
        'Longest run at this line',
        186.6,
        1.0,
        'fault',
    ],
    // 26.88 ÷ (1.728 + 2 × 120 × 0.01614) = 26.88 ÷ 5.6016
    '120 ft of 22 AWG lets 4.8 A flow' => [
        'fuse',
        ['fuse' => 5, 'feet' => 120, 'gauge' => 22, 'rating' => 40],
        'Short at the far end',
        4.8,
        0.01,
        'fault',
    ],
    '1.35 × 3 × 24 = 97.2 VA' => [
        'fuse',
        ['fuse' => 3, 'feet' => 20, 'gauge' => 18, 'rating' => 40],
        'The fuse holds for ever',
        97.2,
        0.01,
        'caution',
    ],
    '24 × 1.12 × 208 ÷ 240 = 23.3 V' => ['tap', ['line' => 208, 'tap' => 240], 'Now', 23.296, 0.001, 'fault'],
    '240 on 208: 31.0 V' => ['tap', ['line' => 240, 'tap' => 208], 'Now', 31.015, 0.001, 'fault'],
    'right lead' => ['tap', ['line' => 206, 'tap' => 208], 'On the 208 V lead', 26.62, 0.01, 'verd'],
    '9 of 13 Ω is 69 %' => ['coil', ['expected' => 13, 'measured' => 9], 'Of the expected', 69.23, 0.01, 'caution'],
    'coil short' => ['coil', ['expected' => 13, 'measured' => 2], 'Of the expected', 15.38, 0.01, 'fault'],
    'coil good' => ['coil', ['expected' => 13, 'measured' => 13.4], 'Of the expected', 103.08, 0.01, 'verd'],
    'coil over limit' => [
        'coil',
        ['expected' => 13, 'measured' => 'OL'],
        'Of the expected',
        769223.08,
        1.0,
        'fault',
    ],
    'coil open' => ['coil', ['expected' => 13, 'measured' => 99999], 'Of the expected', 769223.08, 1.0, 'fault'],
    '7 needed, 1 spare: 18/8' => [
        'cable',
        ['needed' => 7, 'accessories' => 0, 'path' => 40, 'slack' => 6],
        'Cable',
        8.0,
        0.0,
        'verd',
    ],
    '9 needed: 18/10' => ['cable', ['needed' => 8, 'accessories' => 1, 'path' => 40], 'Cable', 10.0, 0.0, 'verd'],
    '10 kW of 240 V on 208 V: 7.511 kW' => [
        'aux-heat',
        ['kw' => 10, 'rated' => 240, 'volts' => 208],
        'Power now',
        7.511,
        0.001,
        'verd',
    ],
    '7.511 kW × 3412 = 25 628 BTU/h' => [
        'aux-heat',
        ['kw' => 10, 'rated' => 240, 'volts' => 208],
        'Heat',
        25628.0,
        5.0,
        'verd',
    ],
    '34 120 ÷ (1.08 × 40) = 789.8 CFM' => [
        'aux-heat',
        ['kw' => 10, 'volts' => 240, 'rise' => 40],
        'Airflow for the rise',
        789.8,
        0.1,
        'verd',
    ],
    '900 ÷ 3 = 300 a ton' => ['airflow', ['tons' => 3, 'cfm' => 900], 'Shortfall', 150.0, 0.01, 'fault'],
    'enough air' => ['airflow', ['tons' => 3, 'cfm' => 1200], 'Air against capacity', 400.0, 0.01, 'verd'],
    'return too small' => [
        'airflow',
        ['tons' => 3, 'cfm' => 1200, 'return' => 300],
        'Speed at the return grille',
        576.0,
        0.01,
        'caution',
    ],
    'cooling split' => [
        'split',
        ['return' => 75, 'supply' => 57, 'mode' => 1],
        'Supply less return',
        -18.0,
        0.0,
        'verd',
    ],
    'heats in cooling' => [
        'split',
        ['return' => 75, 'supply' => 95, 'mode' => 1],
        'Supply less return',
        20.0,
        0.0,
        'fault',
    ],
    // Load 36000 × (65 − t) ÷ 50 = 720 (65 − t); capacity 21600 + 480 (t − 17). 46800 − 720 t = 13440 + 480 t
    'balance at 27.8 °F' => [
        'balance',
        ['heatLoss' => 36000, 'designTemp' => 15, 'capacity47' => 36000, 'capacity17' => 21600],
        'Thermal balance point',
        27.8,
        0.05,
        'verd',
    ],
    // COP needed 0.16 × 100000 × 0.92 ÷ (3412 × 1.4) = 3.082; 17 + (3.082 − 2.3) ÷ (1.1 ÷ 30) = 38.3 °F
    'gas cheaper under 38.3 °F' => [
        'balance',
        ['priceElectric' => 0.16, 'priceGas' => 1.4, 'efficiency' => 92, 'cop47' => 3.4, 'cop17' => 2.3],
        'Economic changeover',
        38.3,
        0.1,
        'verd',
    ],
    'the higher of both, next five' => [
        'balance',
        ['priceElectric' => 0.16, 'priceGas' => 1.4, 'efficiency' => 92],
        'Suggested changeover, compressor lockout',
        40.0,
        0.0,
        'verd',
    ],
]);

it('names input, value and what is allowed, and waits for what is missing', function (): void {
    $figure = Figures::named('coil') ?? throw new LogicException('no figure');

    expect(Figures::values($figure, [], null))
        ->toBeNull()
        ->and(fn (): ?array => Figures::values($figure, ['measured' => -3], null))
        ->toThrow(refusing('/measured: is -3 Ω; allowed: measured; OL for over limit from 0 Ω to 99,999 Ω'));
});

it('fills from the house and follows its circuit', function (): void {
    $plan = House::example('dual-fuel-o-2c-2h');
    $load = figure('transformer-load', [], 'dual-fuel-o-2c-2h');

    expect(array_filter(array_keys($load['lines']), static fn (string $l): bool => str_contains($l, 'Defrost')))
        ->not->toBe([])
        ->and($load['verdict'])
        ->toContain('% of the rating at most, in')
        ->and(BalancePoint::changeover(BalancePoint::valuesOf($plan)))
        ->toBe(40.0);
    foreach (Figures::all() as $figure) {
        foreach ($figure->inputs($plan) as $input) {
            expect($input->source)->not->toBe('', "{$figure->key()} {$input->key}");
        }
    }
});

it('leaves empty what a house gives and cannot be right, and says so, on every kind of equipment', function (
    string $archetype,
): void {
    $plan = House::example($archetype);
    $nothing = array_map(static fn (): End => End::free(EndState::Capped), $plan->landing->wall);
    $bare = $plan->landed(new Landing($nothing));
    $cable = Figures::named('cable') ?? throw new LogicException('no figure');
    foreach (Figures::all() as $figure) {
        $values = Figures::values($figure, [], $bare);
        if ($values !== null) {
            expect($figure->compute($values, $bare)->verdict)->not->toBe('');
        }
    }

    expect($cable->inputs($bare)[0]->value)
        ->toBeNull()
        ->and($cable->inputs($bare)[0]->source)
        ->toBe('the plan says 0, which cannot be')
        ->and(Figures::values($cable, [], $bare))
        ->toBeNull()
        ->and(Figures::values($cable, ['needed' => 5], $bare))
        ->not->toBeNull();
})->with(House::ids('equipment'));

it('finds by the circuit where an overflow switch goes', function (
    string $archetype,
    string $profile,
    string $best,
    array $against,
): void {
    $pan = OverflowPlacement::pans(House::example($archetype, $profile))[0];
    $ways = array_column($pan['ways'], null, 'key');

    expect(array_values(array_filter($ways, static fn (array $w): bool => $w['best']))[0]['key'] ?? null)->toBe(
        $best,
    );
    foreach ($against as $key => $why) {
        expect(said($ways[$key]['why']))->toBe($why, $key);
    }
})->with([
    'C-powered, cooling' => [
        'furnace-gas-1h-1c',
        'c-powered-1h-1c',
        'Y',
        ['R' => 'the thermostat goes blank or loses its charge', 'W' => 'goes on making water: Cool 1: contactor'],
    ],
    'batteries: R works too' => [
        'furnace-gas-1h-1c',
        'battery-1h-1c',
        'Y',
        ['R' => 'Fan and Heat 1 stop as well', 'Y+W relay' => 'Heat 1 stops as well'],
    ],
    'heat pump' => [
        'heat-pump-o-1c-1aux',
        'battery-2h-1c-heat-pump',
        'Y',
        ['R' => 'Fan, Heat 1, Heat + aux and Emergency stop as well'],
    ],
    'two stages outdoors' => [
        'furnace-gas-2h-2c',
        'c-powered-3h-2c',
        'Y1+Y2 relay',
        [
            'Y1' => 'goes on making water: Cool 2: second stage',
            'Y1+Y2 relay' => 'it stops the water, and Fan, Heat 1 and Heat 2 still run; the thermostat stays on; '.
                'in Y1 alone Cool 2: second stage would go on making water',
        ],
    ],
    'charging through Y' => [
        'furnace-gas-1h-1c',
        'power-sharing-1h-1c',
        'Y',
        [
            'Y' => 'it stops the water, and Fan and Heat 1 still run; the thermostat stays on; '.
                'it loses its charge while the pan is wet, as it charges through that conductor',
        ],
    ],
]);

it('says of each way what stops and what goes on', function (): void {
    $ways = array_column(
        OverflowPlacement::pans(House::example('heat-pump-o-1c-1aux', 'c-powered-3h-2c'))[0]['ways'],
        null,
        'key',
    );

    expect($ways['Y']['stops'])
        ->toContain('Cool 1: contactor')
        ->and($ways['Y']['goesOn'])
        ->toContain('Cool 1: blower relay', 'Emergency: strip heat')
        ->and($ways['Y']['emergency'])
        ->toBeTrue()
        ->and($ways['R']['powered'])
        ->toBeFalse()
        ->and($ways['Y+W relay']['parts'])
        ->toBe(['relay, 24 V coil, 2 contacts']);
});

it('reads no charge before airflow', function (array $given, string $tone): void {
    $got = figure('charge', ['subcooling' => 10, 'subcoolingTarget' => 10, ...$given]);

    expect($got['tone'])
        ->toBe($tone)
        ->and($got['lines'])
        ->toBe([])
        ->and($got['verdict'])
        ->toContain('Airflow first');
})->with([[[], 'muted'], [['perTon' => 300], 'fault'], [['perTon' => 500], 'fault']]);

it('has what a supply has by itself once for each, with its own facts', function (): void {
    $plan = House::example('furnace-and-attic-air-handler-1c');
    $keys = array_map(static fn (Figure $f): string => $f->key(), Figures::of($plan));
    $feet = static fn (string $key): ?float => array_column(
        array_map(
            static fn (Input $i): array => [$i->key, $i->value],
            (Figures::named($key) ?? throw new LogicException($key))->inputs($plan),
        ),
        1,
        0,
    )['feet'] ?? null;
    $house = $plan->installation;
    $second = $house->transformers()[1];

    expect($keys)
        ->toContain('fuse', 'fuse@T2', 'tap@T2', 'voltage-drop@T2')
        ->and($feet("fuse@{$second->id}"))
        ->toBe($house->wallCables()[1]->feet)
        ->and($feet('voltage-drop@T2'))
        ->toBe($house->wallCables()[1]->feet + ($house->outdoorCable()->feet ?? 0.0))
        ->and(
            array_map(
                static fn (Figure $f): string => $f->key(),
                Figures::of(House::example('air-handler-cool-1c')),
            ),
        )
        ->not->toContain('gas-pressure', 'fuse@T2');
});
