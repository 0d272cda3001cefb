<?php

declare(strict_types=1);

use Unionbit\Core\Planning\Offer\Planner;
use Unionbit\Core\Planning\Offer\PlanOffer;
use Unionbit\Core\Planning\Plan\LetterToLetter;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Proof\PlanProof;
use Unionbit\Core\Planning\Work\Move;
use Unionbit\Core\Planning\Work\MoveList;
use Unionbit\Core\Rule\Finding;
use Unionbit\Core\Rule\Severity;
use Unionbit\Core\Screening\Screening;
use Unionbit\Core\Setting\SettingCheck;
use Unionbit\Core\Tests\Support\House;
use Unionbit\Core\Visit\AsLeft;
use Unionbit\Core\Wiring\Conductor;
use Unionbit\Core\Words\Message;

// After landing, all that is said comes from the landed house: over every thermostat on every example.

dataset('every thermostat', array_map(static fn (string $id): array => [$id], House::ids('thermostats')));

it('has nothing in Set against a call exactly where the plan proves it', function (string $thermostat): void {
    $profile = House::profile($thermostat);
    $seen = ['proved' => 0, 'not' => 0];
    foreach (House::ids('equipment') as $id) {
        $house = House::example($id)->installation;
        $plan = new Plan($house, $profile, LetterToLetter::landing($house, $profile));
        $against = [];
        foreach (SettingCheck::check($plan, []) as $finding) {
            $call = $finding->title->params['call'] ?? null;
            if ($call instanceof Message) {
                $against[said($call)] = true;
            }
        }
        foreach (PlanProof::of($plan)->calls as $proof) {
            $seen[$proof->isProved() ? 'proved' : 'not']++;
            expect(isset($against[said($proof->call->label())]))->toBe(
                ! $proof->isProved(),
                "{$thermostat} on {$id}, {$proof->call->value}",
            );
        }
        $passes = PlanProof::of($plan)->passes();
        $table = array_filter(
            SettingCheck::table($plan, [])['rows'],
            static fn (array $row): bool => $passes && $row['brought'],
        );
        foreach ($table as $row) {
            foreach ($row['cells'] as $cell) {
                expect($cell['closed'])->toBe(
                    $cell['needed'],
                    "{$thermostat} on {$id}: table, ".said($row['label']),
                );
            }
        }
    }
    expect($seen['proved'])->toBeGreaterThan(0);
})->with('every thermostat');

it('finds nothing wrong in the landed house that the landing itself brought', function (string $thermostat): void {
    $profile = House::profile($thermostat);
    $says = static fn (Finding $f): string => $f->code.' '.said($f->title);
    $left = 0;
    foreach (House::ids('equipment') as $id) {
        $house = House::example($id)->installation;
        $plan = new Plan($house, $profile, LetterToLetter::landing($house, $profile));
        if (! PlanProof::of($plan)->passes()) {
            continue;
        }
        $left++;
        $found = array_map($says, Screening::check($house, []));
        foreach (Screening::check(AsLeft::landed($plan), []) as $finding) {
            // So it is: C has no conductor now, and a letter of the new plate (W1/Aux) may be read in two ways.
            $isSo = $finding->code === 'SC13' || $finding->title->code === 'screening.sc09.no-conductor-on-c-at';
            if (
                ! $isSo &&
                in_array($finding->severity, [Severity::Stop, Severity::Error, Severity::Warning], true)
            ) {
                expect(in_array($says($finding), $found, true))->toBeTrue(
                    "{$thermostat} on {$id}: {$says($finding)}",
                );
            }
        }
    }
    expect($left)->toBeGreaterThan(0);
})->with('every thermostat');

it('keeps a kit that stands at the next visit, and asks nobody to put it on again', function (): void {
    $house = House::example('furnace-gas-1h-1c')->installation;
    $cable = $house->wallCable() ?? throw new LogicException('no wall cable');
    $few = array_filter($cable->conductors, static fn (Conductor $c): bool => $c->far->terminal !== 'C');
    $house = $house->withCable($cable->withConductors(array_values($few)));
    $profile = House::profile('c-powered-shared-kit-2h-2c');
    $kit = array_find(
        Planner::of($house, $profile)->offered,
        static fn (PlanOffer $o): bool => $o->plan->changes->sharedKit,
    );
    $moves = static fn (Plan $plan): array => array_map(static fn (Move $m): string => $m->key, MoveList::of($plan));
    expect($moves($kit->plan))->toContain('kit');
    $next = Planner::of(AsLeft::landed($kit->plan), $profile)->offered[0];
    expect($next->proof->proved())
        ->toBe(count($next->proof->calls))
        ->and($next->plan->changes->sharedKit)
        ->toBeTrue()
        ->and($moves($next->plan))
        ->not->toContain('kit');
});
