<?php

declare(strict_types=1);

use App\Jobs\Screen\JobSummaries;
use App\Models\Crew\User;
use App\Models\Job;
use App\Words\Lexicon;
use App\Words\Speaker;
use App\Words\Units;
use Unionbit\Core\Words\Quantity;
use Unionbit\Core\Words\Unit;

it('says a quantity in the units of the crew', function (
    float $value,
    Unit $unit,
    string $us,
    string $metric,
): void {
    $lexicon = new Lexicon('en', lang_path('en'));
    $quantity = Quantity::of($value, $unit);

    expect((new Speaker($lexicon, Units::Us))->quantity($quantity))
        ->toBe($us)
        ->and((new Speaker($lexicon, Units::Metric))->quantity($quantity))
        ->toBe($metric);
})->with([
    [100.0, Unit::Feet, '100 ft', '30.5 m'],
    [-40.0, Unit::Fahrenheit, '-40 °F', '-40.0 °C'],
    [32.0, Unit::Fahrenheit, '32 °F', '0.0 °C'],
    [9.0, Unit::FahrenheitSteps, '9 °F', '5.0 K'],
    [36000.0, Unit::BtuPerHour, '36,000 BTU/h', '10.6 kW'],
    [3.0, Unit::Tons, '3 tons', '10.6 kW'],
    [400.0, Unit::Cfm, '400 CFM', '188.8 L/s'],
    [144.0, Unit::SquareInches, '144 sq in', '929.0 cm²'],
    [500.0, Unit::FeetPerMinute, '500 ft/min', '2.5 m/s'],
    [350.0, Unit::CfmPerTon, '350 CFM a ton', '47.0 L/s a kW'],
    [0.00639, Unit::OhmsPerFoot, '0.00639 Ω/ft', '0.0210 Ω/m'],
    [24.0, Unit::Volts, '24 V', '24 V'],
]);

it('gives the interface the same conversions that it says', function (): void {
    $table = Units::Metric->table(fn (string $sign): string => $sign);
    foreach (Unit::cases() as $unit) {
        [$shown, $sign] = Units::Metric->shown(77.0, $unit);
        $row = $table[$unit->value] ?? ['unit' => $unit->value, 'factor' => 1.0, 'offset' => 0.0];

        expect($row['unit'])
            ->toBe($sign)
            ->and($row['factor'] * 77.0 + $row['offset'])
            ->toEqualWithDelta($shown, 1e-9);
    }
});

it('changes for the whole crew what is shown and typed, and nothing that is kept', function (): void {
    seedDemo();
    $job = Job::at('Tollhouse');
    installer($job);
    $other = User::query()->where('name', 'Sedge Barrow')->sole();
    $kept = fn (): mixed => json_decode((string) $this->get("/jobs/{$job->id}/job-file")->getContent(), true)[
        'survey'
    ];
    $before = $kept();

    $this->postJson('/crew/units', ['units' => 'leagues'])
        ->assertUnprocessable()
        ->assertJsonValidationErrors('units');
    expect(JobSummaries::of($job)->cable)->toContain('48 ft');
    $this->postJson('/crew/units', ['units' => 'metric'])->assertOk();
    $this->actingAs($other->refresh());

    expect(JobSummaries::of($job->refresh())->cable)
        ->toContain('14.6 m')
        ->and($this->get("/jobs/{$job->id}/survey")->inertiaProps('units.system'))
        ->toBe('metric')
        ->and($kept())
        ->toBe($before);
    $asked = collect($this->get("/jobs/{$job->id}/survey")->inertiaProps('questions'))->firstWhere(
        'key',
        'outdoorTons',
    );
    expect($asked['said'])->toBe('10.6 kW')->and($asked['value'])->toEqual(3);
    $bad = editSurvey($job, 'set-cable', ['cable' => 'A', 'gauge' => 18, 'feet' => 5000])
        ->assertUnprocessable()
        ->json('errors.feet.0');
    expect($bad)->toBe('The cable is 0.305 m to 304.8 m long.');
});

it('says nothing in other units to a crew that thinks in metric ones', function (string $site): void {
    seedDemo();
    $job = Job::at($site);
    installer($job);
    $told = function () use ($job): array {
        $all = [];
        foreach (['survey', 'plan', 'set', 'prove', 'handover', 'figures'] as $page) {
            $props = $this->get("/jobs/{$job->id}/{$page}")
                ->assertOk()
                ->inertiaProps();
            array_walk_recursive($props, function (mixed $said, int|string $key) use (&$all): void {
                // Figures that the page converts by itself carry the sign that it converts from; what a thermostat's
                // menu says is said as it stands on its display.
                $asIs = in_array($key, ['unit', 'xUnit', 'y', 'menu', 'menuValue'], true);
                if (is_string($said) && ! $asIs && preg_match('/°F|\b(ft|BTU|CFM|sq in)\b/', $said) === 1) {
                    $all[] = $said;
                }
            });
        }

        return array_values(array_unique($all));
    };
    expect(count($told()))->toBeGreaterThan(10);
    $this->postJson('/account/settings', ['units' => 'metric'])->assertOk();

    expect($told())->toBe([]);
})->with(['Tollhouse', 'Quay House']);
