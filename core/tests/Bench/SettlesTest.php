<?php

declare(strict_types=1);

use Unionbit\Core\Bench\TimeMachine;
use Unionbit\Core\Call\CallName;
use Unionbit\Core\Call\CallTable;
use Unionbit\Core\Circuit\Circuit;
use Unionbit\Core\Circuit\Setup;
use Unionbit\Core\Tests\Support\House;

// Two ways to the same end: the circuit that jumps to its fixed point, and the house that lives second by second
// through its delays. Long after a call has begun both must have the same loads pulled in, and at its end none.

/** @return list<string> labels of the loads whose last news is that they are in */
function inAtTheEnd(TimeMachine $machine, CallName $call, int $seconds, ?int $until): array
{
    $last = [];
    foreach ($machine->run($call, $seconds, 0, $until) as $event) {
        if (preg_match('/^(.+) (pulled in|at rest|buzzing|chattering)$/', said($event['what']), $words) === 1) {
            $last[$words[1]] = $words[2];
        }
    }
    $in = array_keys($last, 'pulled in', true);
    sort($in);

    return $in;
}

/** @return list<string> */
function inAtOnce(Circuit $circuit, Setup $setup): array
{
    $in = array_map(
        static fn (string $id): string => said($circuit->installation->load($id)->label ?? $id),
        $circuit->operate($setup)->pulledIn(),
    );
    sort($in);

    return $in;
}

it('comes second by second to where the circuit says it settles', function (string $archetype): void {
    $circuit = House::example($archetype)->circuit();
    foreach (CallTable::needed($circuit->installation->archetype)->calls() as $call) {
        if ($call === CallName::Idle || $call->mode() !== null) {
            continue;
        }
        expect(inAtTheEnd(new TimeMachine($circuit, seed: 5), $call, 560, null))
            ->toBe(inAtOnce($circuit, House::called($circuit, $call, null)), "{$archetype}, {$call->value}")
            ->and(
                array_diff(
                    inAtTheEnd(new TimeMachine($circuit, seed: 5), $call, 620, 560),
                    inAtOnce(
                        $circuit,
                        Setup::calling(
                            ...CallTable::needed($circuit->installation->archetype)->idleAfter(
                                $call,
                                $circuit->profile,
                            ),
                        ),
                    ),
                ),
            )
            ->toBe([]);
    }
})->with([
    'furnace-gas-2h-2c',
    'air-handler-electric-1h-1c',
    'heat-pump-b-1c-1aux',
    'heat-pump-o-2c-2aux',
    'dual-fuel-o-1c-1h',
    'boiler-zone-valve-1c',
    'furnace-oil-own-transformer-1c',
]);
