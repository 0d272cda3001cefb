<?php

declare(strict_types=1);

use App\House\Catalog;
use App\Models\Job;

// What is said where line voltage can stand: no volts there, ohms with the power off.
const LINE = 'no volts with a control-circuit meter.';

$opens = function (int $nth): void {
    installer();
    foreach (app(Catalog::class)->shelf()->ids() as $n => $archetype) {
        $id = newId();
        $this->postJson('/jobs', [
            'id' => $id,
            'site' => 'Weir Pump Room',
            'kind' => 'replacement',
            'archetype' => $archetype,
            'feet' => '45',
            'example' => true,
        ])->assertCreated();
        $this->postJson("/jobs/{$id}/plan-edits", [
            'id' => newId(),
            'version' => 1,
            'op' => 'choose',
            'profile' => app(Catalog::class)->exampleThermostat(app(Catalog::class)->example($archetype)),
        ])->assertOk();
        $page = $this->get("/jobs/{$id}/plan")
            ->assertOk()
            ->inertiaProps();

        expect(array_column($page['plan']['proofs'], 'proved'))
            ->each->toBeTrue("{$archetype} is not proved")
            ->and(array_column($page['plan']['simulations'], 'call'))
            ->toBe(array_column($page['plan']['proofs'], 'call'));
        $last = end($page['plan']['simulations'])['call'];
        $some = fn (int $n): bool => $n % (5 * $nth) === 0;
        foreach (array_filter($page['points'], $some, ARRAY_FILTER_USE_KEY) as $point) {
            $refused = $this->postJson("/jobs/{$id}/expect", [
                'stage' => 'plan',
                'call' => $last,
                'mode' => 'V',
                'a' => $point['id'],
                'b' => $archetype === 'gas-valve-1h' ? 'indoor.R' : 'indoor.C',
            ])
                ->assertOk()
                ->json('refused');

            expect($refused === null ? null : str_ends_with($refused, LINE))->toBe(
                $point['group'] === 'line' ? true : null,
            );
        }
        foreach ($n % $nth === 0 ? ['set', 'prove', 'handover', 'survey'] : [] as $stage) {
            $this->get("/jobs/{$id}/{$stage}")->assertOk();
        }
    }
    expect(Job::query()->count())->toBeGreaterThan(25);
};

it('opens the plain example of every archetype: every call on the board, and probing everywhere', $opens)->with([
    'every third on every stage' => [3],
]);

it('opens each of them on every stage', $opens)
    ->with([1])
    ->group('nightly');
