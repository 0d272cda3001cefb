<?php

declare(strict_types=1);

use Unionbit\Core\Finding;
use Unionbit\Core\Screening\Screening;
use Unionbit\Core\Screening\SurveyReading;
use Unionbit\Core\Tests\Support\House;

function screened(string $code, array $changes = [], array $facts = [], array $readings = []): ?Finding
{
    $volts = array_map(static fn (float $v): SurveyReading => new SurveyReading('indoor.R', 'indoor.C', $v), $readings);
    foreach (Screening::check(House::survey($changes, $facts), $volts) as $finding) {
        if ($finding->code === $code) {
            return $finding;
        }
    }

    return null;
}

it('SC03 compares R–C with what line and tap give', function (array $facts, array $readings, string $severity, string $says): void {
    $finding = screened('SC03', facts: $facts, readings: $readings);

    expect($finding?->severity->value)->toBe($severity)->and($finding->title.' '.$finding->meaning)->toContain($says);
})->with([
    'not measured' => [[], [], 'note', 'not measured'],
    'right' => [['lineVolts' => 120, 'tapVolts' => 120], [26.9], 'good', '120 V line × 24 × 1.12 ÷ 120 V tap = 26.9 V'],
    'dead' => [[], [0.3], 'stop', 'dead'],
    'line voltage' => [[], [118.0], 'stop', 'line voltage'],
    '208 on a 240 tap reads plausible and is right for it' => [['lineVolts' => 208, 'tapVolts' => 240], [23.3], 'good', '23.3 V'],
    '240 on a 208 tap idles at 31' => [['lineVolts' => 240, 'tapVolts' => 240], [31.0], 'warning', 'too low a tap'],
    'sagging' => [['lineVolts' => 120, 'tapVolts' => 120], [22.0], 'warning', 'a load on the transformer'],
    'the last reading counts' => [[], [0.2, 26.8], 'good', '26.8'],
]);

it('SC09 offers an idle call terminal for a C screw without a conductor', function (): void {
    $finding = screened('SC09', [4 => ['near' => ['state' => 'spare']]]);

    expect($finding?->action)->toContain('read R to W (2 white) instead')->and($finding->conductors)->toBe(['A2'])
        ->and(screened('SC09'))->toBeNull();
});

it('SC10 trusts a traced odd colour and asks to trace a guessed one', function (string $evidence, string $severity): void {
    $finding = screened('SC10', [2 => ['colour' => 'blue', 'evidence' => $evidence]]);

    expect($finding?->severity->value)->toBe($severity)->and($finding->meaning)->toContain('Y1 is usually yellow', 'blue is often C')->and($finding->conductors)->toBe(['A3']);
})->with([['traced', 'note'], ['seen', 'note'], ['colour', 'warning'], ['unknown', 'warning']]);

it('SC15 judges the link against the transformers', function (string $link, string $severity): void {
    expect(screened('SC15', facts: ['plateLink' => $link])?->severity->value)->toBe($severity);
})->with([['in', 'good'], ['none', 'good'], ['out', 'warning'], ['unknown', 'note']]);
