<?php

declare(strict_types=1);

use Unionbit\Core\Figures\Figure\Figure;
use Unionbit\Core\Figures\Figures;
use Unionbit\Core\Figures\OverflowPlacement;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Tests\Support\House;

// Every figure on record: what it asks for, what it says of the plain values, and where its verdict turns as one value
// is moved through all that is allowed.

/** @return array<string, float> values with which a figure can be computed at all */
function plainValues(Figure $figure, ?Plan $plan): array
{
    $values = [];
    foreach ($figure->inputs($plan) as $input) {
        if ($input->value !== null || ! $input->optional) {
            $values[$input->key] =
                $input->value ?? ($input->min + min($input->max, 60.0 * max(1.0, $input->min))) / 2;
        }
    }

    return $values;
}

/** @return list<string> the tone and every code of what it says, without the numbers that move with the value */
function verdictAt(Figure $figure, array $values, ?Plan $plan): array
{
    $result = $figure->compute($values, $plan);
    preg_match_all('/figures\.[\w.-]+/', (string) json_encode(coded($result->verdict)), $codes);
    $missing = array_keys(array_filter($result->lines, fn (array $line): bool => $line['value'] === null));

    return [$result->tone, ...$codes[0], ...array_map(fn (int $i): string => "no line {$i}", $missing)];
}

dataset('figures', array_map(fn (Figure $figure): string => $figure->key(), Figures::all()));

it('asks, says and turns as it is on record', function (string $key): void {
    $figure = Figures::named($key) ?? throw new LogicException($key);
    $told = [];
    foreach (
        [
            'no house' => null,
            'furnace' => House::example('furnace-gas-2h-2c'),
            'heat pump' => House::example('heat-pump-o-2c-2aux'),
            'dual fuel' => House::example('dual-fuel-o-2c-2h'),
            'own transformer' => House::example('furnace-oil-own-transformer-1c'),
        ] as $house => $plan
    ) {
        foreach ($figure->inputs($plan) as $input) {
            $asked = $input->toArray();
            $told["{$house} asks {$input->key}"] = array_filter(
                coded($input->toArray()),
                fn (mixed $value, string $part): bool => $value !==
                    ($told["no house asks {$input->key}"][$part] ?? null),
                ARRAY_FILTER_USE_BOTH,
            );
        }
        $values = plainValues($figure, $plan);
        $told["{$house} says"] = $figure->compute($values, $plan)->toArray();
        if ($plan !== null) {
            continue;
        }
        foreach ($figure->inputs($plan) as $input) {
            $told["{$house} turns with {$input->key}"] = turning(
                fn (float $x): string => implode(', ', verdictAt($figure, [$input->key => $x] + $values, $plan)),
                $input->min,
                $input->max,
            );
            foreach ([$input->min, ($input->min * 3 + $input->max) / 4, $input->max] as $value) {
                $told["{$house} with {$input->key} {$value}"] = array_map(
                    fn (array $line): mixed => $line['value'],
                    $figure->compute([$input->key => $value] + $values, $plan)->lines,
                );
            }
        }
    }

    expect(lines($told))->toBe(onRecord("figures-{$key}", lines($told)));
})->with('figures');

it('places the overflow switch as it is on record', function (): void {
    $told = [];
    foreach (
        ['furnace-gas-1h-1c', 'heat-pump-o-2c-2aux', 'dual-fuel-b-1c-1h', 'air-handler-cool-1c'] as $archetype
    ) {
        foreach (OverflowPlacement::pans(House::example($archetype))[0]['ways'] as $at => $way) {
            $told["{$archetype} {$at}"] = $way;
        }
    }

    expect(lines($told))->toBe(onRecord('figures-overflow', lines($told)));
});
