<?php

declare(strict_types=1);

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\Edit\Opened;
use Unionbit\Core\Circuit\Meter\Meter;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Circuit\SpiceDeck;
use Unionbit\Core\Data\Field;
use Unionbit\Core\Figures\OverflowPlacement;
use Unionbit\Core\Job\File\ExampleHouse;
use Unionbit\Core\Job\File\SurveyFile;
use Unionbit\Core\Job\Installation;
use Unionbit\Core\Job\Interview\Interview;
use Unionbit\Core\Job\SafetyDevice;
use Unionbit\Core\Job\SafetyKind;
use Unionbit\Core\Planning\Offer\Planner;
use Unionbit\Core\Planning\Plan\LetterToLetter;
use Unionbit\Core\Planning\Plan\Plan;
use Unionbit\Core\Planning\Proof\CallProof;
use Unionbit\Core\Planning\Proof\Simulation;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Tests\Support\House;
use Unionbit\Core\Tests\Support\Spice;

/** A house of catalog/houses.json with a thermostat landed letter to letter. */
function namedHouse(string $id, string $profile): Plan
{
    $file = dirname(__DIR__, 3).'/catalog/houses.json';
    foreach ((array) json_decode((string) file_get_contents($file), true, flags: JSON_THROW_ON_ERROR) as $json) {
        $house = Field::root($json);
        if ($house->string('id') === $id) {
            $made = ExampleHouse::named($house, House::archetype($house->string('equipment')));
            $thermostat = House::profile($profile);

            return new Plan($made, $thermostat, LetterToLetter::landing($made, $thermostat));
        }
    }

    throw new LogicException("no house {$id}");
}

it('stops cooling where the switch in Y opens, and only that', function (
    string $id,
    string $device,
    string $screw,
): void {
    $plan = namedHouse($id, 'c-powered-3h-2c');
    $closes = CallTable::needed($plan->installation->archetype)->printed(CallName::Cool1, $plan->profile);
    $call = Setup::calling(...$closes);
    $open = $call->with(new Opened(Part::named($device)));
    $meter = new Meter($plan->circuit());

    expect(array_filter(Simulation::prove($plan), static fn (CallProof $p): bool => ! $p->isProved()))
        ->toBe([])
        ->and($plan->circuit()->operate($call)->pulledIn())
        ->toContain('contactor')
        ->and($plan->circuit()->operate($open)->pulledIn())
        ->toBe(['blower-relay'])
        ->and($meter->volts($open, "{$screw}.{$device}", 'indoor.C')->nominal)
        ->toBeGreaterThan(22.0)
        ->and($meter->volts($open, $screw, 'indoor.C')->nominal)
        ->toBeLessThan(1.0)
        // Load shedding: wall and board read a whole call, the whole voltage stands across the relay's contact.
        ->and($meter->volts($open, 'indoor.Y', 'indoor.C')->nominal > 22.0)
        ->toBe($screw === 'outdoor.Y');
})->with([
    ['condensing-furnace-pump-switch', 'pump', 'indoor.Y'],
    ['load-shedding-relay', 'shedding', 'outdoor.Y'],
]);

it('puts the relay that is only answered into Y, and takes it out again with another answer', function (): void {
    $survey = SurveyFile::write(ExampleHouse::of(House::archetype('furnace-gas-1h-1c')));
    $read = static fn (?string $answer, array $from): Installation => SurveyFile::read(
        Interview::put($from, 'shedding', $answer),
        House::archetype('furnace-gas-1h-1c'),
    );
    $shed = $read('shed', $survey);
    $again = $read('none', SurveyFile::write($shed));

    expect(array_map(static fn (SafetyDevice $d): array => [$d->kind, $d->point('Y')], $shed->facts->safety))
        ->toBe([[SafetyKind::Shedding, 'outdoor.Y']])
        ->and($shed->facts->floats())
        ->toBe([])
        ->and(
            array_column(House::faults()->of(namedHouse('load-shedding-relay', House::C_POWERED)->circuit()), 'id'),
        )
        ->toContain('load-shed:shedding', 'load-shed-welded:shedding')
        ->and($again->facts->safety)
        ->toBe([])
        ->and(Interview::answer($again, 'shedding'))
        ->toBe('none');
});

it('stops the heat of a condensing furnace as well, where a full pan has to', function (): void {
    $best = static fn (Installation $house): string => array_values(
        array_filter(
            OverflowPlacement::pans(
                new Plan(
                    $house,
                    House::profile('c-powered-3h-2c'),
                    LetterToLetter::landing($house, House::profile('c-powered-3h-2c')),
                ),
            )[0]['ways'],
            static fn (array $way): bool => $way['best'],
        ),
    )[0]['key'];
    $house = namedHouse('condensing-furnace-pump-switch', 'c-powered-3h-2c')->installation;
    $dry = new Installation($house->archetype, $house->facts->withSafety([]), $house->cables);
    $wet = new Installation($house->archetype, $dry->facts, $house->cables, answers: $house->answers);

    expect($best($dry))->toBe('Y')->and($best($wet))->toBe('Y+W relay');
});

it('offers for dual fuel on four conductors what proves, or says what is lost', function (): void {
    $house = namedHouse('dual-fuel-four-conductors', 'battery-2h-1c-heat-pump')->installation;
    expect(count($house->wallConductors()))->toBe(4);
    foreach (['c-powered-3h-2c', 'battery-2h-1c-heat-pump', 'radio-pair-receiver'] as $profile) {
        foreach (Planner::of($house, House::profile($profile))->offered as $offer) {
            $failed = array_map(
                static fn (CallProof $p): string => $p->call->value,
                array_filter(Simulation::prove($offer->plan), static fn (CallProof $p): bool => ! $p->isProved()),
            );
            $said = array_map(
                static fn (array $l): string => $l['call']->value,
                Unionbit\Core\Planning\Proof\PlanProof::of($offer->plan)->lost,
            );
            expect(array_values(array_diff($failed, $said)))->toBe(
                [],
                "{$profile} ".said($offer->plan->profile->title),
            );
        }
    }
    expect(Planner::of($house, House::profile('c-powered-3h-2c'))->offered)->not->toBe([]);
});

it('reads each named house as the outside program does, its switch closed and open', function (
    string $id,
    ?string $device,
): void {
    $plan = namedHouse($id, 'c-powered-3h-2c');
    foreach (CallTable::needed($plan->installation->archetype)->calls() as $call) {
        $closes = CallTable::needed($plan->installation->archetype)->printed($call, $plan->profile);
        $setup = Setup::calling(...$closes)->inMode($call->mode());
        foreach ($device === null ? [$setup] : [$setup, $setup->with(new Opened(Part::named($device)))] as $asked) {
            $point = $plan->circuit()->operate($asked);
            $deck = SpiceDeck::write($point->netlist, $id);
            $theirs = Spice::run($deck['deck']);
            foreach ($plan->installation->archetype->loads as $load) {
                [$a, $b] = [$theirs[$deck['nodes'][$load->from]], $theirs[$deck['nodes'][$load->to]]];
                $ours = $point->phasors->across($load->from, $load->to);
                expect(hypot($ours[0] - ($a[0] - $b[0]), $ours[1] - ($a[1] - $b[1])))->toBeLessThan(
                    max(0.001, 0.001 * hypot(...$ours)),
                    "{$call->value}: {$load->id}",
                );
            }
        }
    }
})->with([
    ['condensing-furnace-pump-switch', 'pump'],
    ['load-shedding-relay', 'shedding'],
    ['dual-fuel-four-conductors', null],
]);
