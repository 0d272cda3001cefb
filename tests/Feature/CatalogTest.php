<?php

declare(strict_types=1);

use App\House\Catalog;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use Unionbit\Core\Terminal\TerminalName;

it('holds every file of the catalogue against its schema', function (string $folder, string $schema): void {
    $files = glob(base_path("catalog/{$folder}.json")) ?: [];
    expect($files)->not->toBe([]);
    foreach ($files as $file) {
        $result = (new Validator())->validate(
            json_decode((string) file_get_contents($file)),
            (string) file_get_contents(base_path("catalog/{$schema}.schema.json")),
        );
        $errors = $result->isValid() ? [] : (new ErrorFormatter())->format($result->error());
        expect($errors)->toBe([], basename($file));
    }
})->with([
    ['units/*', 'unit'],
    ['equipment', 'equipment'],
    ['thermostats/*', 'thermostat'],
    ['faults/*', 'faults'],
]);

it('refers only to screws, loads and points that exist', function (): void {
    foreach (array_map(app(Catalog::class)->archetype(...), app(Catalog::class)->shelf()->ids()) as $archetype) {
        $loads = array_map(fn ($load) => $load->id, $archetype->loads);
        foreach ($archetype->needs as $call => $needed) {
            expect(array_diff($needed, $loads))->toBe([], "{$archetype->id}, {$call}");
        }
        $screws = array_map(fn ($terminal) => $terminal->point(), $archetype->terminals);
        foreach ($archetype->transformers as $transformer) {
            // A common can stay inside the unit, where a load returns to it.
            expect($screws)
                ->toContain($transformer->hot)
                ->and([...$screws, ...array_map(fn ($load) => $load->to, $archetype->loads)])
                ->toContain($transformer->common);
        }
    }
    $asks = [TerminalName::Acc2, TerminalName::Hum, TerminalName::Deh];
    foreach (app(Catalog::class)->profiles() as $profile) {
        $printed = array_map(fn ($terminal) => $terminal->printed, $profile->terminals);
        foreach ($profile->terminals as $terminal) {
            expect($terminal->hot === null || in_array($terminal->hot, $printed, true))
                ->toBeTrue("{$profile->id}: {$terminal->printed}")
                // What asks for humidity is switched too, and is no call of heat or cooling.
                ->and($terminal->name->isCall() || in_array($terminal->name, $asks, true))
                ->toBe($terminal->hot !== null);
        }
        expect(array_diff($profile->link ?? [], $printed))->toBe([]);
    }
});
