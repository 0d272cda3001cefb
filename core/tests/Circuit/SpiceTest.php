<?php

declare(strict_types=1);

use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\CircuitEdit;
use Unionbit\Core\Circuit\Edit\CoilShorted;
use Unionbit\Core\Circuit\Edit\Opened;
use Unionbit\Core\Circuit\Edit\Touching;
use Unionbit\Core\Circuit\Element;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Circuit\SpiceDeck;
use Unionbit\Core\Tests\Support\House;
use Unionbit\Core\Tests\Support\Spice;

// Every call of the archetype, idle included; healthy, each conductor open, each neighbouring pair touching, the
// contactor coil shorted; with either thermostat. An outside SPICE program must agree on every point that is
// not floating, against the transformer's common: to 0.1 % or 1 mV.

/** @return array<string, list<CircuitEdit>> */
function spiceFaults(): array
{
    $faults = ['healthy' => [], 'contactor coil shorted' => [new CoilShorted('contactor')]];
    foreach (['A1', 'A2', 'A3', 'A4', 'A5', 'B1', 'B2'] as $conductor) {
        $faults["{$conductor} open"] = [new Opened("{$conductor}.h1")];
    }
    foreach ([['A1', 'A2'], ['A2', 'A3'], ['A3', 'A4'], ['A4', 'A5'], ['B1', 'B2']] as [$a, $b]) {
        $faults["{$a} touches {$b}"] = [new Touching("{$a}.mid", "{$b}.mid")];
    }

    return $faults;
}

it('agrees with an outside SPICE program', function (string $profile, string $call): void {
    $plan = House::plan($profile);
    $circuit = $plan->circuit();
    $closes = CallTable::needed($plan->installation->archetype)->printed(CallName::from($call), $plan->profile);
    $compared = 0;

    foreach (spiceFaults() as $name => $edits) {
        $point = $circuit->operate(Setup::calling(...$closes)->with(...$edits));
        $written = SpiceDeck::write($point->netlist, "{$call}, {$name}");
        $theirs = Spice::run($written['deck']);
        $common = $theirs[$written['nodes']['indoor.C']];
        $grounded = $point->netlist->region('indoor.C', static fn (Element $e): bool => ! $e->isOpen());

        foreach ($written['nodes'] as $id => $node) {
            if (! isset($grounded[$id])) {
                continue;
            }
            $ours = $point->phasors->across($id, 'indoor.C');
            $off = hypot($ours[0] - ($theirs[$node][0] - $common[0]), $ours[1] - ($theirs[$node][1] - $common[1]));
            expect($off)->toBeLessThan(max(0.001, 0.001 * hypot(...$ours)), "{$name}: {$id} differs by {$off} V");
            $compared++;
        }
    }

    expect($compared)->toBeGreaterThan(300);
})->with([House::C_POWERED, House::BATTERY])->with(['idle', 'fan', 'cool-1', 'heat-1']);
