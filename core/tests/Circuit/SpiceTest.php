<?php

declare(strict_types=1);

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\Edit\CircuitEdit;
use Unionbit\Core\Circuit\Edit\CoilShorted;
use Unionbit\Core\Circuit\Edit\Opened;
use Unionbit\Core\Circuit\Edit\Touching;
use Unionbit\Core\Circuit\Netlist\Element;
use Unionbit\Core\Circuit\Netlist\ElementKind;
use Unionbit\Core\Circuit\OperatingPoint;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Circuit\SpiceDeck;
use Unionbit\Core\Planning\Offer\Planner;
use Unionbit\Core\Planning\Offer\PlanOffer;
use Unionbit\Core\Planning\Proof\Simulation;
use Unionbit\Core\Point\At;
use Unionbit\Core\Point\Part;
use Unionbit\Core\Tests\Support\House;
use Unionbit\Core\Tests\Support\Spice;
use Unionbit\Core\Wiring\Conductor;

// Every call of the archetype, idle included; healthy, each conductor open, each neighbouring pair touching, the
// contactor coil shorted; with either thermostat. An outside SPICE program must agree on every point that is
// not floating, against the transformer's common: to 0.1 % or 1 mV.

/** @return array<string, list<CircuitEdit>> */
function spiceFaults(): array
{
    $faults = ['healthy' => [], 'contactor coil shorted' => [new CoilShorted(Part::named('contactor'))]];
    foreach (['A1', 'A2', 'A3', 'A4', 'A5', 'B1', 'B2'] as $conductor) {
        $faults["{$conductor} open"] = [new Opened(Part::named("{$conductor}.h1"))];
    }
    foreach ([['A1', 'A2'], ['A2', 'A3'], ['A3', 'A4'], ['A4', 'A5'], ['B1', 'B2']] as [$a, $b]) {
        $faults["{$a} touches {$b}"] = [new Touching(At::read("{$a}.mid"), At::read("{$b}.mid"))];
    }

    return $faults;
}

/** Compares every point that is not floating, against the first transformer's common, and the source current. */
function agreesWithSpice(OperatingPoint $point, string $title): int
{
    $written = SpiceDeck::write($point->netlist, $title);
    $theirs = Spice::run($written['deck']);
    $compared = 0;
    foreach ($point->netlist->elements as $winding) {
        if ($winding->kind !== ElementKind::Winding) {
            continue;
        }
        $common = $theirs[$written['nodes'][$winding->b]];
        foreach ($point->netlist->region($winding->b, static fn (Element $e): bool => ! $e->isOpen()) as $id => $_) {
            $node = $theirs[$written['nodes'][$id]] ?? null;
            if ($node === null) {
                continue;
            }
            $ours = $point->phasors->across($id, $winding->b);
            $off = hypot($ours[0] - ($node[0] - $common[0]), $ours[1] - ($node[1] - $common[1]));
            expect($off)->toBeLessThan(max(0.001, 0.001 * hypot(...$ours)), "{$title}: {$id} differs by {$off} V");
            $compared++;
        }
        $hot = $theirs[$written['nodes'][$winding->a]];
        $amps = hypot($winding->emf - ($hot[0] - $common[0]), $hot[1] - $common[1]) / $winding->ohms;
        expect(abs($point->phasors->amps($winding) - $amps))->toBeLessThan(
            max(0.0001, 0.001 * $amps),
            "{$title}: current of {$winding->id}",
        );
    }

    return $compared;
}

it('agrees with an outside SPICE program', function (string $profile, string $call): void {
    $plan = House::plan($profile);
    $circuit = $plan->circuit();
    $closes = CallTable::needed($plan->installation->archetype)->printed(CallName::from($call), $plan->profile);
    $compared = 0;
    foreach (spiceFaults() as $name => $edits) {
        $compared += agreesWithSpice(
            $circuit->operate(Setup::calling(...$closes)->with(...$edits)),
            "{$call}, {$name}",
        );
    }

    expect($compared)->toBeGreaterThan(300);
})
    ->with([House::C_POWERED, House::BATTERY])
    ->with(['idle', 'fan', 'cool-1', 'heat-1']);

it('agrees with it for every archetype and call, healthy and with a spread of faults', function (
    string $archetype,
): void {
    $plan = House::example($archetype);
    $circuit = $plan->circuit();
    $table = CallTable::needed($plan->installation->archetype);
    $wires = array_values(
        array_filter(
            array_keys($circuit->netlist(Setup::calling())->elements),
            static fn (string $id): bool => str_ends_with($id, '.h1'),
        ),
    );
    $compared = 0;
    foreach ($table->calls() as $index => $call) {
        $setup = Setup::calling(...$table->printed($call, $plan->profile))->inMode($call->mode());
        $one = substr($wires[$index % count($wires)], 0, -3);
        $next = substr($wires[($index + 1) % count($wires)], 0, -3);
        foreach (
            [
                'healthy' => [],
                "{$one} open" => [new Opened(Part::named("{$one}.h1"))],
                "{$one} touches {$next}" => [new Touching(At::read("{$one}.mid"), At::read("{$next}.mid"))],
            ] as $name => $edits
        ) {
            $compared += agreesWithSpice(
                $circuit->operate($setup->with(...$edits)),
                "{$archetype}, {$call->value}, {$name}",
            );
        }
    }

    expect($compared)->toBeGreaterThan(50);
})->with(House::ids('equipment'));

it('agrees with it for every kind of thermostat', function (string $profile): void {
    $plan = House::example('heat-pump-o-1c-1aux', $profile);
    $table = CallTable::needed($plan->installation->archetype);
    foreach ($table->calls() as $call) {
        agreesWithSpice(
            $plan
                ->circuit()
                ->operate(Setup::calling(...$table->printed($call, $plan->profile))->inMode($call->mode())),
            "{$profile}, {$call->value}",
        );
    }
})->with(House::ids('thermostats'));

it('agrees with it for a kit\'s adapter on a shared conductor', function (): void {
    $house = House::example('furnace-gas-1h-1c')->installation;
    $wall = $house->wallCable() ?? throw new LogicException('no wall cable');
    $short = $house->withCable(
        $wall->withConductors(
            array_values(
                array_filter($wall->conductors, static fn (Conductor $c): bool => $c->near->terminal !== 'C'),
            ),
        ),
    );
    $plan = array_values(
        array_filter(
            Planner::of($short, House::profile('c-powered-shared-kit-2h-2c'))->offered,
            static fn (PlanOffer $c): bool => $c->codes() === ['WO04'],
        ),
    )[0]->plan;
    foreach (Simulation::setups($plan) as $call => $setup) {
        $open = static fn (string $id): array => [new Opened(Part::named($id))];
        foreach ([[], $open('kit-g'), $open($plan->landing->on('K')[0].'.h1')] as $n => $edits) {
            expect(
                agreesWithSpice($plan->circuit()->operate($setup->with(...$edits)), "kit, {$call}, {$n}"),
            )->toBeGreaterThan(10);
        }
    }
});
